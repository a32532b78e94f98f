import { backwardSolve, cholesky, forwardSolve, inverseOf } from './cholesky';
import { dot, quadraticForm } from './innerProduct';
import { intervalMoments } from './normalLaw';

/** An observation of a linear law: a value, or the bounds it lies between (either may be infinite). */
export interface Observation {
  row: readonly number[];
  seen: number | { low: number; high: number };
  /** Variance that is its own. */
  variance: number;
}

/** What is known of the coefficients beforehand: row . coefficients = value, give or take `sd`. */
export interface PriorRow {
  row: readonly number[];
  value: number;
  sd: number;
  /**
   * Degrees of freedom of the Student law that it follows: observations that contradict it count for more than it
   * does. A normal law when absent.
   */
  degreesOfFreedom?: number;
}

/** Observations whose errors go together. */
export interface ErrorGroup {
  /** Places in the observations. */
  members: readonly number[];
  /** Covariance of their shared errors, in the order of `members`; beside each one's own variance. */
  shared: readonly (readonly number[])[];
}

/** The answer of a generalised least-squares fit. */
export interface GeneralFit {
  coefficients: number[];
  /** Covariance of the coefficients, with the variance ratio in it, p by p. */
  covariance: number[][];
  /** Common factor on all variances of the observations. */
  varianceRatio: number;
  /** Observations less what the coefficients took of them; an interval counts for what it carries of a value. */
  degreesOfFreedom: number;
  /**
   * How far each observation lies from what all others say of it, in deviations of that distance for a variance ratio
   * of 1; `null` where the others say nothing of it, and for intervals.
   */
  deletions: (number | null)[];
  /** Sum of squares that the variance ratio was taken from, for a ratio of 1. */
  chiSquare: number;
}

const MOST_STEPS = 60;
const ROUGH_STEPS = 2;
const SETTLED = 1e-8;
const SETTLED_RATIO = 1e-6;
/** Least information kept for an interval: one that says nothing yet must not divide by zero. */
const LEAST_INFORMATION = 1e-9;

/**
 * Fits a linear law to values and intervals whose errors may go together, with what is known beforehand of its
 * coefficients: generalised least squares over `groups` (an observation in none stands alone), the prior as rows of
 * their own. Intervals enter by maximum likelihood with Newton's steps on working values (the log-likelihood is
 * concave); of an interval in a group the shared error is carried along as Laplace's method has it. A prior row with
 * degrees of freedom is weighted anew between steps as its Student law asks. The common variance ratio is
 * re-estimated between steps with `priorWorth` observations' worth of trust in 1; pass `varianceRatio` to hold it.
 *
 * `null` when observations and prior together do not determine the coefficients.
 *
 * Source: Rao, Linear Statistical Inference, 4a.2 (generalised least squares); Theil and Goldberger, International
 * Economic Review 2 (1961) for prior rows; Lange, Little and Taylor, JASA 84 (1989) for the Student law; Pratt, JASA
 * 76 (1981) and Schmee and Hahn, Technometrics 21 (1979) for intervals; Gelman et al., Bayesian Data Analysis,
 * section 3.3, for the ratio.
 */
