import type { DesignOf } from '@leggero/contract';
import type { Problem } from '@leggero/core';
import {
  plinthBalloons,
  solvePlinth,
  type ColourMapProblemCode,
  type PlinthPlan,
  type PlinthProblemCode,
} from '@leggero/core/building';

import { coloured, type Coloured } from './colouring';
import { packingOf, type Material } from './material';
import type { RopeBalloon } from './viewRope';
import { modelFor, sizeOf, sizesOf } from './viewTaper';

export type PlinthDesign = DesignOf<'plinth'>;

/** A plinth worked out. */
export type PlinthView = Omit<Coloured, 'balloons'> & { balloons: RopeBalloon[]; plan: PlinthPlan };

/** A plinth from its figures, its clusters from left to right. */
export function viewPlinth(
  design: PlinthDesign,
  basis: Material,
): { ok: true; value: PlinthView } | { ok: false; problem: Problem<PlinthProblemCode | ColourMapProblemCode> } {
  const { count, clusters, widthMm, smallMm, weightKg, standing, wind, colours } = design;
  const made = solvePlinth({
    plinth: { count, clusters, widthMm, smallMm, weightKg, standing, wind },
    packing: packingOf(basis).packing,
    trade: basis.knowledge.trade,
  });
  if (!made.ok) return made;
  const plan = made.value;
  const chosen = modelFor(
    colours.map((part) => sizesOf(part, basis)),
    basis,
  );
  const placed = plinthBalloons(plan);
  const all = placed.map(({ neck: _, ...at }) => ({ ...at, aspect: 1, outwards: null }));
  const layers = plan.layers.length;
  const found = coloured({ ...design, topper: null }, { balloons: all, layers }, basis, (layer, colour) =>
    sizeOf({ part: colours[colour]!, colour, widthMm: plan.layers[layer]!.widthMm }, chosen, basis),
  );
  if (!found.ok) return found;
  const balloons = found.value.balloons.map((balloon, i): RopeBalloon => {
    return { ...balloon, neck: placed[i]!.neck, step: balloon.layer };
  });
  const sizes = [...found.value.sizes].sort((a, b) => b.widthMm - a.widthMm);
  return { ok: true, value: { ...found.value, sizes, balloons, plan } };
}
