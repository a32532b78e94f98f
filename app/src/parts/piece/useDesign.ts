import type { PieceDesign, PieceRecord } from '@leggero/contract';

import { write } from '@/data/outbox';

import { useRested } from '../useRested';

/** A piece's design as it is being changed, kept whole once the hand rests. */
export function useDesign<Design extends PieceDesign>(
  { id }: PieceRecord,
  design: Design,
): [Design, (by: Partial<Design>) => void] {
  return useRested(design, (by) => write({ change: 'piece', id, by: { design: { ...design, ...by } } }));
}
