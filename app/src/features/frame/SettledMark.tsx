import { useIsFetching } from '@tanstack/react-query';
import { useEffect } from 'react';

import { useOutbox } from '@/api/outbox';

/**
 * Marks the document while nothing is on its way: no records asked for, no entry being delivered. Whoever drives the
 * app from outside waits for the mark, and for nothing being `aria-busy`, instead of guessing.
 */
export function SettledMark() {
  const fetching = useIsFetching() > 0;
  const delivering = useOutbox(({ waiting, stuck }) => waiting.length > 0 && !stuck);
  const settled = !fetching && !delivering;
  useEffect(() => {
    document.documentElement.toggleAttribute('data-settled', settled);
  }, [settled]);
  return null;
}
