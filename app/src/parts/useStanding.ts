import { useMemo, useRef } from 'react';

import { useLatest } from '@/ui/useLatest';

interface Standing<Row> {
  /** What is shown and what was sent since, less what was taken back; one's own sent ones last. */
  standing: () => Row[];
  /** The last of one's own that still stands. */
  ownLast: () => Row | undefined;
  send: (row: Row) => void;
  takeBack: (row: Row) => void;
}

/**
 * Rows that taps add, as they stand when the next tap comes. Taps may come faster than the page is drawn: what was sent
 * since counts beside what is shown, and what was taken back is not there any more.
 */
export function useStanding<Row extends { id: string }>(rows: readonly Row[]): Standing<Row> {
  const sent = useRef<Row[]>([]);
  const takenBack = useRef(new Set<string>());
  // What is shown is looked up when a tap comes, so that the buttons stay the same from tap to tap.
  const shown = useLatest(rows);
  return useMemo(() => {
    const standing = () => {
      const known = new Set(shown.current.map(({ id }) => id));
      const all = [...shown.current, ...sent.current.filter(({ id }) => !known.has(id))];
      return all.filter(({ id }) => !takenBack.current.has(id));
    };
    return {
      standing,
      ownLast() {
        const stands = new Set(standing().map(({ id }) => id));
        return sent.current.findLast(({ id }) => stands.has(id));
      },
      send: (row) => void sent.current.push(row),
      takeBack: ({ id }) => void takenBack.current.add(id),
    };
  }, [shown]);
}
