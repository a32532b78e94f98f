import {
  sideView,
  type HeldBy,
  type Layer,
  type SideView,
  type SimulatedPiece,
  type Stack,
} from '@leggero/core/building';

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

/** Layers along something that holds each square to it, as a pole does. */
export function simulatedRow(layers: readonly Layer[]): SimulatedPiece {
  return { layers: layers.map(({ count, widthMm }) => ({ count, widthMm })), heldBy: 'pole', fixedMm: 0 };
}

/** What a piece of layers shows to the wind, its figure with it. */
export function sideOf({ standMm, topper }: ColumnDesign | TaperDesign, stack: Stack): SideView {
  return sideView({ stack, standMm, figure: figureIn(topper) });
}
