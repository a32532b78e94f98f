import { ok, problem, type Result } from '../result';
import { randomFrom } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { balloonsOfKind, type ClusterKind } from './cluster';
import { MOST_CLUSTERS } from './kinds';
import type { KnotLine, Place } from './knotLine';
import { leavesAt } from './leavesAt';
import { across, putOver } from './overLayer';
import { relax, type Wall } from './relax';
import { settle, WITHIN } from './settle';
import { meanWidth, packedOf, readLine, softGarland, type Bunch, type PackedGarland, type SoftGarland } from './soft';

export type PackGarlandProblemCode =
  'no-clusters' | 'too-many-clusters' | 'too-many-balloons' | 'bad-width' | 'bad-places' | 'over-nothing';

/** More than so many are packed for too long. */
const MOST_PACKED = 5000;

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
const STEPS = 400;

/** A cluster that lies over those along the line. */
export interface Over {
  /** Which of those it is tied over, from 0. */
  on: number;
  kind: ClusterKind;
}

/** Which layer over its cluster each of these is, from 1: the how-manieth that is tied there. */
export function layersOf(over: readonly Pick<Over, 'on'>[]): number[] {
  const tied = new Map<number, number>();
  return over.map(({ on }) => {
    const layer = (tied.get(on) ?? 0) + 1;
    tied.set(on, layer);
    return layer;
  });
}

/** A beginning of a garland that is turned by a seed of its own. */
export interface Kept {
  before: number;
  seed: number;
}

interface PackHow {
  line: KnotLine;
  seed: number;
  /** Clusters before each of these, from 0 and rising, and what lies over them, are turned by a seed of their own. */
  kept?: readonly Kept[] | undefined;
  /** Second and third layers, in the order in which they are tied. */
  over?: readonly Over[] | undefined;
  /** What balloons do not go through, as the floor and what it hangs before. */
  walls?: readonly Wall[] | undefined;
  trade?: Trade | undefined;
}

/**
 * A garland of clusters packed along a line: balloons are soft bodies that press into one another by `garlandPress` of
 * their widths and no more, each within reach of its knot by its neck, `garlandNeck` beyond its own half width. Cluster
 * after cluster is turned so that it nests, put on, and pushed against those before, the last ones turning with it; then
 * what lies over them is tied between their balloons where most room is left, and all come to rest with their knots where
 * they are. What depends on chance, the turns, follows from `seed`; those that are `kept` lie as with their own, but for the
 * last few, which make room for what follows.
 *
 * Problems: `no-clusters`, `too-many-clusters`, `too-many-balloons`, `bad-width`, `over-nothing`.
 *
 * Source: relaxation of soft spheres (`relax`); common practice: how much of a garland a cluster covers.
 */
export function packGarland({
  clusters,
  onDone,
  ...how
}: PackHow & {
  clusters: readonly ClusterKind[];
  /** How many clusters are on, told after each. */
  onDone?: ((clusters: number) => void) | undefined;
}): Result<PackedGarland, PackGarlandProblemCode> {
  if (clusters.length > MOST_CLUSTERS)
    return problem('too-many-clusters', { field: 'clusters', detail: { most: MOST_CLUSTERS } });
  const { walls = [] } = how;
  const seed = seedsOf(how);
  return laid(clusters, how, (garland) => {
    for (let k = 0; k < clusters.length; k += 1) {
      putOn(garland, k, randomFrom(seed(k) + 0x9e3779b9 * k));
      pushOn(garland, k, walls);
      onDone?.(k + 1);
    }
  });
}

/**
 * Balloons in a strip, packed along a line: each by its neck in its hole, to its side as the strip is followed, then
 * let go until they press into one another no more than in `packGarland`.
 *
 * `alongMm`: how far along each hole is, rising.
 *
 * Problems: `no-clusters`, `bad-places` (holes that do not rise), `too-many-balloons`, `bad-width`,
 * `over-nothing`.
 *
 * Source: as of `packGarland`.
 */
