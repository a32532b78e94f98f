import { TRADE, type Trade } from '@leggero/core';
import { createContext, useContext, type ReactNode } from 'react';

import { useOwnTrade } from './records';

const TradeContext = createContext<Trade>(TRADE);

/** Gives pages the trade's numbers as the studio has them. */
export function TradeProvider({ children }: { children: ReactNode }) {
  return <TradeContext.Provider value={useOwnTrade().data ?? TRADE}>{children}</TradeContext.Provider>;
}

/** The trade's numbers as the studio has them; the table's own until its records have come. */
export function useTrade(): Trade {
  return useContext(TradeContext);
}