export function generalLeastSquares({
  observations,
  groups = [],
  prior = [],
  priorWorth,
  varianceRatio,
  start,
  rough = false,
}: {
  observations: readonly Observation[];
  groups?: readonly ErrorGroup[];
  prior?: readonly PriorRow[];
  priorWorth: number;
  varianceRatio?: number | undefined;
  /** Coefficients to begin with; only intervals need them. */
  start?: readonly number[] | undefined;
  /** For one of several rounds: a few steps, and no deletion residuals. */
  rough?: boolean;
}): GeneralFit | null {
  const blocks = blocksOf(observations, groups);
  const anyInterval = observations.some(({ seen }) => typeof seen !== 'number');
  let ratio = varianceRatio ?? 1;
  let latent = observations.map(({ row, seen }) => (typeof seen === 'number' ? seen : firstLook(seen, row, start)));
  let working = anyInterval ? null : workingOf(observations, blocks, latent, ratio);
  const worths = firstWorths(working ?? workingOf(observations, blocks, latent, ratio), prior, ratio);
  let solution: Solution | null = null;
  let free = 0;
  let squares = 0;
  let last = Infinity;
  const most = rough && !anyInterval ? ROUGH_STEPS : MOST_STEPS;
  for (let step = 0; step < most; step += 1) {
    const here = working ?? workingOf(observations, blocks, latent, ratio);
    const next = solve(here, prior, worths, ratio);
    if (!next) return null;
    // Newton's steps shrink once they are near; one that does not has overshot, and is halved.
    const size = solution ? distance(solution.coefficients, next) : Infinity;
    const share = anyInterval && size > last ? 0.5 : 1;
    last = share * size;
    const before: number[] = solution?.coefficients ?? next.coefficients;
    const coefficients: number[] = before.map(
      (value, j) => value + (next.coefficients[j]! - value) * (solution ? share : 1),
    );
    solution = { ...next, coefficients };
    if (anyInterval) latent = latentOf(observations, blocks, here, coefficients);
    const spread = spreadOf(observations, blocks, here, solution, ratio);
    free = spread.free;
    squares = spread.squares;
    const ratioBefore = ratio;
    if (varianceRatio === undefined) ratio = (priorWorth + squares) / (priorWorth + free);
    let moved = Math.abs(ratio / ratioBefore - 1);
    prior.forEach(({ row, value, sd, degreesOfFreedom }, i) => {
      if (degreesOfFreedom === undefined) return;
      const worth = studentWorth(((dot(row, coefficients) - value) / sd) ** 2, degreesOfFreedom);
      moved = Math.max(moved, Math.abs(worth - worths[i]!));
      worths[i] = worth;
    });
    if (size < SETTLED && moved < SETTLED * 10) break;
    if (!anyInterval && moved < SETTLED_RATIO && step > 0) break;
    working = anyInterval ? null : here;
  }
  if (!solution) return null;
  const here = working ?? workingOf(observations, blocks, latent, ratio);
  return {
    coefficients: solution.coefficients,
    covariance: solution.covariance,
    varianceRatio: ratio,
    degreesOfFreedom: free,
    deletions: rough ? observations.map(() => null) : deletionsOf(observations, blocks, here, solution, ratio),
    chiSquare: squares,
  };
}

/** What is left of a prior row's weight: of a Student law only what contradicts it loses any. */
function studentWorth(square: number, degreesOfFreedom: number): number {
  return Math.min(1, (degreesOfFreedom + 1) / (degreesOfFreedom + square));
}

/**
 * The weights to begin with: by what the observations say without the rows that follow Student's law, where they say
 * it alone. A Student law has more than one top; the one that the observations themselves lead to is looked for.
 */
function firstWorths(working: Working | null, prior: readonly PriorRow[], ratio: number): number[] {
  const firm = prior.filter(({ degreesOfFreedom }) => degreesOfFreedom === undefined);
  const alone =
    firm.length < prior.length
      ? solve(
          working,
          firm,
          firm.map(() => 1),
          ratio,
        )
      : null;
  return prior.map(({ row, value, sd, degreesOfFreedom }) => {
    if (!alone || degreesOfFreedom === undefined) return 1;
    const square = (dot(row, alone.coefficients) - value) ** 2 / (sd * sd + quadraticForm(row, alone.covariance, row));
    return studentWorth(square, degreesOfFreedom);
  });
}

interface Block {
  members: readonly number[];
  /** `null` for one alone: its shared variance is then `alone`. */
  shared: readonly (readonly number[])[] | null;
  alone: number;
}

function blocksOf(observations: readonly Observation[], groups: readonly ErrorGroup[]): Block[] {
  const blocks: Block[] = [];
  const grouped = new Set<number>();
  for (const { members, shared } of groups) {
    for (const i of members) grouped.add(i);
    if (members.length === 1) blocks.push({ members, shared: null, alone: shared[0]![0]! });
    else blocks.push({ members, shared, alone: 0 });
  }
  for (let i = 0; i < observations.length; i += 1) {
    if (!grouped.has(i)) blocks.push({ members: [i], shared: null, alone: 0 });
  }
  return blocks;
}

