import type { DesignOf } from '@leggero/contract';
import type { Problem } from '@leggero/core';
import {
  balloonsOf,
  bowBalloons,
  ropeJoiner,
  solveBow,
  solveColumn,
  type BowPlan,
  type BowProblemCode,
  type ColourMapProblemCode,
  type ColumnPlan,
  type ColumnProblemCode,
  type RopeJoiner,
} from '@leggero/core/building';

import { colourSize, givenBy } from './colouring';
import { longOf, type Material } from './material';
import { colouredTied, type TiedBalloon, type TiedColours, type Uncoloured } from './tied';

export type RopeDesign = DesignOf<'rope'>;
export type BowDesign = DesignOf<'bow'>;

interface OnRope extends TiedColours {
  /** What it is strung on: of a bow each side. */
  joiner: RopeJoiner;
}

/** A rope worked out. */
export type RopeView = OnRope & { plan: ColumnPlan };
/** A bow worked out; its map is that of either side. */
export type BowView = OnRope & { plan: BowPlan; highMm: number; lowMm: number };

type Viewed<Value, Code extends string> = { ok: true; value: Value } | { ok: false; problem: Problem<Code> };

/** A rope from its figures, from its lower end up. */
export function viewRope(
  design: RopeDesign,
  basis: Material,
): Viewed<RopeView, ColumnProblemCode | ColourMapProblemCode> {
  const { count, open, layers, widthMm, heightMm } = design;
  const made = solveColumn({
    column: { count, open, layers, widthMm, heightMm, standMm: 0, topper: null },
    ...givenBy(design, basis),
  });
  if (!made.ok) return made;
  const plan = made.value;
  const placed = balloonsOf(plan.stack).map(({ outwards, ...at }): Uncoloured => {
    const angle = outwards ?? 0;
    return { ...at, neck: [-Math.cos(angle), -Math.sin(angle), 0] };
  });
  const sizeAt = colourSize(design.colours, plan.widthMm, basis);
  const found = colouredTied(design, { placed, layers: plan.layers }, basis, sizeAt);
  if (!found.ok) return found;
  return { ok: true, value: { ...found.value, plan, joiner: joinerOf(design, plan.heightMm, basis) } };
}

/** A bow from its figures: both sides in the same colours. */
export function viewBow(design: BowDesign, basis: Material): Viewed<BowView, BowProblemCode | ColourMapProblemCode> {
  const { open, loop, tail, widthMm, acrossMm, knotMm } = design;
  const made = solveBow({ bow: { open, loop, tail, widthMm, acrossMm }, ...givenBy(design, basis) });
  if (!made.ok) return made;
  const plan = made.value;
  const each = plan.loop + plan.tail;
  const all = bowBalloons(plan);
  const placed = all
    .filter(({ side }) => side === 'right')
    .map(({ duplet, ...at }): Uncoloured => ({ ...at, layer: duplet, widthMm: plan.widthMm }));
  const sizeAt = colourSize(design.colours, plan.widthMm, basis);
  const found = colouredTied(design, { placed, layers: each }, basis, sizeAt);
  if (!found.ok) return found;
  const { balloons: right, sizes, tying, ...rest } = found.value;
  const balloons = all.map(({ side, duplet, place, xMm, yMm, zMm, neck }): TiedBalloon => {
    const like = right[2 * duplet + place]!;
    return { ...like, xMm, yMm, zMm: knotMm + zMm, neck, step: side === 'right' ? duplet : each + duplet };
  });
  const heights = balloons.map(({ zMm }) => zMm);
  return {
    ok: true,
    value: {
      ...rest,
      balloons,
      plan,
      sizes: sizes.map((size) => ({ ...size, count: 2 * size.count })),
      tying: { ...tying, tied: tying.tied.map((tied) => ({ ...tied, count: 2 * tied.count })) },
      joiner: joinerOf(design, plan.loopMm + plan.tailMm, basis),
      highMm: Math.max(...heights) + plan.widthMm / 2,
      lowMm: Math.min(...heights) - plan.widthMm / 2,
    },
  };
}

function joinerOf({ joiner }: RopeDesign | BowDesign, lengthMm: number, { longs, knowledge }: Material): RopeJoiner {
  const { lengthMm: joinerMm } = longOf(longs.find(({ id }) => id === joiner.modelId));
  const made = ropeJoiner({ lengthMm, joinerMm, trade: knowledge.trade });
  if (!made.ok) throw new Error('a rope has a length');
  return made.value;
}
