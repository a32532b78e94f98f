import { meanOf, randomFrom, shuffled, squaresOf } from '../statistics';

/** Where a series most likely changed its level. */
export interface ChangePoint {
  /** Index of the first value after the change. */
  at: number;
  before: number;
  after: number;
  /** Twice the logarithm of the likelihood with the change over that without. */
  evidence: number;
  /** How often values in a random order would show as much. */
  chance: number;
}

/** Each side of a change has so many at least: fewer are odd ones. */
export const FEWEST_A_SIDE = 3;
/** Orders that are drawn: a chance of one in twenty is told to within one in a hundred. */
const ORDERS = 499;
const SEED = 8121;

/**
 * The most likely place at which values (in the order they were taken) moved from one level to another, normal about
 * either with one unknown deviation: the split that leaves the least squares. How much that means is told by the same
 * search over the same values in random orders, so it holds for widths read in steps too. `null` where there are too few
 * values, or all are equal.
 *
 * Source: likelihood ratio of a shift (Hinkley, Biometrika 57, 1970); its chance by permutation (Pettitt's problem; any
 * handbook of randomisation tests).
 */
export function changePoint({
  values,
  fewest = FEWEST_A_SIDE,
  seed = SEED,
}: {
  values: readonly number[];
  fewest?: number;
  seed?: number;
}): ChangePoint | null {
  const n = values.length;
  if (n < 2 * fewest) return null;
  const mean = meanOf(values);
  const off = values.map((value) => value - mean);
  const total = squaresOf(values);
  if (total === 0) return null;
  const best = bestSplit(off, fewest);
  const random = randomFrom(seed);
  let asGood = 1;
  for (let i = 0; i < ORDERS; i += 1) {
    // A hair below counts as equal: the same sums in another order differ in their last bits.
    if (bestSplit(shuffled(off, random), fewest).gain >= best.gain * (1 - 1e-12)) asGood += 1;
  }
  const left = Math.max(total - best.gain, Number.EPSILON * total);
  return {
    at: best.at,
    before: meanOf(values.slice(0, best.at)),
    after: meanOf(values.slice(best.at)),
    evidence: n * Math.log(total / left),
    chance: asGood / (ORDERS + 1),
  };
}

/** Where two levels explain values best, without how much that means; `null` where there are too few. */
export function likeliestSplit(values: readonly number[], fewest = FEWEST_A_SIDE): number | null {
  if (values.length < 2 * fewest) return null;
  const mean = meanOf(values);
  return bestSplit(
    values.map((value) => value - mean),
    fewest,
  ).at;
}

/** The split of values about zero that takes the most squares away, and how many it does. */
function bestSplit(off: readonly number[], fewest: number): { at: number; gain: number } {
  const n = off.length;
  const best = { at: fewest, gain: -1 };
  let sum = 0;
  for (let at = 1; at <= n - fewest; at += 1) {
    sum += off[at - 1]!;
    if (at < fewest) continue;
    const gain = (sum * sum * n) / (at * (n - at));
    if (gain > best.gain) Object.assign(best, { at, gain });
  }
  return best;
}
