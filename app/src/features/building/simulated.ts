import { acrossMm, type Box, type HeldBy, type Layer, type SimulatedPiece, type Stack } from '@leggero/core/building';

import { figureIn } from '@/parts/piece/toppers';

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

/** Layers along something that holds each square to it, as a pole does. */
export function simulatedRow(layers: readonly Layer[]): SimulatedPiece {
  return { layers: layers.map(({ count, widthMm }) => ({ count, widthMm })), heldBy: 'pole', fixedMm: 0 };
}

/** How much room a stack takes as it stands, its plate and what is on top of it with it. */
export function standingBox(stack: Stack, highMm: number): Box {
  const wideMm = acrossMm(stack);
  return { wideMm, deepMm: wideMm, highMm };
}
