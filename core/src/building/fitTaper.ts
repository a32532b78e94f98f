import { monotoneCurve } from '../numeric';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { MOST_IN_LAYER, MOST_LAYERS } from './kinds';
import { stackLayers, type Stack, type StackLayersProblemCode } from './stackLayers';

/** A place on a silhouette: how far up, 0 the foot and 1 the top, and how wide the balloons are there, mm. */
export interface ProfilePoint {
  at: number;
  widthMm: number;
}

/** A taper on steps. */
export interface TaperPlan {
  /** From the foot up, mm: exactly, and on the steps. */
  exactMm: number[];
  widthsMm: number[];
  stack: Stack;
  /** Of the layers, mm, and how far that is from what was asked (below 0: the pole shows). */
  heightMm: number;
  offMm: number;
  /** The factor by which all sizes of the profile were changed so that whole layers fit. */
  scale: number;
  /** The largest difference between neighbours beyond what the profile has there, mm. */
  jumpMm: number;
}

export type TaperProblemCode =
  | StackLayersProblemCode
  | 'bad-height'
  | 'bad-step'
  /** Points must rise from 0 to 1, two at least and nine at most. */
  | 'bad-profile'
  /** A layer would need a width that is none: `leastMm`, `mostMm`. */
  | 'outside-useful';

const POINTS = { least: 2, most: 9 } as const;
const MOST_HEIGHT_MM = 30_000;
/** Rounds after which the heights of layers and their sizes agree to a hair. */
const ROUNDS = 30;
/** Sizes to both sides of the exact one that are tried for a layer. */
const REACH = 2;
/** Heights nearer to one another than this are one, mm: a tape sees no less. */
const GRAIN_MM = 0.5;

/**
 * Sizes of a taper, from a silhouette and the height it must cover. The silhouette is followed at the height of each
 * layer; the number of layers is the one whose own height is nearest, and all sizes are scaled by one factor so that it
 * is met. Then sizes are put on steps over all layers together: of the sets of steps near the exact ones the one is taken
 * that lies nearest, keeps the difference from layer to layer as the silhouette has it, never goes against it, and adds
 * up to the height.
 *
 * `count`: balloons in a layer, 3 to 24. `profile`: points from foot to top.
 *
 * Problems: `bad-count`, `bad-profile`, `bad-height`, `bad-step`, `outside-useful` with the layer's field, and those of
 * `stackLayers`.
 *
 * Source: `stackLayers`; the search is dynamic programming over the layers (any handbook of algorithms).
 */
export function fitTaper({
  count,
  profile,
  heightMm,
  stepMm,
  leastMm = stepMm,
  mostMm = 1000,
  aspect = 1,
  trade = TRADE,
  packing = trade.packing,
}: {
  count: number;
  profile: readonly ProfilePoint[];
  heightMm: number;
  stepMm: number;
  /** Widths that balloons are there for, mm. */
  leastMm?: number | undefined;
  mostMm?: number | undefined;
  aspect?: number | undefined;
  packing?: number | undefined;
  trade?: Trade | undefined;
}): Result<TaperPlan, TaperProblemCode> {
  if (!(Number.isInteger(count) && count >= 2 && count <= MOST_IN_LAYER))
    return problem('bad-count', { field: 'count', detail: { least: 2, most: MOST_IN_LAYER } });
  if (!isProfile(profile)) return problem('bad-profile', { field: 'profile' });
  if (!(heightMm > 0 && heightMm <= MOST_HEIGHT_MM))
    return problem('bad-height', { field: 'heightMm', detail: { leastMm: 0, mostMm: MOST_HEIGHT_MM } });
  if (!(stepMm > 0 && stepMm < Math.min(...profile.map(({ widthMm }) => widthMm))))
    return problem('bad-step', { field: 'stepMm' });
  const curve = monotoneCurve(profile.map(({ at, widthMm }) => ({ x: at, y: widthMm })));
  const stacked = (widths: readonly number[]) =>
    stackLayers({ layers: widths.map((widthMm) => ({ count, widthMm, aspect })), packing, trade });
  const followed = layersOn(curve, heightMm, stacked);
  if (!followed.ok) return followed;
  const { widths, scale } = followed.value;
  const exactMm = widths.map((width) => width * scale);
  const outside = exactMm.findIndex((width) => !(width >= leastMm - stepMm / 2 && width <= mostMm + stepMm / 2));
  if (outside >= 0)
    return problem('outside-useful', {
      field: `layers.${outside}.widthMm`,
      detail: { leastMm, mostMm, widthMm: exactMm[outside]! },
    });
  const widthsMm = onSteps(exactMm, { count, aspect, stepMm, leastMm, mostMm, heightMm, packing, trade });
  const stack = stacked(widthsMm);
  if (!stack.ok) return stack;
  const jumps = widthsMm.slice(1).map((width, i) => Math.abs(width - widthsMm[i]! - (exactMm[i + 1]! - exactMm[i]!)));
  return ok({
    ...{ exactMm, widthsMm, scale, stack: stack.value, heightMm: stack.value.heightMm },
    offMm: stack.value.heightMm - heightMm,
    jumpMm: Math.max(0, ...jumps),
  });
}

function isProfile(profile: readonly ProfilePoint[]): boolean {
  return (
    profile.length >= POINTS.least &&
    profile.length <= POINTS.most &&
    profile[0]!.at === 0 &&
    profile.at(-1)!.at === 1 &&
    profile.every(
      ({ at, widthMm }, i) => widthMm > 0 && Number.isFinite(widthMm) && (i === 0 || at > profile[i - 1]!.at),
    )
  );
}

