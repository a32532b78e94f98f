import { cross, dot, unit } from '../numeric/space';
import { ok, problem, type Result } from '../result';
import { randomFrom } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { balloonsOfKind, type ClusterKind } from './cluster';
import { MOST_CLUSTERS } from './kinds';
import type { KnotLine, Place } from './knotLine';
import { contactsIn, relax, type Wall } from './relax';

/** A balloon of a garland where it lies, mm. */
export interface PackedBalloon {
  cluster: number;
  place: number;
  nominalMm: number;
  widthMm: number;
  xMm: number;
  yMm: number;
  zMm: number;
  /** From its middle to its knot, of length 1. */
  neck: Place;
}

/** A garland as it comes to rest. */
export interface PackedGarland {
  balloons: PackedBalloon[];
  /** Where each cluster's knot is along the line, mm. */
  knotsMm: number[];
  /** What its clusters cover, half of what lies between two of them beyond the first and the last, mm. */
  lengthMm: number;
  /** The most that two balloons press into one another beyond what is soft, of how far apart they belong. */
  pressed: number;
  /** Pairs of balloons that touch. */
  contacts: number;
}

export type PackGarlandProblemCode = 'no-clusters' | 'too-many-clusters' | 'too-many-balloons' | 'bad-width';

/** More than so many are packed for too long. */
const MOST_PACKED = 4000;

/** Clusters that still turn while the next is pushed on, and those before them that it may touch. */
const LOOSE = 3;
const BEHIND = 3;
/** A cluster is turned so many ways, and put on where it nests best. */
const TURNS = 4;
/** How far balloons may lean along the line before they are pushed on, radians. */
const LEANS = 0.15;
/** Put on so far from the last one, of both clusters' mean widths: without touching. */
const APART = 0.75;
/** Pushed on by hand: gently beside what presses a balloon flat. */
const PULL = 0.003;
const WITHIN = 0.02;
const STEPS = 400;

/**
 * A garland of clusters packed along a line: balloons are soft bodies that press into one another by `garlandPress` of
 * their widths and no more, each within reach of its knot by its neck, `garlandNeck` beyond its own half width. Cluster
 * after cluster is turned so that it nests, put on, and pushed against those before, the last ones turning with it; then
 * all come to rest with their knots where they are. What depends on chance, the turns, follows from `seed`.
 *
 * `walls`: what balloons do not go through, as the floor and what it hangs before.
 *
 * Problems: `no-clusters`, `too-many-clusters`, `too-many-balloons`, `bad-width`.
 *
 * Source: relaxation of soft spheres (`relax`); common practice: how much of a garland a cluster covers.
 */
export function packGarland({
  clusters,
  line,
  seed,
  walls = [],
  trade = TRADE,
  onDone,
}: {
  clusters: readonly ClusterKind[];
  line: KnotLine;
  seed: number;
  walls?: readonly Wall[] | undefined;
  trade?: Trade | undefined;
  /** How many clusters are on, told after each. */
  onDone?: ((clusters: number) => void) | undefined;
}): Result<PackedGarland, PackGarlandProblemCode> {
  const checked = checkClusters(clusters);
  if (!checked.ok) return checked;
  const garland = garlandOf(clusters, line, trade);
  for (let k = 0; k < clusters.length; k += 1) {
    putOn(garland, k, randomFrom(seed + 0x9e3779b9 * k));
    pushOn(garland, k, walls);
    onDone?.(k + 1);
  }
  const { worst } = relax(garland, { within: WITHIN, mostSteps: STEPS, walls });
  return ok(resultOf(garland, clusters, worst));
}

function checkClusters(clusters: readonly ClusterKind[]): Result<null, PackGarlandProblemCode> {
  if (clusters.length === 0 || clusters.some((kind) => balloonsOfKind(kind) === 0))
    return problem('no-clusters', { field: 'clusters' });
  if (clusters.length > MOST_CLUSTERS)
    return problem('too-many-clusters', { field: 'clusters', detail: { most: MOST_CLUSTERS } });
  const many = clusters.reduce((sum, kind) => sum + balloonsOfKind(kind), 0);
  if (many > MOST_PACKED)
    return problem('too-many-balloons', { field: 'clusters', detail: { most: MOST_PACKED, balloons: many } });
  if (!clusters.every((kind) => kind.every(({ widthMm }) => widthMm > 0 && Number.isFinite(widthMm))))
    return problem('bad-width', { field: 'clusters' });
  return ok(null);
}

/** All balloons of a garland in one order: cluster after cluster, each from place 0 on. */
interface Garland {
  at: Float64Array;
  reachMm: Float64Array;
  tetherMm: Float64Array;
  knot: Int32Array;
  alongMm: Float64Array;
  line: KnotLine;
  widthsMm: Float64Array;
  /** The first balloon of each cluster, and how many there are. */
  starts: Int32Array;
}

function garlandOf(clusters: readonly ClusterKind[], line: KnotLine, trade: Trade): Garland {
  const widths: number[] = [];
  const knot: number[] = [];
  const starts = [0];
  clusters.forEach((kind, k) => {
    for (const { widthMm, count } of kind)
      for (let i = 0; i < count; i += 1) {
        widths.push(widthMm);
        knot.push(k);
      }
    starts.push(widths.length);
  });
  return {
    at: new Float64Array(3 * widths.length),
    reachMm: Float64Array.from(widths, (width) => (width / 2) * (1 - trade.garlandPress)),
    tetherMm: Float64Array.from(widths, (width) => (width / 2) * (1 + trade.garlandNeck)),
    knot: Int32Array.from(knot),
    alongMm: new Float64Array(clusters.length),
    line,
    widthsMm: Float64Array.from(widths),
    starts: Int32Array.from(starts),
  };
}

