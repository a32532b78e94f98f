import { bisect } from '../numeric';
import { problem, ok, type Result } from '../result';
import { normalCdf, normalDensity } from './normalLaw';

/** Equal observations of a normal variable: each known to lie in (low, high]; one value where both are the same. */
export interface Sighting {
  low: number;
  high: number;
  /** How many were seen so; 1 when absent. */
  count?: number;
}

/** A number with its 95 % interval. */
export interface Ranged {
  value: number;
  low: number;
  high: number;
}

/** A normal law as far as sightings tell it. */
export interface SeenLaw {
  mean: Ranged;
  /** The value is 0 where the sightings agree with no spread at all; `high` then is all they tell. */
  sd: Ranged;
  /** ln of the likelihood at the top. */
  logLikelihood: number;
}

export type SeenLawProblem =
  /** Nothing seen. */
  | 'none'
  /** Everything lies above (or below) every bound: how far is not known. */
  | 'all-above'
  | 'all-below'
  /** One bound alone tells a share, not a mean and a spread. */
  | 'one-bound'
  /** None lies between two bounds, or more pass a smaller hole than a larger: the spread could be anything. */
  | 'spread-unbounded';

/** Half of the chi-square quantile with one degree of freedom: how far ln L falls within a 95 % interval. */
const DROP = 1.9207294103470684;
/** The smallest and largest deviation looked at, in spans of the bounds. */
const LEAST_SD = 1e-3;
const MOST_SD = 20;
/** A fall of ln L that tells nothing. */
const FLAT = 1e-6;
/** How far outside the bounds a mean is looked for, in spans. */
const FURTHEST_MEAN = 4;

/**
 * Mean and standard deviation of a normal law by maximum likelihood from values and intervals, with profile-likelihood
 * intervals. In a = mean / sd and b = 1 / sd the log-likelihood is concave, so Newton's steps, shortened where they
 * would not climb, reach its one top; along a fixed mean (a = mean x b) or a fixed sd (b) it is concave too.
 *
 * Source: Burridge, JRSS B 43 (1981), on the concavity for grouped normal data; profile intervals: Venzon and
 * Moolgavkar, Applied Statistics 37 (1988).
 */
export function normalFromIntervals(sightings: readonly Sighting[]): Result<SeenLaw, SeenLawProblem> {
  const seen = gathered(sightings);
  if (seen.length === 0) return problem('none');
  const bounds = new Set(seen.flatMap(({ low, high }) => [low, high].filter(Number.isFinite)));
  if (seen.every(({ high }) => high === Infinity)) return problem('all-above');
  if (seen.every(({ low }) => low === -Infinity)) return problem('all-below');
  if (bounds.size === 1 && seen.length > 1) return problem('one-bound');

  const from = Math.min(...bounds);
  const span = Math.max(Math.max(...bounds) - from, Math.abs(from) * 1e-3, 1e-9);
  // In spans from the first bound no number is large, and nothing cancels.
  const cells = seen.map(({ low, high, count }) => ({
    low: (low - from) / span,
    high: (high - from) / span,
    count,
  }));
  const top = climb(cells, { a: 1, b: 2 }, [1, 0], [0, 1]);
  if (top.b < 1.02 / MOST_SD) return problem('spread-unbounded');
  const highest = logLikelihood(cells, top);
  const floor = highest - DROP;
  const mean = top.a / top.b;
  const bySd = (sd: number) => {
    const b = 1 / sd;
    return logLikelihood(cells, climb(cells, { a: mean * b, b }, [1, 0]));
  };
  const byMean = (at: number) => logLikelihood(cells, climb(cells, { a: at * top.b, b: top.b }, [at, 1]));
  const back = (x: number) => from + span * x;
  const sd = 1 / top.b;
  return ok({
    mean: {
      value: back(mean),
      low: back(crossing(byMean, floor, -FURTHEST_MEAN, mean)),
      high: back(crossing(byMean, floor, 1 + FURTHEST_MEAN, mean)),
    },
    sd: {
      value: bySd(LEAST_SD) >= highest - FLAT ? 0 : sd * span,
      low: bySd(LEAST_SD) >= floor ? 0 : span * crossing(bySd, floor, LEAST_SD, sd),
      high: span * crossing(bySd, floor, MOST_SD, sd),
    },
    logLikelihood: highest,
  });
}

type Cell = Required<Sighting>;

/** Equal sightings are one with a count: a thousand answers at three holes are four cells. */
function gathered(sightings: readonly Sighting[]): Cell[] {
  const cells = new Map<string, Cell>();
  for (const { low, high, count = 1 } of sightings) {
    if (!(count > 0) || (low === -Infinity && high === Infinity)) continue;
    const key = `${low} ${high}`;
    const cell = cells.get(key);
    if (cell) cell.count += count;
    else cells.set(key, { low, high, count });
  }
  return [...cells.values()];
}

/** mean / sd, and 1 / sd. */
interface Law {
  a: number;
  b: number;
}

/** A direction to climb along. */
type Direction = readonly [a: number, b: number];

const MOST_STEPS = 40;

