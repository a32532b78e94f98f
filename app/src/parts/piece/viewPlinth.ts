import type { DesignOf } from '@leggero/contract';
import type { Problem } from '@leggero/core';
import {
  plinthBalloons,
  solvePlinth,
  type ColourMapProblemCode,
  type PlinthPlan,
  type PlinthProblemCode,
} from '@leggero/core/building';

import { packingOf, type Material } from './material';
import { colouredTied, type TiedColours } from './tied';
import { modelFor, sizeOf, sizesOf } from './viewTaper';

export type PlinthDesign = DesignOf<'plinth'>;

/** A plinth worked out. */
export type PlinthView = TiedColours & { plan: PlinthPlan };

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
  const layers = plan.layers.length;
  const found = colouredTied(design, { placed: plinthBalloons(plan), layers }, basis, (layer, colour) =>
    sizeOf({ part: colours[colour]!, colour, widthMm: plan.layers[layer]!.widthMm }, chosen, basis),
  );
  if (!found.ok) return found;
  const sizes = [...found.value.sizes].sort((a, b) => b.widthMm - a.widthMm);
  return { ok: true, value: { ...found.value, sizes, plan } };
}