/** Ties a cluster around its knot, some way from the last, turned so that it can be pushed nearest. */
function putOn(garland: Garland, k: number, random: () => number): void {
  const { at, reachMm, tetherMm, alongMm, line, starts } = garland;
  const [from, to] = [starts[k]!, starts[k + 1]!];
  if (k > 0) alongMm[k] = alongMm[k - 1]! + APART * (meanWidth(garland, k - 1) + meanWidth(garland, k));
  const place = new Float64Array(6);
  line.read(alongMm[k]!, place);
  const [x, y, z, ...rest] = place as unknown as [number, number, number, number, number, number];
  const along: Place = [rest[0], rest[1], rest[2]];
  const [one, other] = across(along);
  const turned = () => {
    const first = 2 * Math.PI * random();
    return Array.from({ length: to - from }, (_, j) => {
      const angle = first + (2 * Math.PI * j) / (to - from);
      const lean = LEANS * (2 * random() - 1);
      const [on, a, b] = [Math.sin(lean), Math.cos(lean) * Math.cos(angle), Math.cos(lean) * Math.sin(angle)];
      return [0, 1, 2].map(
        (i) => tetherMm[from + j]! * (on * along[i]! + a * one[i]! + b * other[i]!),
      ) as unknown as Place;
    });
  };
  // How far along it would come to touch what is there.
  const touchesAt = (offs: readonly Place[]) => {
    let nearest = -Infinity;
    for (let p = starts[Math.max(0, k - BEHIND)]!; p < from; p += 1)
      offs.forEach((off, j) => {
        const d: Place = [at[3 * p]! - x - off[0], at[3 * p + 1]! - y - off[1], at[3 * p + 2]! - z - off[2]];
        const on = dot(d, along);
        const asideSquare = dot(d, d) - on * on;
        const apart = reachMm[from + j]! + reachMm[p]!;
        if (asideSquare < apart * apart) nearest = Math.max(nearest, on + Math.sqrt(apart * apart - asideSquare));
      });
    return nearest;
  };
  let best = turned();
  let bestAt = touchesAt(best);
  for (let turn = 1; turn < (k === 0 ? 1 : TURNS); turn += 1) {
    const next = turned();
    const nextAt = touchesAt(next);
    if (nextAt < bestAt) [best, bestAt] = [next, nextAt];
  }
  best.forEach((off, j) => at.set([x + off[0], y + off[1], z + off[2]], 3 * (from + j)));
}

function meanWidth({ widthsMm, starts }: Garland, k: number): number {
  let sum = 0;
  for (let i = starts[k]!; i < starts[k + 1]!; i += 1) sum += widthsMm[i]!;
  return sum / (starts[k + 1]! - starts[k]!);
}

/** Two directions of length 1 across another. */
function across(along: Place): [Place, Place] {
  // Never along what is nearly upright.
  const one = unit(cross(Math.abs(along[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0], along));
  return [one, cross(along, one)];
}

/** Pushes the newest cluster against those before it; the last few turn with it, those behind them stay. */
function pushOn(garland: Garland, k: number, walls: readonly Wall[]): void {
  const { at, reachMm, tetherMm, knot, alongMm, line, starts } = garland;
  const loose = Math.max(0, k - LOOSE + 1);
  const first = Math.max(0, loose - BEHIND);
  const [from, to] = [starts[first]!, starts[k + 1]!];
  const window = {
    at: at.subarray(3 * from, 3 * to),
    reachMm: reachMm.subarray(from, to),
    tetherMm: tetherMm.subarray(from, to),
    knot: knot.slice(from, to).map((own) => own - first),
    alongMm: alongMm.subarray(first, k + 1),
    line,
    held: starts[loose]! - from,
    // The first knot of all never moves.
    heldKnots: Math.max(loose - first, 1),
  };
  relax(window, { within: WITHIN, mostSteps: STEPS, pull: k === 0 ? 0 : PULL, walls });
}

function resultOf(garland: Garland, clusters: readonly ClusterKind[], pressed: number): PackedGarland {
  const { at, alongMm, widthsMm, starts, line, reachMm } = garland;
  const place = new Float64Array(6);
  const balloons = clusters.flatMap((kind, cluster) => {
    line.read(alongMm[cluster]!, place);
    const nominals = kind.flatMap(({ nominalMm, count }) => Array<number>(count).fill(nominalMm));
    return nominals.map((nominalMm, j): PackedBalloon => {
      const i = starts[cluster]! + j;
      const [xMm, yMm, zMm] = [at[3 * i]!, at[3 * i + 1]!, at[3 * i + 2]!];
      const neck = unit([place[0]! - xMm, place[1]! - yMm, place[2]! - zMm]);
      return { cluster, place: j, nominalMm, widthMm: widthsMm[i]!, xMm, yMm, zMm, neck };
    });
  });
  const knotsMm = [...alongMm];
  const last = knotsMm.length - 1;
  const lengthMm = last === 0 ? meanWidth(garland, 0) : ((knotsMm[last]! - knotsMm[0]!) * (last + 1)) / last;
  return { balloons, knotsMm, lengthMm, pressed, contacts: contactsIn(at, reachMm) };
}
