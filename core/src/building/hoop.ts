import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { roundToStep } from '../units';
import { halfAxes, ringRadiusMm } from './layer';
import { stackLayers, type StackedLayer, type StackLayersProblemCode } from './stackLayers';
import { tiedRing, type TiedPlace } from './tiedRing';

/** Clusters of one size to both sides of a crescent's centre, left and right as one looks at it. */
export interface CrescentStep {
  widthMm: number;
  left: number;
  right: number;
}

/** A crescent as it is asked for. */
export interface Crescent {
  /** Where its centre is on the hoop, degrees clockwise from the top. */
  atDeg: number;
  /** Width of its largest cluster's balloons, mm; one stands in the middle. */
  centreMm: number;
  /** From the centre outwards; uneven counts are meant so. */
  steps: readonly CrescentStep[];
  /** Where it begins and ends, degrees clockwise: its sizes are scaled to land there, its centre follows. */
  between: { fromDeg: number; toDeg: number } | null;
}

/** A hoop as it is asked for. */
export interface HoopAsked {
  /** Across, from the middle of the tube to the middle of the tube, mm. */
  hoopMm: number;
  /** Balloons in a cluster. */
  count: number;
  crescents: readonly Crescent[];
}

/** One cluster on the hoop. */
export interface HoopCluster {
  crescent: number;
  /** From the centre: -1 the first to the left, 1 the first to the right. */
  place: number;
  widthMm: number;
  /** Where on the hoop, degrees clockwise from the top. */
  atDeg: number;
  /** The direction of its first balloon around the tube, radians; 0 is away from the middle of the hoop. */
  turn: number;
}

/** A crescent as it lies. */
export interface CrescentPlan {
  /** Over everything, degrees clockwise from the top; the end may be past a whole turn. */
  fromDeg: number;
  toDeg: number;
  /** Along the tube over everything, mm. */
  arcMm: number;
  /** By what its sizes were scaled to land where they were asked to, before they were put on steps; 1 otherwise. */
  scale: number;
  /** Its layers, clockwise. */
  layers: StackedLayer[];
  balloons: number;
}

/** A part of the hoop that no cluster covers. */
export interface BarePart {
  fromDeg: number;
  toDeg: number;
  lengthMm: number;
}

/** A hoop worked out. */
export interface HoopPlan {
  clusters: HoopCluster[];
  crescents: CrescentPlan[];
  bare: BarePart[];
  bareMm: number;
  balloons: number;
}

export type HoopProblemCode =
  | StackLayersProblemCode
  | 'bad-step'
  /** Narrower than its largest clusters are thick: `leastMm`. */
  | 'hoop-too-small'
  /** Two crescents, or the ends of one, lie over each other by `overMm`. */
  | 'crescents-meet'
  /** It begins where it ends. */
  | 'bad-ends';

const WIDEST_MM = 10_000;
const FULL = 360;

/**
 * Crescents on a hoop: clusters of falling size to both sides of a centre, each a ring around the tube, turned by half a
 * step on its neighbour and resting in its creases as the layers of a column do (`stackLayers`), along the middle of the
 * tube.
 *
 * `stepMm`: steps between the sizes that a crescent which is to land somewhere may have.
 *
 * Problems: `bad-step`, `hoop-too-small`, `bad-ends`, `crescents-meet`, with `hoopMm` or `crescents.<i>.…` as their
 * field; those of `stackLayers` with `crescents.<i>.steps.<j>.widthMm`, or `…centreMm` of a centre.
 *
 * Source: `stackLayers`; arcs of a circle. The way crescents are made is common practice.
 */
export function solveHoop({
  hoop: { hoopMm, count, crescents },
  stepMm,
  trade = TRADE,
  packing = trade.packing,
}: {
  hoop: HoopAsked;
  stepMm: number;
  packing?: number | undefined;
  trade?: Trade | undefined;
}): Result<HoopPlan, HoopProblemCode> {
  if (!(stepMm > 0 && Number.isFinite(stepMm))) return problem('bad-step', { field: 'stepMm' });
  const radiusMm = hoopMm / 2;
  const plans: CrescentPlan[] = [];
  const clusters: HoopCluster[] = [];
  for (const [i, crescent] of crescents.entries()) {
    const made = layCrescent({ crescent, i, count, radiusMm, stepMm }, { packing, trade });
    if (!made.ok) return made;
    plans.push(made.value.plan);
    clusters.push(...made.value.clusters);
  }
  const leastMm = 2 * Math.max(0, ...plans.flatMap(({ layers }) => layers.map(reachMm)));
  if (!(hoopMm >= leastMm && hoopMm <= WIDEST_MM && hoopMm > 0))
    return problem('hoop-too-small', { field: 'hoopMm', detail: { leastMm, mostMm: WIDEST_MM } });
  const bare = bareParts(plans, radiusMm);
  if (!bare.ok) return bare;
  return ok({
    clusters,
    crescents: plans,
    bare: bare.value,
    bareMm: bare.value.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
    balloons: count * clusters.length,
  });
}

