import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { restsAtMm } from './contact';
import { MOST_IN_LAYER, MOST_LAYERS } from './kinds';
import { halfAxes, ringRadiusMm, type HalfAxes, type Layer } from './layer';

/** Longer balloons than this are none that could lie in a layer. */
const ASPECTS = { least: 0.7, most: 2 } as const;
const PACKINGS = { least: 0.4, most: 1.2 } as const;
/** Wider is no balloon. */
const MOST_WIDTH_MM = 3000;

/** A layer where it rests. */
export interface StackedLayer extends Layer {
  aspect: number;
  /** Of its centres above the lowest point of the stack, mm. */
  heightMm: number;
  /** Above the layer below, mm; 0 for the lowest. */
  riseMm: number;
  /** Of its centres from the middle, mm. */
  radiusMm: number;
  /** The direction of its first balloon, radians. */
  turn: number;
}

/** Layers upon each other. */
export interface Stack {
  layers: StackedLayer[];
  /** From the lowest point to the highest, mm. */
  heightMm: number;
  /** The part of that which packing softens: from the lowest centres to the highest, as if nothing gave, mm. */
  touchingMm: number;
  balloons: number;
}

export type StackLayersProblemCode =
  | 'no-layers'
  | 'too-many-layers'
  | 'bad-count'
  | 'bad-width'
  | 'bad-aspect'
  | 'bad-packing'
  /** The layer is so much larger or smaller that it falls around or through those below. */
  | 'no-hold';

/**
 * Layers of balloons upon each other, each a ring of touching balloons turned by half a step on the one below, so that
 * it rests in its creases. A layer comes down until any of its balloons touches any of the layers below, the last but
 * one too where the one between is small; `packing` is what is left of that rise once latex gives and necks pull.
 *
 * `layers`: from the lowest up. `packing`: 0.4 to 1.2; 1 is touching; the trade's number where none is given, with
 * which eight layers of quads of 10 in make 5 ft.
 *
 * Problems: `no-layers`, `too-many-layers` (200), `bad-packing`; with `layers.<index>.…` as their field `bad-count` (1
 * to 24), `bad-width`, `bad-aspect` (0.7 to 2), `no-hold`.
 *
 * Source: contact of ellipsoids (`restsAtMm`); for equal rings of spheres these are the published heights of uniform
 * antiprisms (Cromwell, Polyhedra, 1997). Packing: common practice.
 */
export function stackLayers({
  layers,
  trade = TRADE,
  packing = trade.packing,
}: {
  layers: readonly Layer[];
  packing?: number | undefined;
  trade?: Trade | undefined;
}): Result<Stack, StackLayersProblemCode> {
  if (layers.length === 0) return problem('no-layers', { field: 'layers' });
  if (layers.length > MOST_LAYERS)
    return problem('too-many-layers', { field: 'layers', detail: { most: MOST_LAYERS } });
  if (!(packing >= PACKINGS.least && packing <= PACKINGS.most))
    return problem('bad-packing', { field: 'packing', detail: PACKINGS });
  const rests = memoized();
  const stack: StackedLayer[] = [];
  const rings: Ringed[] = [];
  // Heights while nothing gives, above the lowest centres.
  const touching: number[] = [];
  let most = 0;
  for (const [i, layer] of layers.entries()) {
    const wrong = layerProblem(layer, i);
    if (wrong) return wrong;
    const { count, widthMm, aspect = 1 } = layer;
    const below = stack.at(-1);
    const turn = below ? below.turn + Math.PI / below.count : 0;
    const placed: Ringed = { count, widthMm, aspect, turn, radiusMm: ringRadiusMm(layer), axes: halfAxes(layer) };
    most = Math.max(most, placed.axes.upMm);
    let height: number | null = below ? null : 0;
    for (let j = i - 1; j >= 0 && touching[i - 1]! - touching[j]! < 2 * most; j -= 1) {
      const rest = rests(rings[j]!, placed);
      if (rest !== null) height = Math.max(height ?? 0, touching[j]! + rest);
    }
    if (height === null || (below && height < touching[i - 1]!))
      return problem('no-hold', { field: `layers.${i}.widthMm`, detail: { ring: i + 1 } });
    const riseMm = below ? packing * (height - touching[i - 1]!) : 0;
    touching.push(height);
    rings.push(placed);
    const { radiusMm } = placed;
    stack.push({ count, widthMm, aspect, turn, radiusMm, heightMm: below ? below.heightMm + riseMm : 0, riseMm });
  }
  // The widest of neighbours may reach lower, or higher, than the first and the last.
  const lowest = Math.min(...stack.map((layer) => layer.heightMm - halfAxes(layer).upMm));
  const highest = Math.max(...stack.map((layer) => layer.heightMm + halfAxes(layer).upMm));
  return ok({
    layers: stack.map((layer) => ({ ...layer, heightMm: layer.heightMm - lowest })),
    heightMm: highest - lowest,
    touchingMm: touching.at(-1)!,
    balloons: stack.reduce((sum, { count }) => sum + count, 0),
  });
}

