import type { DesignOf } from '@leggero/contract';
import type { Problem } from '@leggero/core';
import {
  archBalloons,
  solveArch,
  type ArchPlan,
  type ArchProblemCode,
  type ColourMapProblemCode,
} from '@leggero/core/building';

import { coloured, colourTitle, type Coloured } from './colouring';
import { packingOf, type Material } from './material';
import type { RopeBalloon } from './viewRope';

export type ArchDesign = DesignOf<'arch'>;

/** An arch worked out. */
export type ArchView = Omit<Coloured, 'balloons'> & {
  balloons: RopeBalloon[];
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
  const placed = archBalloons(plan);
  const all = placed.map(({ neck: _, ...at }) => {
    return { ...at, widthMm: plan.widthMm, aspect: 1, outwards: null, zMm: standMm + at.zMm };
  });
  const found = coloured({ ...design, topper: null }, { balloons: all, layers: plan.layers }, basis, (_, colour) => ({
    key: `colour-${colour + 1}`,
    title: colourTitle(colours[colour]!, colour, basis),
    part: colours[colour]!,
    widthMm: plan.widthMm,
  }));
  if (!found.ok) return found;
  const balloons = found.value.balloons.map((balloon, i): RopeBalloon => {
    return { ...balloon, neck: placed[i]!.neck, step: balloon.layer };
  });
  const highest = Math.max(...balloons.map(({ zMm }) => zMm)) + plan.widthMm / 2;
  return { ok: true, value: { ...found.value, balloons, plan, highMm: highest } };
}