/** From the tube to the outside of a cluster around it, mm. */
const reachMm = (layer: StackedLayer) => layer.radiusMm + halfAxes(layer).outMm;

interface Laying {
  crescent: Crescent;
  i: number;
  count: number;
  radiusMm: number;
  stepMm: number;
}

function layCrescent(
  { crescent, i, count, radiusMm, stepMm }: Laying,
  { packing, trade }: { packing: number; trade: Trade },
): Result<{ plan: CrescentPlan; clusters: HoopCluster[] }, HoopProblemCode> {
  const { centreMm, steps, between } = crescent;
  for (const [j, { left, right }] of steps.entries()) {
    for (const [name, many] of [['left', left] as const, ['right', right] as const]) {
      if (!(Number.isInteger(many) && many >= 0))
        return problem('bad-count', { field: `crescents.${i}.steps.${j}.${name}`, detail: { least: 0 } });
    }
  }
  // In the lower half of a hoop one goes to the left, clockwise.
  const middleDeg = between ? between.fromDeg + clockwise(between.fromDeg, between.toDeg) / 2 : crescent.atDeg;
  const leftwards = Math.cos((middleDeg * Math.PI) / 180) < -1e-9;
  const [first, last] = leftwards ? (['right', 'left'] as const) : (['left', 'right'] as const);
  const side = (of: 'left' | 'right') => steps.flatMap((step, j) => Array.from({ length: step[of] }, () => j));
  // Clockwise: the step that each cluster is of, or the centre.
  const order = [...side(first).reverse(), CENTRE, ...side(last)];
  const centreAt = side(first).length;
  const widthAt = (j: number, scale: number) => scale * (j === CENTRE ? centreMm : steps[j]!.widthMm);
  const stackOf = (widthOf: (j: number) => number) => {
    const made = stackLayers({ layers: order.map((j) => ({ count, widthMm: widthOf(j) })), packing, trade });
    if (made.ok) return made;
    const { field, ...rest } = made.problem;
    return { ok: false as const, problem: { ...rest, field: ownField(field, i, order) } as typeof made.problem };
  };
  let made = stackOf((j) => widthAt(j, 1));
  if (!made.ok) return made;
  let scale = 1;
  if (between) {
    const wantedDeg = clockwise(between.fromDeg, between.toDeg);
    if (!(wantedDeg > 0)) return problem('bad-ends', { field: `crescents.${i}.between` });
    scale = ((wantedDeg * Math.PI) / 180) * (radiusMm / spanOf(made.value.layers).arcMm);
    made = stackOf((j) => Math.max(stepMm, roundToStep({ mm: widthAt(j, scale), step: stepMm })));
    if (!made.ok) return made;
  }
  const { layers } = made.value;
  const { lowMm, arcMm } = spanOf(layers);
  const degrees = (mm: number) => ((mm / radiusMm) * 180) / Math.PI;
  const centre = layers[centreAt]!.heightMm;
  // One that is to land somewhere is off by as much at both ends.
  const atDeg = between
    ? between.fromDeg + (clockwise(between.fromDeg, between.toDeg) - degrees(arcMm)) / 2 + degrees(centre - lowMm)
    : crescent.atDeg;
  const clusters = layers.map(({ widthMm, heightMm, turn }, at): HoopCluster => {
    const place = (at - centreAt) * (leftwards ? -1 : 1);
    return { crescent: i, place: place === 0 ? 0 : place, widthMm, atDeg: atDeg + degrees(heightMm - centre), turn };
  });
  const fromDeg = atDeg - degrees(centre - lowMm);
  return ok({
    plan: { fromDeg, toDeg: fromDeg + degrees(arcMm), arcMm, scale, layers, balloons: count * layers.length },
    clusters,
  });
}

const CENTRE = -1;

/** From one direction clockwise to another, degrees: above 0 and at most a whole turn, 0 where they are one. */
const clockwise = (fromDeg: number, toDeg: number) => (((toDeg - fromDeg) % FULL) + FULL) % FULL;

