import type { PieceDesign, PieceRecord } from '@leggero/contract';
import { useRef } from 'react';

import { write } from '@/data/outbox';

import { useRested } from '../useRested';

/** A piece's design as it is being changed, kept whole once the hand rests. */
export function useDesign<Design extends PieceDesign>(
  { id }: PieceRecord,
  design: Design,
): [Design, (by: Partial<Design>) => void] {
  // What was kept a moment ago may not have come back as a record yet.
  const kept = useRef<Partial<Design>>({});
  return useRested(design, (by) => {
    kept.current = { ...kept.current, ...by };
    write({ change: 'piece', id, by: { design: { ...design, ...kept.current } } });
  });
}
