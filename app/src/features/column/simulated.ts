import type { HeldBy, SimulatedPiece, Stack } from '@leggero/core/building';

import { figureIn } from '@/parts/piece/scenes';

import type { ColumnDesign, TaperDesign } from './colouring';

/** A piece of layers as it is built again and again, its topper with it. */
export function simulatedOf(
  { standMm, topper }: ColumnDesign | TaperDesign,
  { layers }: Stack,
  heldBy: HeldBy,
): SimulatedPiece {
  return {
    layers: layers.map(({ count, widthMm, aspect }) => ({ count, widthMm, aspect })),
    heldBy,
    fixedMm: standMm + (figureIn(topper)?.heightMm ?? 0),
  };
}