/** Where layers begin and how far they reach in all, mm. */
function spanOf(layers: readonly StackedLayer[]): { lowMm: number; arcMm: number } {
  const lowMm = Math.min(...layers.map(({ heightMm, widthMm }) => heightMm - widthMm / 2));
  return { lowMm, arcMm: Math.max(...layers.map(({ heightMm, widthMm }) => heightMm + widthMm / 2)) - lowMm };
}

function ownField(field: string | undefined, i: number, order: readonly number[]): string {
  const [, at, name] = /^layers\.(\d+)\.(\w+)$/.exec(field ?? '') ?? [];
  if (at === undefined) return `crescents.${i}`;
  if (name === 'count') return 'count';
  const j = order[Number(at)]!;
  return j === CENTRE ? `crescents.${i}.centreMm` : `crescents.${i}.steps.${j}.widthMm`;
}

/** What lies between crescents, going round; the whole hoop where there are none. */
function bareParts(plans: readonly CrescentPlan[], radiusMm: number): Result<BarePart[], HoopProblemCode> {
  const mm = (degrees: number) => ((degrees * Math.PI) / 180) * radiusMm;
  const turned = (degrees: number) => clockwise(0, degrees);
  if (plans.length === 0) return ok([{ fromDeg: 0, toDeg: FULL, lengthMm: mm(FULL) }]);
  const inOrder = plans.map((plan, i) => ({ ...plan, i })).sort((a, b) => turned(a.fromDeg) - turned(b.fromDeg));
  const bare: BarePart[] = [];
  for (const [at, { fromDeg, toDeg, i }] of inOrder.entries()) {
    const next = inOrder[(at + 1) % inOrder.length]!;
    const longDeg = toDeg - fromDeg;
    const roomDeg = inOrder.length === 1 ? FULL : clockwise(fromDeg, next.fromDeg);
    if (longDeg > roomDeg + 1e-9)
      return problem('crescents-meet', { field: `crescents.${i}`, detail: { overMm: mm(longDeg - roomDeg) } });
    bare.push({ fromDeg: toDeg, toDeg: fromDeg + roomDeg, lengthMm: mm(roomDeg - longDeg) });
  }
  return ok(bare);
}

/** One balloon on a hoop, from the middle of the hoop. */
export interface HoopBalloon extends TiedPlace {
  /** Its cluster, by index among all. */
  cluster: number;
  widthMm: number;
}

/** Every balloon of a hoop where it lies, its neck at the tube. */
export function hoopBalloons(
  { hoopMm, count }: Pick<HoopAsked, 'hoopMm' | 'count'>,
  { clusters }: HoopPlan,
): HoopBalloon[] {
  return clusters.flatMap(({ widthMm, atDeg, turn }, cluster) => {
    const angle = (atDeg * Math.PI) / 180;
    const out = [Math.sin(angle), Math.cos(angle)] as const;
    const at = [(hoopMm / 2) * out[0], (hoopMm / 2) * out[1]] as const;
    const radiusMm = ringRadiusMm({ count, widthMm });
    return tiedRing({ count, turn, radiusMm, at, out }).map((each) => ({ cluster, widthMm, ...each }));
  });
}

/** A sign that hangs inside a hoop. */
export interface HungSign {
  /** Each of the two lines from its upper corners straight up to the tube, mm. */
  lineMm: number;
  /** Free between it and the nearest balloon, as one looks at it, mm; below 0 where they lie over each other. */
  freeMm: number;
}

/**
 * A sign in the middle of a hoop: how long its lines are, and how much room is left around it.
 *
 * Problem: `sign-too-large` (its corners do not lie inside the tube: `mostMm` across its corners).
 *
 * Source: distance of a point from an oblong (any handbook of geometry).
 */
export function hangSign({
  sign: { wideMm, highMm },
  hoopMm,
  balloons,
}: {
  sign: { wideMm: number; highMm: number };
  hoopMm: number;
  balloons: readonly HoopBalloon[];
}): Result<HungSign, 'sign-too-large'> {
  if (!(wideMm > 0 && highMm > 0 && Math.hypot(wideMm, highMm) < hoopMm))
    return problem('sign-too-large', { field: 'sign', detail: { mostMm: hoopMm } });
  const freeMm = Math.min(
    hoopMm,
    ...balloons.map(({ xMm, zMm, widthMm }) => {
      const [aside, above] = [Math.max(0, Math.abs(xMm) - wideMm / 2), Math.max(0, Math.abs(zMm) - highMm / 2)];
      return Math.hypot(aside, above) - widthMm / 2;
    }),
  );
  return ok({ lineMm: Math.sqrt((hoopMm / 2) ** 2 - (wideMm / 2) ** 2) - highMm / 2, freeMm });
}
