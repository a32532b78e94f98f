import { TRADE, type Trade } from '@leggero/core';
import { createContext, useContext } from 'react';

/** The trade's numbers as the studio has them; the table's own until its records have come. */
export const TradeContext = createContext<Trade>(TRADE);

export function useTrade(): Trade {
  return useContext(TradeContext);
}