/** The number of layers that needs to be scaled least, their sizes before that, and the scale. */
function layersOn(
  curve: (at: number) => number,
  heightMm: number,
  stacked: (widths: readonly number[]) => Result<Stack, StackLayersProblemCode>,
): Result<{ widths: number[]; scale: number }, TaperProblemCode> {
  let best: { widths: number[]; scale: number } | null = null;
  for (let layers = 1; layers <= MOST_LAYERS; layers += 1) {
    const made = follow(curve, layers, stacked);
    if (!made.ok) return made;
    const scale = heightMm / made.value.heightMm;
    const departs = Math.abs(Math.log(scale));
    if (best !== null && departs >= Math.abs(Math.log(best.scale))) return ok(best);
    best = { widths: made.value.widths, scale };
  }
  return problem('too-many-layers', { field: 'heightMm', detail: { most: MOST_LAYERS } });
}

/** So many layers, each as wide as the silhouette is at its own height. */
function follow(
  curve: (at: number) => number,
  layers: number,
  stacked: (widths: readonly number[]) => Result<Stack, StackLayersProblemCode>,
): Result<{ widths: number[]; heightMm: number }, StackLayersProblemCode> {
  let widths = Array.from({ length: layers }, (_, i) => curve((i + 0.5) / layers));
  let made = stacked(widths);
  for (let round = 0; round < ROUNDS && made.ok; round += 1) {
    const { layers: placed, heightMm } = made.value;
    const next = placed.map((layer) => curve(layer.heightMm / heightMm));
    const moved = Math.max(...next.map((width, i) => Math.abs(width - widths[i]!)));
    widths = next;
    made = stacked(widths);
    if (moved < SETTLED_MM) break;
  }
  return made.ok ? ok({ widths, heightMm: made.value.heightMm }) : made;
}

const SETTLED_MM = 0.01;

interface Steps {
  count: number;
  aspect: number;
  stepMm: number;
  leastMm: number;
  mostMm: number;
  heightMm: number;
  packing: number;
  trade: Trade;
}

/** The best way to a size of a layer, among those that lead to one height. */
interface Way {
  /** Which of the layer's sizes. */
  size: number;
  /** Of the layer's centres above the foot, mm. */
  heightMm: number;
  cost: number;
  before: Way | null;
}

function onSteps(exactMm: readonly number[], steps: Steps): number[] {
  const { stepMm, heightMm } = steps;
  const sizes = exactMm.map((exact) => sizesNear(exact, steps));
  const off = (width: number, i: number) => ((width - exactMm[i]!) / stepMm) ** 2;
  let ways: Way[] = sizes[0]!.map((width, size) => ({ size, before: null, heightMm: width / 2, cost: off(width, 0) }));
  let exactHeightMm = exactMm[0]! / 2;
  for (let i = 1; i < exactMm.length; i += 1) {
    const wanted = exactMm[i]! - exactMm[i - 1]!;
    exactHeightMm += riseOf(exactMm[i - 1]!, exactMm[i]!, steps) ?? 0;
    const next = new Map<number, Way>();
    sizes[i]!.forEach((width, size) => {
      const own = off(width, i);
      const rises = sizes[i - 1]!.map((below) => {
        const difference = width - below;
        // Against the silhouette a step reads as a mistake.
        const turns = difference * wanted < 0 && Math.abs(difference) > stepMm / 2 && Math.abs(wanted) > SETTLED_MM;
        const rise = turns ? null : riseOf(below, width, steps);
        return rise === null ? null : { rise, cost: own + ((difference - wanted) / stepMm) ** 2 };
      });
      for (const before of ways) {
        const up = rises[before.size];
        if (!up) continue;
        const height = before.heightMm + up.rise;
        // What has gone astray so far does not come back in sizes that near.
        if (Math.abs(height - exactHeightMm) > ASTRAY * stepMm) continue;
        const cost = before.cost + up.cost;
        const key = Math.round(height / GRAIN_MM) * sizes[i]!.length + size;
        const known = next.get(key);
        if (!known || cost < known.cost) next.set(key, { size, before, heightMm: height, cost });
      }
    });
    if (next.size === 0) return exactMm.map((exact) => Math.round(exact / stepMm) * stepMm);
    ways = [...next.values()];
  }
  const top = sizes.at(-1)!;
  const last = ({ heightMm: at, size, cost }: Way) => cost + ((at + top[size]! / 2 - heightMm) / (stepMm / 2)) ** 2;
  const best = ways.reduce((a, b) => (last(b) < last(a) ? b : a));
  const widths: number[] = [];
  for (let way: Way | null = best, i = sizes.length - 1; way; way = way.before, i -= 1)
    widths.unshift(sizes[i]![way.size]!);
  return widths;
}

/** Steps by which the height of some layers may differ from that of the exact ones. */
const ASTRAY = 4;

/** The steps about a size. */
function sizesNear(exact: number, { stepMm, leastMm, mostMm }: Steps): number[] {
  const middle = Math.round(exact / stepMm);
  const near = Array.from({ length: 2 * REACH + 1 }, (_, i) => (middle - REACH + i) * stepMm);
  const useful = near.filter((width) => width >= leastMm - 1e-6 && width <= mostMm + 1e-6 && width > 0);
  return useful.length > 0 ? useful : [middle * stepMm];
}

/** How far a layer rises on the one below, by the widths of both; null where it finds no hold. */
function riseOf(lowerMm: number, upperMm: number, { count, aspect, packing, trade }: Steps): number | null {
  const layers = [lowerMm, upperMm].map((widthMm) => ({ count, widthMm, aspect }));
  const made = stackLayers({ layers, packing, trade });
  return made.ok ? made.value.layers[1]!.riseMm : null;
}
