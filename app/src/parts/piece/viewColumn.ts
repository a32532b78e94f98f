import type { DesignOf } from '@leggero/contract';
import { usefulWidths, type Problem } from '@leggero/core';
import {
  balloonsOf,
  solveColumn,
  type ColourMapProblemCode,
  type ColumnPlan,
  type ColumnProblemCode,
} from '@leggero/core/building';

import { coloured, colourTitle, LOOSE_NOMINAL_MM, type Coloured } from './colouring';
import { modelOf, packingOf, type Material } from './material';

/** A column worked out. */
export type ColumnView = Coloured & { plan: ColumnPlan };

/** A column from its figures: how high it stands, which colour is where, what is tied, and how many of each. */
export function viewColumn(
  design: DesignOf<'column'>,
  basis: Material,
): { ok: true; value: ColumnView } | { ok: false; problem: Problem<ColumnProblemCode | ColourMapProblemCode> } {
  const { count, open, layers, widthMm, heightMm, standMm, topper, colours } = design;
  const { trade } = basis.knowledge;
  const useful = colours
    .map((part) => modelOf(part, basis)?.nominalMm ?? LOOSE_NOMINAL_MM)
    .map((nominalMm) => usefulWidths({ nominalMm, trade }));
  const top = topper?.kind === 'balloon' ? ({ kind: 'balloon', widthMm: topper.part.widthMm } as const) : topper;
  const made = solveColumn({
    column: { count, open, layers, widthMm, heightMm, standMm, topper: top },
    stepMm: basis.studio.stepMm,
    packing: packingOf(basis).packing,
    leastMm: Math.max(...useful.map(({ leastMm }) => leastMm)),
    mostMm: Math.min(...useful.map(({ mostMm }) => mostMm)),
    trade,
  });
  if (!made.ok) return made;
  const plan = made.value;
  const found = coloured(design, { balloons: balloonsOf(plan.stack), layers: plan.layers }, basis, (_, colour) => ({
    key: `colour-${colour + 1}`,
    title: colourTitle(colours[colour]!, colour, basis),
    part: colours[colour]!,
    widthMm: plan.widthMm,
  }));
  return found.ok ? { ok: true, value: { ...found.value, plan } } : found;
}
