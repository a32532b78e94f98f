import type { PieceBase } from '@leggero/contract';

import type { PieceBasis } from '@/parts/piece/useBasis';

import type { ColumnDesign, TaperDesign } from './colouring';

/** A usual plate, mm across (common practice). */
const PLATE_MM = 300;
/** The wind that a piece outdoors is at least asked about: leaves and small branches move (Beaufort scale). */
const OUTDOORS = 4;

/** What a piece stands on, and in which wind: as was said, or else a usual plate where its event is. */
export function baseOf(
  { base }: Pick<ColumnDesign | TaperDesign, 'base'>,
  { event }: Pick<PieceBasis, 'event'>,
): PieceBase {
  return base ?? { acrossMm: PLATE_MM, wind: event?.outdoors ? OUTDOORS : null };
}
