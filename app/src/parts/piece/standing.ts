import type { EventRecord, PieceBase } from '@leggero/contract';
import { sideView, type SideView, type Stack } from '@leggero/core/building';

import type { LayeredDesign } from './colouring';
import { figureIn } from './toppers';

/** A usual plate, mm across (common practice). */
const PLATE_MM = 300;
/** Outdoors a piece stands in a moderate breeze until someone says otherwise. */
const OUTDOORS = 4;

/** What a piece stands on, and in which wind; until that is said a usual plate, indoors or out as its event is. */
export function baseOf(
  { base }: { base?: PieceBase | undefined },
  { event }: { event: Pick<EventRecord, 'outdoors'> | null },
): PieceBase {
  return base ?? { acrossMm: PLATE_MM, wind: event?.outdoors ? OUTDOORS : null };
}

/** What a piece of layers shows to the wind, its figure with it. */
export function sideOf({ standMm, topper }: Pick<LayeredDesign, 'standMm' | 'topper'>, stack: Stack): SideView {
  return sideView({ stack, standMm, figure: figureIn(topper) });
}