/** Climbs from a law along one or two directions to the top there; 1 / sd stays within its bounds. */
function climb(cells: readonly Cell[], start: Law, first: Direction, second?: Direction): Law {
  let law = start;
  let at = logLikelihood(cells, law);
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const [da, db] = newtonStep(slopes(cells, law), first, second);
    let length = 1;
    let next = law;
    let there = -Infinity;
    for (; length > 1e-6; length /= 2) {
      next = { a: law.a + length * da, b: law.b + length * db };
      const b = Math.min(1 / LEAST_SD, Math.max(1 / MOST_SD, next.b));
      // At its bound the deviation stays, and the mean keeps its place.
      if (b !== next.b) next = { a: (next.a / Math.max(next.b, 1e-9)) * b, b };
      if (next.b > 0 && Number.isFinite(next.a)) there = logLikelihood(cells, next);
      if (there >= at) break;
    }
    if (!(there > at + 1e-11)) return there >= at ? next : law;
    law = next;
    at = there;
  }
  return law;
}

/** Slope and bend of ln L in a and b. */
interface Slopes {
  a: number;
  b: number;
  aa: number;
  ab: number;
  bb: number;
}

function newtonStep({ a, b, aa, ab, bb }: Slopes, first: Direction, second?: Direction): Direction {
  const along = ([p, q]: Direction) => p * a + q * b;
  const bend = ([p, q]: Direction, [r, s]: Direction) => p * r * aa + (p * s + q * r) * ab + q * s * bb;
  const one = bend(first, first);
  if (!second) {
    const t = one < 0 ? -along(first) / one : Math.sign(along(first));
    return [t * first[0], t * first[1]];
  }
  const cross = bend(first, second);
  const two = bend(second, second);
  const determinant = one * two - cross * cross;
  if (!(determinant > 1e-14 * Math.abs(one * two))) return [along(first), along(second)];
  const s = (-along(first) * two + along(second) * cross) / determinant;
  const t = (-along(second) * one + along(first) * cross) / determinant;
  return [s * first[0] + t * second[0], s * first[1] + t * second[1]];
}

function logLikelihood(cells: readonly Cell[], { a, b }: Law): number {
  let sum = 0;
  for (const { low, high, count } of cells) {
    const u = low * b - a;
    const v = high * b - a;
    if (low === high) {
      sum += count * (Math.log(b) - 0.5 * u * u);
      continue;
    }
    const share = shareBetween(u, v);
    // Far out the probability underflows; the nearer edge still says which way is better.
    const edge = u > 0 ? u : Math.min(v, 0);
    sum += count * (share > 0 ? Math.log(share) : -0.5 * edge * edge - 4);
  }
  return sum;
}

function shareBetween(u: number, v: number): number {
  return u > 0 ? normalCdf(-u) - normalCdf(-v) : normalCdf(v) - normalCdf(u);
}

function slopes(cells: readonly Cell[], { a, b }: Law): Slopes {
  const sum: Slopes = { a: 0, b: 0, aa: 0, ab: 0, bb: 0 };
  for (const { low, high, count } of cells) {
    const u = low * b - a;
    const v = high * b - a;
    if (low === high) {
      sum.a += count * u;
      sum.b += count * (1 / b - low * u);
      sum.aa -= count;
      sum.ab += count * low;
      sum.bb -= count * (1 / (b * b) + low * low);
      continue;
    }
    const share = shareBetween(u, v);
    if (!(share > 0)) {
      // As for one value at the nearer edge.
      const [edge, x] = u > 0 ? [u, low] : [v, high];
      sum.a += count * edge;
      sum.b -= count * edge * x;
      sum.aa -= count;
      sum.ab += count * x;
      sum.bb -= count * x * x;
      continue;
    }
    const p = Number.isFinite(u) ? normalDensity(u) / share : 0;
    const q = Number.isFinite(v) ? normalDensity(v) / share : 0;
    const lowP = p === 0 ? 0 : low * p;
    const highQ = q === 0 ? 0 : high * q;
    const da = p - q;
    const db = highQ - lowP;
    sum.a += count * da;
    sum.b += count * db;
    sum.aa += count * (edgeTerm(u, p) - edgeTerm(v, q) - da * da);
    sum.ab += count * (edgeTerm(v, highQ) - edgeTerm(u, lowP) - da * db);
    sum.bb += count * (edgeTerm(u, lowP) * finiteOr0(low) - edgeTerm(v, highQ) * finiteOr0(high) - db * db);
  }
  return sum;
}

/** z times its density, 0 at an open end. */
function edgeTerm(z: number, density: number): number {
  return density === 0 ? 0 : z * density;
}

function finiteOr0(bound: number): number {
  return Number.isFinite(bound) ? bound : 0;
}

/** Where a profile crosses `floor` between a far point and its top; the far point where it does not get so low. */
function crossing(f: (x: number) => number, floor: number, far: number, top: number): number {
  if (f(far) >= floor) return far;
  return bisect({ holds: (x) => f(x) >= floor, low: top, high: far, halvings: 24 }).low;
}
