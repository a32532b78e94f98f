import type { DesignOf } from '@leggero/contract';
import type { Problem, Result } from '@leggero/core';
import {
  balloonsOf,
  hangSign,
  hoopBalloons,
  solveHoop,
  stackLayers,
  wrapFilled,
  type ColourMapProblemCode,
  type HoopPlan,
  type HoopProblemCode,
  type HungSign,
} from '@leggero/core/building';

import { longOf, packingOf, type Material } from './material';
import { colouredTied, type TiedColours, type Uncoloured } from './tied';
import { modelFor, sizeOf, sizesOf } from './viewTaper';

export type HoopDesign = DesignOf<'hoop'>;

/** A hoop worked out. */
export type HoopView = TiedColours & {
  plan: HoopPlan;
  /** Half-filled modelling balloons that cover what is bare; null where nothing is. */
  wraps: number | null;
  sign: Result<HungSign, 'sign-too-large'> | null;
  /** Over everything, mm. */
  highMm: number;
};

/** A hoop's tube, mm across (common practice). */
export const HOOP_TUBE_MM = 16;
/** Clusters around a foot stand so many widths apart. */
const FOOT_APART = 1.9;

/** A hoop from its figures: crescents and a foot, which balloon is where, what covers the rest, its sign. */
export function viewHoop(
  design: HoopDesign,
  basis: Material,
): { ok: true; value: HoopView } | { ok: false; problem: Problem<HoopProblemCode | ColourMapProblemCode> } {
  const { count, hoopMm, standMm, crescents, stepMm, foot, sign, colours } = design;
  const { trade } = basis.knowledge;
  const { packing } = packingOf(basis);
  const made = solveHoop({ hoop: { hoopMm, count, crescents }, stepMm, packing, trade });
  if (!made.ok) return made;
  const plan = made.value;
  const footed = footOf(design, trade);
  if (!footed.ok) return footed;
  const widths = [
    ...plan.clusters.map(({ widthMm }) => widthMm),
    ...Array<number>(foot?.clusters ?? 0).fill(foot?.widthMm ?? 0),
  ];
  const chosen = modelFor(
    colours.map((part) => sizesOf(part, basis)),
    basis,
  );
  const placed = hoopBalloons({ hoopMm, count }, plan);
  const middleMm = standMm + hoopMm / 2;
  const all = [
    ...placed.map(({ cluster, ...each }): Uncoloured => ({ ...each, layer: cluster, zMm: middleMm + each.zMm })),
    ...footed.value.map((each) => ({ ...each, layer: plan.clusters.length + each.layer })),
  ];
  const steps = buildingOrder(plan);
  const found = colouredTied(
    design,
    { placed: all, layers: widths.length },
    basis,
    (layer, colour) => sizeOf({ part: colours[colour]!, colour, widthMm: widths[layer]! }, chosen, basis),
    (layer) => steps[layer] ?? layer,
  );
  if (!found.ok) return found;
  const { balloons } = found.value;
  return {
    ok: true,
    value: {
      ...found.value,
      sizes: [...found.value.sizes].sort((a, b) => b.widthMm - a.widthMm),
      plan,
      wraps: plan.bareMm > 0 ? wrapsFor(plan.bareMm, basis) : null,
      sign: sign && hangSign({ sign, hoopMm, balloons: placed }),
      highMm: Math.max(standMm + hoopMm, ...balloons.map(({ zMm, widthMm }) => zMm + widthMm / 2)),
    },
  };
}

/** The tube, all around, mm above the floor. */
export function hoopLine({ hoopMm, standMm }: HoopDesign): { xMm: number; yMm: number; zMm: number }[] {
  return Array.from({ length: ROUND + 1 }, (_, i) => {
    const at = (2 * Math.PI * i) / ROUND;
    return { xMm: (hoopMm / 2) * Math.sin(at), yMm: 0, zMm: standMm + (hoopMm / 2) * (1 + Math.cos(at)) };
  });
}

const ROUND = 72;

/** A crescent is built from its centre outwards, to the left and the right in turn. */
function buildingOrder({ clusters }: HoopPlan): number[] {
  const order = clusters
    .map(({ crescent, place }, i) => ({ i, crescent, out: Math.abs(place), right: place > 0 }))
    .sort((a, b) => a.crescent - b.crescent || a.out - b.out || Number(a.right) - Number(b.right));
  const steps = Array<number>(clusters.length).fill(0);
  order.forEach(({ i }, step) => (steps[i] = step));
  return steps;
}

/** Clusters in a row at the foot of the stand, each a ring that lies on the floor. */
function footOf(
  { count, foot }: HoopDesign,
  trade: Material['knowledge']['trade'],
): Result<Uncoloured[], HoopProblemCode> {
  if (!foot) return { ok: true, value: [] };
  const ring = stackLayers({ layers: [{ count, widthMm: foot.widthMm }], trade });
  if (!ring.ok) return { ok: false, problem: { ...ring.problem, field: 'foot' } as typeof ring.problem };
  const lying = balloonsOf(ring.value);
  const value = Array.from({ length: foot.clusters }, (_, layer) => {
    const asideMm = (layer - (foot.clusters - 1) / 2) * FOOT_APART * foot.widthMm;
    return lying.map(({ outwards, ...balloon }): Uncoloured => {
      const angle = outwards ?? 0;
      return { ...balloon, layer, xMm: balloon.xMm + asideMm, neck: [-Math.cos(angle), -Math.sin(angle), 0] };
    });
  }).flat();
  return { ok: true, value };
}

/** Half-filled ones of the first modelling balloon on the shelf, of a 260 where there is none. */
function wrapsFor(lengthMm: number, { longs }: Material): number | null {
  const size = longOf(longs.find(({ lengthMm: long }) => long !== null));
  const cover = wrapFilled({ size, diameterMm: HOOP_TUBE_MM, lengthMm });
  return cover.ok ? cover.value.balloons : null;
}
