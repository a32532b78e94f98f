import type { NounName } from '@leggero/contract';
import { createContext, startTransition, useContext, useEffect, useState, type ReactNode } from 'react';

import { useRecords } from './state';

/** Nouns whose rows are not drawn yet; null where none is. */
type Lacking = readonly NounName[] | null;

const LackingContext = createContext<Lacking>(null);

function lackingNow(): Lacking {
  const { filled, lacking } = useRecords.getState();
  return filled ? lacking : null;
}

const isLess = (now: Lacking, before: Lacking) =>
  before === null ? now !== null : now !== null && now.length < before.length;

/**
 * Has pages draw the first rows of a device part by part, between which the browser does other things: it is a whole
 * page that comes with them. What the device keeps already is drawn in one go, which is sooner, and what changes later
 * with the next frame; what was drawn once is not taken away again.
 */
export function LackingProvider({ children }: { children: ReactNode }) {
  const [lacking, setLacking] = useState(lackingNow);
  useEffect(() => {
    if (lacking?.length === 0) return;
    const follow = () => {
      const now = lackingNow();
      if (!isLess(now, lacking)) return;
      if (useRecords.getState().come > 0) startTransition(() => setLacking(now));
      else setLacking(now);
    };
    follow();
    return useRecords.subscribe(follow);
  }, [lacking]);
  return <LackingContext.Provider value={lacking}>{children}</LackingContext.Provider>;
}

/** Nouns whose rows pages wait for; null where it is all of them. */
export function useLacking(): Lacking {
  return useContext(LackingContext);
}