export function packStrip({
  balloons,
  ...how
}: PackHow & {
  balloons: readonly { nominalMm: number; widthMm: number; alongMm: number; side: 'left' | 'right' }[];
}): Result<PackedGarland, PackGarlandProblemCode> {
  if (!balloons.every(({ alongMm }, i) => alongMm > (i === 0 ? -Infinity : balloons[i - 1]!.alongMm)))
    return problem('bad-places', { field: 'balloons' });
  const single = balloons.map(({ nominalMm, widthMm }): ClusterKind => [{ nominalMm, widthMm, count: 1 }]);
  const seed = seedsOf(how);
  return laid(single, how, ({ at, alongMm, tetherMm, line }) =>
    balloons.forEach(({ side, alongMm: own }, i) => {
      const random = randomFrom(seed(i) + 0x9e3779b9 * i);
      alongMm[i] = own;
      const { at: hole, along } = readLine(line, own);
      const [one, other] = across(along);
      // A strip hangs flat before what is behind it: its sides are the two directions within the wall.
      const [flat, front] = Math.abs(one[1]) < Math.abs(other[1]) ? [one, other] : [other, one];
      const tip = 2 * STRIP_TIPS * (random() - 0.5);
      const way = side === 'left' ? 1 : -1;
      for (let axis = 0; axis < 3; axis += 1)
        at[3 * i + axis] =
          hole[axis]! + tetherMm[i]! * (way * Math.cos(tip) * flat[axis]! + Math.sin(tip) * front[axis]!);
    }),
  );
}

/** How far balloons of a strip tip to the front or the back, radians at most. */
const STRIP_TIPS = 0.6;

/** By which seed each cluster is turned. */
export const seedsOf =
  ({ seed, kept = [] }: Pick<PackHow, 'seed' | 'kept'>) =>
  (cluster: number): number =>
    kept.find(({ before }) => cluster < before)?.seed ?? seed;

/** Puts on what lies along the line by `lay`, ties the rest over it, and lets all come to rest. */
function laid(
  clusters: readonly ClusterKind[],
  how: PackHow,
  lay: (garland: SoftGarland) => void,
): Result<PackedGarland, PackGarlandProblemCode> {
  const { line, over = [], walls = [], trade = TRADE } = how;
  const checked = checkClusters(clusters, over);
  if (!checked.ok) return checked;
  const layers = layersOf(over);
  const garland = softGarland(
    [
      ...clusters.map((kind, cluster): Bunch => ({ kind, cluster, layer: 0 })),
      ...over.map(({ on, kind }, i): Bunch => ({ kind, cluster: on, layer: layers[i]! })),
    ],
    line,
    trade,
  );
  const seed = seedsOf(how);
  lay(garland);
  for (let k = garland.along; k < garland.bunches.length; k += 1)
    putOver(garland, k, seed(garland.bunches[k]!.cluster), walls);
  return ok(packedOf(garland, settle(garland, walls)));
}

function checkClusters(clusters: readonly ClusterKind[], over: readonly Over[]): Result<null, PackGarlandProblemCode> {
  const all = [...clusters, ...over.map(({ kind }) => kind)];
  if (clusters.length === 0 || all.some((kind) => balloonsOfKind(kind) === 0))
    return problem('no-clusters', { field: 'clusters' });
  if (!over.every(({ on }) => Number.isInteger(on) && on >= 0 && on < clusters.length))
    return problem('over-nothing', { field: 'over' });
  const many = all.reduce((sum, kind) => sum + balloonsOfKind(kind), 0);
  if (many > MOST_PACKED)
    return problem('too-many-balloons', { field: 'clusters', detail: { most: MOST_PACKED, balloons: many } });
  if (!all.every((kind) => kind.every(({ widthMm }) => widthMm > 0 && Number.isFinite(widthMm))))
    return problem('bad-width', { field: 'clusters' });
  return ok(null);
}

/** Ties a cluster around its knot, some way from the last, turned so that it can be pushed nearest. */
function putOn(garland: SoftGarland, k: number, random: () => number): void {
  const { at, reachMm, tetherMm, alongMm, line, starts } = garland;
  const [from, to] = [starts[k]!, starts[k + 1]!];
  if (k > 0) alongMm[k] = alongMm[k - 1]! + APART * (meanWidth(garland, k - 1) + meanWidth(garland, k));
  const {
    at: [x, y, z],
    along,
  } = readLine(line, alongMm[k]!);
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
        nearest = Math.max(nearest, leavesAt(d, along, reachMm[from + j]! + reachMm[p]!) ?? -Infinity);
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

/** Pushes the newest cluster against those before it; the last few turn with it, those behind them stay. */
function pushOn(garland: SoftGarland, k: number, walls: readonly Wall[]): void {
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
