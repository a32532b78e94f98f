import type { PieceBase } from '@leggero/contract';

import type { PieceBasis } from '@/parts/piece/useBasis';

/** A usual plate, mm across (common practice). */
const PLATE_MM = 300;
/** Outdoors a piece stands in a moderate breeze until someone says otherwise. */
const OUTDOORS = 4;

/** What a piece stands on, and in which wind; until that is said a usual plate, indoors or out as its event is. */
export function baseOf({ base }: { base?: PieceBase | undefined }, { event }: Pick<PieceBasis, 'event'>): PieceBase {
  return base ?? { acrossMm: PLATE_MM, wind: event?.outdoors ? OUTDOORS : null };
}