/** Observations as Newton's step takes them, freed of their covariance, for a variance ratio of 1. */
interface Working {
  values: number[];
  variances: number[];
  /** By block, its lower triangle. */
  lowers: (number[][] | null)[];
  /** Whitened rows and values. */
  rows: number[][];
  observed: number[];
}

function workingOf(
  observations: readonly Observation[],
  blocks: readonly Block[],
  latent: readonly number[],
  ratio: number,
): Working | null {
  const values: number[] = new Array<number>(observations.length);
  const variances: number[] = new Array<number>(observations.length);
  const rows: number[][] = new Array<number[]>(observations.length);
  const observed: number[] = new Array<number>(observations.length);
  const lowers: (number[][] | null)[] = [];
  for (const block of blocks) {
    for (const i of block.members) {
      const { seen, variance } = observations[i]!;
      const own = variance + block.alone;
      if (typeof seen === 'number') {
        values[i] = seen;
        variances[i] = own;
        continue;
      }
      const s = Math.sqrt(ratio * own);
      const { score, information } = intervalMoments({
        low: (seen.low - latent[i]!) / s,
        high: (seen.high - latent[i]!) / s,
      });
      const kept = Math.max(information, LEAST_INFORMATION);
      values[i] = latent[i]! + (s * score) / kept;
      variances[i] = own / kept;
    }
    if (!block.shared) {
      const [i] = block.members as [number];
      const root = Math.sqrt(variances[i]!);
      rows[i] = observations[i]!.row.map((x) => x / root);
      observed[i] = values[i]! / root;
      lowers.push(null);
      continue;
    }
    const { members, shared } = block;
    const matrix = shared.map((row, a) => row.map((value, b) => (a === b ? value + variances[members[a]!]! : value)));
    const lower = cholesky(matrix);
    if (!lower) return null;
    lowers.push(lower);
    const p = observations[members[0]!]!.row.length;
    const columns = Array.from({ length: p }, (_, j) =>
      forwardSolve(
        lower,
        members.map((i) => observations[i]!.row[j]!),
      ),
    );
    const freed = forwardSolve(
      lower,
      members.map((i) => values[i]!),
    );
    members.forEach((i, a) => {
      rows[i] = columns.map((column) => column[a]!);
      observed[i] = freed[a]!;
    });
  }
  return { values, variances, lowers, rows, observed };
}

interface Solution {
  coefficients: number[];
  covariance: number[][];
}

/** Normal equations of the whitened observations and the prior; few coefficients, each scaled to its own deviation. */
function solve(
  working: Working | null,
  prior: readonly PriorRow[],
  worths: readonly number[],
  ratio: number,
): Solution | null {
  if (!working) return null;
  const p = working.rows[0]?.length ?? prior[0]?.row.length ?? 0;
  if (p === 0) return null;
  const matrix = Array.from({ length: p }, () => new Array<number>(p).fill(0));
  const side = new Array<number>(p).fill(0);
  const add = (row: readonly number[], value: number, weight: number) => {
    for (let i = 0; i < p; i += 1) {
      const x = weight * row[i]!;
      side[i]! += x * value;
      for (let j = 0; j < p; j += 1) matrix[i]![j]! += x * row[j]!;
    }
  };
  working.rows.forEach((row, i) => add(row, working.observed[i]!, 1 / ratio));
  prior.forEach(({ row, value, sd }, i) => add(row, value, worths[i]! / (sd * sd)));
  const scales = matrix.map((row, i) => 1 / Math.sqrt(row[i]!));
  if (!scales.every(Number.isFinite)) return null;
  const scaled = matrix.map((row, i) => row.map((value, j) => value * scales[i]! * scales[j]!));
  const inverse = inverseOf(scaled);
  if (!inverse || inverse.some((row, i) => !(row[i]! < 1e12))) return null;
  const covariance = inverse.map((row, i) => row.map((value, j) => value * scales[i]! * scales[j]!));
  return { coefficients: covariance.map((row) => dot(row, side)), covariance };
}

