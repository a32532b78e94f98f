import { useIsFetching } from '@tanstack/react-query';
import { usePathname } from 'expo-router';
import { useEffect } from 'react';

import { useOutbox } from '@/api/outbox';

/**
 * Marks the document with the path shown while nothing is on its way: no records asked for, no entry being delivered.
 * Whoever drives the app from outside waits for the mark, and for nothing being `aria-busy`, instead of guessing.
 */
export function SettledMark() {
  const fetching = useIsFetching() > 0;
  const delivering = useOutbox(({ waiting, stuck }) => waiting.length > 0 && !stuck);
  const path = usePathname();
  const settled = !fetching && !delivering;
  useEffect(() => {
    if (settled) document.documentElement.dataset['settled'] = path;
    else delete document.documentElement.dataset['settled'];
  }, [settled, path]);
  return null;
}
