import { useMemo, useState } from 'react';
import { createStore, useStore, type StoreApi } from 'zustand';

import { useLatest } from '@/ui/useLatest';

/** What was done here, which may not be shown yet. */
interface Done<Row> {
  sent: readonly Row[];
  takenBack: ReadonlySet<string>;
}
type DoneStore<Row> = StoreApi<Done<Row>>;

interface Standing<Row> {
  /** Told of each row as it is sent or taken back, which is before it is kept and shown. */
  done: DoneStore<Row>;
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
  const [done] = useState(() => createStore<Done<Row>>(() => ({ sent: [], takenBack: new Set() })));
  // What is shown is looked up when a tap comes, so that the buttons stay the same from tap to tap.
  const shown = useLatest(rows);
  return useMemo(() => {
    const standing = () => {
      const { takenBack } = done.getState();
      const { come } = ahead(done.getState(), shown.current);
      return [...shown.current, ...come].filter(({ id }) => !takenBack.has(id));
    };
    return {
      ...{ done, standing },
      ownLast() {
        const stands = new Set(standing().map(({ id }) => id));
        return done.getState().sent.findLast(({ id }) => stands.has(id));
      },
      send: (row) => done.setState(({ sent }) => ({ sent: [...sent, row] })),
      takeBack: ({ id }) => done.setState(({ takenBack }) => ({ takenBack: new Set(takenBack).add(id) })),
    };
  }, [shown, done]);
}

/** What was sent and is not among some rows yet, and what of them was taken back. */
function ahead<Row extends { id: string }>({ sent, takenBack }: Done<Row>, rows: readonly Row[]) {
  const known = new Set(rows.map(({ id }) => id));
  return {
    come: sent.filter(({ id }) => !known.has(id) && !takenBack.has(id)),
    gone: rows.filter(({ id }) => takenBack.has(id)),
  };
}

/** By what taps are ahead of the rows that are shown: whoever uses it is drawn with the tap itself. */
export function useAhead<Row extends { id: string }>(done: DoneStore<Row>, rows: readonly Row[]) {
  return ahead(useStore(done), rows);
}