/** How far two answers lie apart, in deviations of the second. */
function distance(from: readonly number[], { coefficients, covariance }: Solution): number {
  return Math.sqrt(
    coefficients.reduce((sum, value, j) => sum + (value - from[j]!) ** 2 / Math.max(covariance[j]![j]!, 1e-300), 0),
  );
}

/** The law's value with the shared error that each observation of a group seems to have. */
function latentOf(
  observations: readonly Observation[],
  blocks: readonly Block[],
  working: Working | null,
  coefficients: readonly number[],
): number[] {
  const latent = observations.map(({ row }) => dot(row, coefficients));
  if (!working) return latent;
  blocks.forEach(({ members, shared }, b) => {
    const lower = working.lowers[b];
    if (!shared || !lower) return;
    const off = members.map((i) => working.values[i]! - latent[i]!);
    const pulled = backwardSolve(lower, forwardSolve(lower, off));
    const errors = shared.map((row) => dot(row, pulled));
    members.forEach((i, a) => {
      latent[i]! += errors[a]!;
    });
  });
  return latent;
}

/**
 * Squared residuals freed of their covariance, and how many they count for. Intervals that stand alone give their
 * expected square for the share of a value that they carry; in a group they give none.
 */
function spreadOf(
  observations: readonly Observation[],
  blocks: readonly Block[],
  working: Working | null,
  { coefficients, covariance }: Solution,
  ratio: number,
): { squares: number; free: number } {
  let squares = 0;
  let free = 0;
  if (!working) return { squares, free };
  for (const { members, alone } of blocks) {
    for (const i of members) {
      const { seen, row, variance } = observations[i]!;
      const white = working.rows[i]!;
      const leverage = Math.min(1, quadraticForm(white, covariance, white) / ratio);
      if (typeof seen === 'number') {
        squares += (working.observed[i]! - dot(white, coefficients)) ** 2;
        free += 1 - leverage;
      } else if (members.length === 1) {
        const s = Math.sqrt(ratio * (variance + alone));
        const mean = dot(row, coefficients);
        const { score, information } = intervalMoments({ low: (seen.low - mean) / s, high: (seen.high - mean) / s });
        const carried = 1 / (1 + ((seen.high - seen.low) / s) ** 2 / 12);
        // Second moment of a truncated normal variable about its untruncated mean: 1 - information + score^2.
        squares += carried * ratio * (1 - information + score * score);
        free += carried * (1 - leverage);
      }
    }
  }
  return { squares, free };
}

/** (P y)_i / sqrt(P_ii) with P = S^-1 - S^-1 X C X' S^-1, for a variance ratio of 1. */
function deletionsOf(
  observations: readonly Observation[],
  blocks: readonly Block[],
  working: Working | null,
  { coefficients, covariance }: Solution,
  ratio: number,
): (number | null)[] {
  const deletions = observations.map((): number | null => null);
  if (!working) return deletions;
  blocks.forEach(({ members }, b) => {
    const lower = working.lowers[b] ?? null;
    members.forEach((i, a) => {
      if (typeof observations[i]!.seen !== 'number') return;
      // Column a of S^-1 by way of its whitened unit vector.
      const white = lower
        ? forwardSolve(
            lower,
            members.map((_, m) => (m === a ? 1 : 0)),
          )
        : [1 / Math.sqrt(working.variances[i]!)];
      let own = 0;
      let pulled = 0;
      const pull = new Array<number>(coefficients.length).fill(0);
      members.forEach((m, c) => {
        const w = white[c]!;
        if (w === 0) return;
        own += w * w;
        pulled += w * (working.observed[m]! - dot(working.rows[m]!, coefficients));
        working.rows[m]!.forEach((x, j) => {
          pull[j]! += w * x;
        });
      });
      const left = own - quadraticForm(pull, covariance, pull) / ratio;
      deletions[i] = left > 1e-9 * own ? pulled / Math.sqrt(left) : null;
    });
  });
  return deletions;
}

function firstLook(
  { low, high }: { low: number; high: number },
  row: readonly number[],
  start: readonly number[] | undefined,
): number {
  if (start) return dot(row, start);
  if (Number.isFinite(low) && Number.isFinite(high)) return (low + high) / 2;
  return Number.isFinite(low) ? low : Number.isFinite(high) ? high : 0;
}
