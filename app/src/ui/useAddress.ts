import { router, useLocalSearchParams } from 'expo-router';
import { useCallback, useEffect, useMemo, useState } from 'react';

/** What a page is asked for, by name; nothing where it is left open. */
export type Asked<Name extends string> = { [Each in Name]?: string | undefined };

/** How long the hand rests before the address follows, ms. */
const REST_MS = 400;

/**
 * What a page is asked for, as its address says, and a way to ask for something else: the page follows at once, the
 * address (which every part of the app listens to) once the hand rests.
 */
export function useAddress<Name extends string>(): [Asked<Name>, (by: Asked<Name>) => void] {
  const address = useLocalSearchParams<Record<Name, string>>();
  const [asked, setAsked] = useState<Asked<Name> | null>(null);
  useEffect(() => {
    if (asked === null) return;
    const timer = setTimeout(() => router.setParams(asked), REST_MS);
    return () => clearTimeout(timer);
  }, [asked]);
  // By hand: effects of pages depend on these, in tests too, where no compiler remembers for them.
  const ask = useCallback((by: Asked<Name>) => setAsked((before) => ({ ...before, ...by })), []);
  const params = useMemo<Asked<Name>>(() => ({ ...address, ...asked }), [address, asked]);
  return [params, ask];
}
