import type { DesignOf } from '@leggero/contract';
import { MM_PER_INCH, usefulWidths, type Problem } from '@leggero/core';
import {
  balloonsOf,
  bowBalloons,
  ropeJoiner,
  solveBow,
  solveColumn,
  stackLayers,
  type BowPlan,
  type BowProblemCode,
  type ColourMapProblemCode,
  type ColumnPlan,
  type ColumnProblemCode,
  type RopeJoiner,
} from '@leggero/core/building';

import { coloured, colourTitle, LOOSE_NOMINAL_MM, type Coloured, type ColumnBalloon } from './colouring';
import { modelOf, packingOf, type Material } from './material';

export type RopeDesign = DesignOf<'rope'>;
export type BowDesign = DesignOf<'bow'>;

/** A balloon of a rope, with where its neck is tied. */
export interface RopeBalloon extends ColumnBalloon {
  /** From its middle, of length 1. */
  neck: readonly [x: number, y: number, z: number];
  /** Its place in the building order. */
  step: number;
}

interface OnRope extends Coloured {
  balloons: RopeBalloon[];
  /** What it is strung on: of a bow each side. */
  joiner: RopeJoiner;
}

/** A rope worked out. */
export type RopeView = OnRope & { plan: ColumnPlan };
/** A bow worked out; its map is that of either side. */
export type BowView = OnRope & { plan: BowPlan; highMm: number; lowMm: number };

type Viewed<Value, Code extends string> = { ok: true; value: Value } | { ok: false; problem: Problem<Code> };

/** A modelling balloon where none is chosen: a 260 (common practice). */
const LOOSE_JOINER_MM = 60 * MM_PER_INCH;

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
  const found = onRope(design, plan.layers, plan.widthMm, basis);
  if (!found.ok) return found;
  const balloons = found.value.balloons.map((balloon): RopeBalloon => {
    const { outwards, layer } = balloon;
    const neck = [-Math.cos(outwards ?? 0), -Math.sin(outwards ?? 0), 0] as const;
    return { ...balloon, neck, step: layer };
  });
  return { ok: true, value: { ...found.value, balloons, plan, joiner: joinerOf(design, plan.heightMm, basis) } };
}

/** A bow from its figures: both sides in the same colours. */
export function viewBow(design: BowDesign, basis: Material): Viewed<BowView, BowProblemCode | ColourMapProblemCode> {
  const { open, loop, tail, widthMm, acrossMm, knotMm } = design;
  const made = solveBow({ bow: { open, loop, tail, widthMm, acrossMm }, ...givenBy(design, basis) });
  if (!made.ok) return made;
  const plan = made.value;
  const each = plan.loop + plan.tail;
  const found = onRope(design, each, plan.widthMm, basis);
  if (!found.ok) return found;
  const { balloons: side, sizes, tying, ...rest } = found.value;
  const balloons = bowBalloons(plan).map(({ side: which, duplet, place, xMm, yMm, zMm, neck }): RopeBalloon => {
    const like = side[2 * duplet + place]!;
    const step = which === 'right' ? duplet : each + duplet;
    return { ...like, xMm, yMm, zMm: knotMm + zMm, outwards: null, neck, step };
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

/** What its balloons are useful in, and how the studio builds. */
function givenBy({ colours }: RopeDesign | BowDesign, basis: Material) {
  const { trade } = basis.knowledge;
  const useful = colours
    .map((part) => modelOf(part, basis)?.nominalMm ?? LOOSE_NOMINAL_MM)
    .map((nominalMm) => usefulWidths({ nominalMm, trade }));
  return {
    ...{ stepMm: basis.studio.stepMm, packing: packingOf(basis).packing, trade },
    leastMm: Math.max(...useful.map(({ leastMm }) => leastMm)),
    mostMm: Math.min(...useful.map(({ mostMm }) => mostMm)),
  };
}

/** So many duplets upon each other, in their colours. */
function onRope(design: RopeDesign | BowDesign, layers: number, widthMm: number, basis: Material) {
  const { packing, trade } = givenBy(design, basis);
  const stacked = stackLayers({
    layers: Array.from({ length: layers }, () => ({ count: 2, widthMm })),
    packing,
    trade,
  });
  if (!stacked.ok) return stacked;
  const { colours } = design;
  return coloured({ ...design, topper: null }, { balloons: balloonsOf(stacked.value), layers }, basis, (_, colour) => ({
    key: `colour-${colour + 1}`,
    title: colourTitle(colours[colour]!, colour, basis),
    part: colours[colour]!,
    widthMm,
  }));
}

function joinerOf({ joiner }: RopeDesign | BowDesign, lengthMm: number, { longs, knowledge }: Material): RopeJoiner {
  const joinerMm = longs.find(({ id }) => id === joiner.modelId)?.lengthMm ?? LOOSE_JOINER_MM;
  const made = ropeJoiner({ lengthMm, joinerMm, trade: knowledge.trade });
  if (!made.ok) throw new Error('a rope has a length');
  return made.value;
}
