import { TRADE } from '@leggero/core';
import { useDeferredValue, type ReactNode } from 'react';

import { useOwnTrade } from './records';
import { TradeContext } from './trade';

/** Gives pages the trade's numbers as the studio has them. */
export function TradeProvider({ children }: { children: ReactNode }) {
  const own = useOwnTrade().data;
  // Every figure of a page follows a number: they are worked out one after another, and the page goes on meanwhile.
  const followed = useDeferredValue(own);
  // The first ones are not waited for: nobody is shown figures by the table and then their own.
  return <TradeContext.Provider value={followed ?? own ?? TRADE}>{children}</TradeContext.Provider>;
}
