import type { MakeInputOf, NounName, RowOf, Write } from '@leggero/contract';
import { useState } from 'react';

import { write } from './outbox';

interface Removal<N extends NounName> {
  /** What was taken away last, while it can still be brought back. */
  removed: RowOf<N> | null;
  remove: (row: RowOf<N>) => void;
  restore: () => void;
}

/** Takes rows of a noun away, the last one with a way back. */
export function useRemoval<N extends NounName>(noun: N): Removal<N> {
  const [removed, setRemoved] = useState<RowOf<N> | null>(null);
  return {
    removed,
    remove(row) {
      write({ remove: noun, id: row.id } as Write);
      setRemoved(row);
    },
    restore() {
      if (removed) write({ put: noun, row: removed as MakeInputOf<N> } as unknown as Write);
      setRemoved(null);
    },
  };
}
