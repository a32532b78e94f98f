import type { DesignOf } from '@leggero/contract';
import type { Problem } from '@leggero/core';
import {
  balloonsOf,
  solveColumn,
  type ColourMapProblemCode,
  type ColumnPlan,
  type ColumnProblemCode,
} from '@leggero/core/building';

import { coloured, colourSize, givenBy, type Coloured } from './colouring';
import type { Material } from './material';
import { onTop } from './toppers';

/** A column worked out. */
export type ColumnView = Coloured & { plan: ColumnPlan };

/** A column from its figures: how high it stands, which colour is where, what is tied, and how many of each. */
export function viewColumn(
  design: DesignOf<'column'>,
  basis: Material,
): { ok: true; value: ColumnView } | { ok: false; problem: Problem<ColumnProblemCode | ColourMapProblemCode> } {
  const { count, open, layers, widthMm, heightMm, standMm, topper, colours } = design;
  const made = solveColumn({
    column: { count, open, layers, widthMm, heightMm, standMm, topper: onTop(topper) },
    ...givenBy(design, basis),
  });
  if (!made.ok) return made;
  const plan = made.value;
  const sizeAt = colourSize(colours, plan.widthMm, basis);
  const found = coloured(design, { balloons: balloonsOf(plan.stack), layers: plan.layers }, basis, sizeAt);
  return found.ok ? { ok: true, value: { ...found.value, plan } } : found;
}