function layerProblem({ count, widthMm, aspect = 1 }: Layer, i: number) {
  const field = (name: string) => `layers.${i}.${name}`;
  if (!(Number.isInteger(count) && count >= 1 && count <= MOST_IN_LAYER))
    return problem('bad-count', { field: field('count'), detail: { least: 1, most: MOST_IN_LAYER } });
  if (!(widthMm > 0 && widthMm <= MOST_WIDTH_MM)) return problem('bad-width', { field: field('widthMm') });
  if (!(aspect >= ASPECTS.least && aspect <= ASPECTS.most))
    return problem('bad-aspect', { field: field('aspect'), detail: ASPECTS });
  return null;
}

/** A ring with what its contacts are reckoned from. */
interface Ringed extends Required<Layer> {
  turn: number;
  radiusMm: number;
  axes: HalfAxes;
}

/**
 * How far above one ring another rests on it; null where it passes. Rings repeat in a column: each pair is asked once,
 * but for spheres in rings of one count, where the nearest two say it at once.
 */
function memoized(): (lower: Ringed, upper: Ringed) => number | null {
  const known = new Map<string, number | null>();
  return (lower, upper) => {
    if (lower.count === upper.count && lower.aspect === 1 && upper.aspect === 1) return nearestRests(lower, upper);
    // Turned by a whole step of either ring it is the same again.
    const steps = ((upper.turn - lower.turn) * leastCommonMultiple(lower.count, upper.count)) / (2 * Math.PI);
    const phase = Math.round((steps - Math.floor(steps)) * 1e6) % 1e6;
    const key = [lower, upper].flatMap(({ count, widthMm, aspect }) => [count, widthMm, aspect]).join() + `,${phase}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const found = restOnRing(lower, upper);
    known.set(key, found);
    return found;
  };
}

/** Of spheres in two rings of one count those rest highest that are nearest around it. */
function nearestRests(lower: Ringed, upper: Ringed): number | null {
  const turned = ((upper.turn - lower.turn) * lower.count) / (2 * Math.PI);
  const angle = ((turned - Math.round(turned)) * 2 * Math.PI) / lower.count;
  const [r1, r2] = [lower.radiusMm, upper.radiusMm];
  const level2 = r1 * r1 + r2 * r2 - 2 * r1 * r2 * Math.cos(angle);
  const squared = (lower.axes.upMm + upper.axes.upMm) ** 2 - level2;
  return squared > 0 ? Math.sqrt(squared) : null;
}

function leastCommonMultiple(a: number, b: number): number {
  let [larger, smaller] = [a, b];
  while (smaller > 0) [larger, smaller] = [smaller, larger % smaller];
  return (a / larger) * b;
}

function restOnRing(lower: Ringed, upper: Ringed): number | null {
  let highest: number | null = null;
  // Between rings of one count one of the upper meets each of the lower as every other does.
  const upperCount = lower.count === upper.count ? 1 : upper.count;
  for (let i = 0; i < upperCount; i += 1) {
    for (let j = 0; j < lower.count; j += 1) {
      const rest = restsAtMm(
        { ...lower, angle: lower.turn + (2 * Math.PI * j) / lower.count },
        { ...upper, angle: upper.turn + (2 * Math.PI * i) / upper.count },
      );
      if (rest !== null && (highest === null || rest > highest)) highest = rest;
    }
  }
  return highest;
}

/** How wide a stack is over everything, mm: so much room it needs wherever it goes through upright. */
export function acrossMm({ layers }: Pick<Stack, 'layers'>): number {
  return Math.max(...layers.map((layer) => 2 * (layer.radiusMm + halfAxes(layer).outMm)));
}

/** One balloon of a stack, in space: x to the right, y to the back, z up from the lowest point, mm. */
export interface StackedBalloon {
  layer: number;
  /** Its place in the layer. */
  place: number;
  xMm: number;
  yMm: number;
  zMm: number;
  widthMm: number;
  aspect: number;
  /** Where its crown points: outwards at an angle, radians; null for one that stands. */
  outwards: number | null;
}

/** Every balloon of a stack where it rests. */
export function balloonsOf({ layers }: Pick<Stack, 'layers'>): StackedBalloon[] {
  return layers.flatMap(({ count, widthMm, aspect, radiusMm, heightMm, turn }, layer) =>
    Array.from({ length: count }, (_, place): StackedBalloon => {
      const angle = turn + (2 * Math.PI * place) / count;
      const [xMm, yMm] = [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)];
      return { layer, place, xMm, yMm, zMm: heightMm, widthMm, aspect, outwards: count === 1 ? null : angle };
    }),
  );
}
