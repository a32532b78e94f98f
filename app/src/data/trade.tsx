import { TRADE } from '@leggero/core';
import { useDeferredValue, type ReactNode } from 'react';

import { useOwnTrade } from './records';
import { TradeContext } from './tradeContext';

export { useTrade } from './tradeContext';

/** Gives pages the trade's numbers as the studio has them. */
export function TradeProvider({ children }: { children: ReactNode }) {
  // Every figure of a page follows a number: they are worked out one after another, and the page goes on meanwhile.
  const trade = useDeferredValue(useOwnTrade().data ?? TRADE);
  return <TradeContext.Provider value={trade}>{children}</TradeContext.Provider>;
}
