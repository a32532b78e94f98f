import { leastSquares, type LinearFit } from './leastSquares';
import { intervalMoments } from './normalLaw';

/** An observation known by value. */
export interface ValueSeen {
  row: readonly number[];
  value: number;
  /** Standard deviation expected of it. */
  sd: number;
}

/** An observation known to lie between two bounds; either may be infinite. */
export interface IntervalSeen {
  row: readonly number[];
  low: number;
  high: number;
  sd: number;
}

/** The answer of a linear fit to values and intervals. */
export interface CensoredFit {
  coefficients: number[];
  /** Inverse of the observed information, p by p: the covariance of the coefficients, with the variance ratio in it. */
  covariance: number[][];
  /** Common factor on all variances. */
  varianceRatio: number;
  /** Observations less coefficients; an interval counts for the share of a value's information it carries. */
  degreesOfFreedom: number;
}

const MOST_STEPS = 60;
const SETTLED = 1e-10;

/**
 * Fits a linear law with normal errors to values and intervals by maximum likelihood: Newton's steps, each a weighted
 * least-squares fit of working values (the log-likelihood is concave in the coefficients, so they climb to its one
 * top). The common variance ratio is re-estimated between steps, with `priorWorth` observations' worth of trust in a
 * ratio of 1; pass `varianceRatio` to hold it. `start` are the coefficients to begin with. `null` when the
 * observations do not determine the coefficients.
 *
 * Source: Pratt, Concavity of the log likelihood, JASA 76 (1981); Schmee and Hahn, Technometrics 21 (1979) for
 * regression with censored data.
 */
export function censoredLeastSquares({
  values,
  intervals,
  start,
  priorWorth,
  varianceRatio,
}: {
  values: readonly ValueSeen[];
  intervals: readonly IntervalSeen[];
  start: readonly number[];
  priorWorth: number;
  varianceRatio?: number;
}): CensoredFit | null {
  const rows = [...values, ...intervals].map(({ row }) => row);
  let coefficients = [...start];
  let ratio = varianceRatio ?? 1;
  let fit: LinearFit | null = null;
  let free = 0;
  let last = Infinity;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const working = workingValues({ values, intervals, coefficients, ratio });
    fit = leastSquares({ rows, ...working });
    if (!fit) return null;
    const moved = fit.coefficients.map((value, j) => value - coefficients[j]!);
    const size = Math.sqrt(lengthSquared(moved, fit.unitCovariance));
    // Newton's steps shrink once they are near; one that does not has overshot, and is halved.
    const share = size > last ? 0.5 : 1;
    last = share * size;
    coefficients = coefficients.map((value, j) => value + share * moved[j]!);
    const before = ratio;
    free = Math.max(0, values.length + working.carried - coefficients.length);
    if (varianceRatio === undefined) {
      const squares = squaresOf({ values, intervals, coefficients, ratio });
      ratio = (priorWorth + squares) / (priorWorth + free);
    }
    if (size < SETTLED && Math.abs(ratio - before) < SETTLED * ratio) break;
  }
  if (!fit) return null;
  return { coefficients, covariance: fit.unitCovariance, varianceRatio: ratio, degreesOfFreedom: free };
}

interface State {
  values: readonly ValueSeen[];
  intervals: readonly IntervalSeen[];
  coefficients: readonly number[];
  ratio: number;
}

/** Least information kept for an interval: one that says nothing yet must not divide by zero. */
const LEAST_INFORMATION = 1e-9;

function workingValues({ values, intervals, coefficients, ratio }: State) {
  const observed: number[] = [];
  const weights: number[] = [];
  let carried = 0;
  for (const { value, sd } of values) {
    observed.push(value);
    weights.push(1 / (ratio * sd * sd));
  }
  for (const { row, low, high, sd } of intervals) {
    const mean = dot(row, coefficients);
    const s = Math.sqrt(ratio) * sd;
    const seen = intervalMoments({ low: (low - mean) / s, high: (high - mean) / s });
    const information = Math.max(seen.information, LEAST_INFORMATION);
    observed.push(mean + (s * seen.score) / information);
    weights.push(information / (s * s));
    carried += shareCarried(high - low, s);
  }
  return { observed, weights, carried };
}

/** Squared standardised residuals; of an interval the expected one, for the share of a value that it counts for. */
function squaresOf({ values, intervals, coefficients, ratio }: State): number {
  let sum = 0;
  for (const { row, value, sd } of values) sum += ((value - dot(row, coefficients)) / sd) ** 2;
  for (const { row, low, high, sd } of intervals) {
    const mean = dot(row, coefficients);
    const s = Math.sqrt(ratio) * sd;
    const { score, information } = intervalMoments({ low: (low - mean) / s, high: (high - mean) / s });
    // Second moment of a truncated normal variable about its untruncated mean: 1 - information + score^2.
    sum += shareCarried(high - low, s) * ratio * (1 - information + score * score);
  }
  return sum;
}

/**
 * The share of a value's information that an interval carries: its own variance beside the one that grouping adds
 * (Sheppard).
 */
function shareCarried(width: number, sd: number): number {
  return 1 / (1 + width ** 2 / (12 * sd ** 2));
}

/** Squared length of a step, each coefficient in units of its own deviation. */
function lengthSquared(step: readonly number[], covariance: readonly (readonly number[])[]): number {
  return step.reduce((sum, value, j) => sum + (value * value) / covariance[j]![j]!, 0);
}

function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < a.length; i += 1) sum += a[i]! * b[i]!;
  return sum;
}
