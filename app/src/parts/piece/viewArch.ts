import type { DesignOf } from '@leggero/contract';
import type { Problem } from '@leggero/core';
import {
  archBalloons,
  solveArch,
  type ArchPlan,
  type ArchProblemCode,
  type ColourMapProblemCode,
} from '@leggero/core/building';

import { colourSize } from './colouring';
import { packingOf, type Material } from './material';
import { colouredTied, type TiedColours } from './tied';

export type ArchDesign = DesignOf<'arch'>;

/** An arch worked out. */
export type ArchView = TiedColours & {
  plan: ArchPlan;
  /** Over everything, from the floor, mm. */
  highMm: number;
};

/** An arch from its figures, its layers from the left foot to the right one. */
export function viewArch(
  design: ArchDesign,
  basis: Material,
): { ok: true; value: ArchView } | { ok: false; problem: Problem<ArchProblemCode | ColourMapProblemCode> } {
  const { shape, open, count, layers, widthMm, spanMm, highMm, standMm, colours } = design;
  const made = solveArch({
    arch: { shape, open, count, layers, widthMm, spanMm, highMm },
    stepMm: basis.studio.stepMm,
    packing: packingOf(basis).packing,
    trade: basis.knowledge.trade,
  });
  if (!made.ok) return made;
  const plan = made.value;
  const placed = archBalloons(plan).map((each) => ({ ...each, widthMm: plan.widthMm, zMm: standMm + each.zMm }));
  const sizeAt = colourSize(colours, plan.widthMm, basis);
  const found = colouredTied(design, { placed, layers: plan.layers }, basis, sizeAt);
  if (!found.ok) return found;
  const { balloons } = found.value;
  const highest = Math.max(...balloons.map(({ zMm }) => zMm)) + plan.widthMm / 2;
  return { ok: true, value: { ...found.value, plan, highMm: highest } };
}
