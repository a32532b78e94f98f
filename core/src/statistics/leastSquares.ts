import { dot } from './innerProduct';

/** The answer of a weighted linear least-squares fit of p coefficients to n observations. */
export interface LinearFit {
  /** p coefficients. */
  coefficients: number[];
  /** (X' W X)^-1, p by p: the covariance of the coefficients for a unit variance of weight 1. */
  unitCovariance: number[][];
  /** Sum of weight times squared residual. */
  chiSquare: number;
  /** n - p. */
  degreesOfFreedom: number;
  /** observed - fitted, n of them, unweighted. */
  residuals: number[];
}

/**
 * Weighted linear least squares by Householder reflections of the design matrix, which loses half as many digits as
 * the normal equations do. `rows` is the design (n rows of p), `observed` has n values, `weights` n positive numbers
 * (inverse variances; 1 each by default). `null` when the columns do not determine the coefficients (n < p, or a
 * column depends on the others).
 *
 * Source: Golub and Van Loan, Matrix Computations, section 5.3 (Householder least squares).
 */
export function leastSquares({
  rows,
  observed,
  weights,
}: {
  rows: readonly (readonly number[])[];
  observed: readonly number[];
  weights?: readonly number[];
}): LinearFit | null {
  const n = rows.length;
  const p = rows[0]?.length ?? 0;
  if (p === 0 || n < p) return null;

  const roots = rows.map((_, i) => Math.sqrt(weights?.[i] ?? 1));
  const a = rows.map((row, i) => row.map((x) => x * roots[i]!));
  const b = observed.map((y, i) => y * roots[i]!);
  // Columns of unit length keep a stroke count and a constant, or x and x^5, on one footing.
  const lengths = Array.from({ length: p }, (_, j) => Math.hypot(...a.map((row) => row[j]!)));
  if (lengths.some((length) => !(length > 0))) return null;
  for (const row of a) for (let j = 0; j < p; j += 1) row[j]! /= lengths[j]!;

  for (let j = 0; j < p; j += 1) if (!reflect(a, b, j)) return null;

  const scaled = backSubstitute(a, b, p);
  const inverse = invertUpper(a, p);
  const coefficients = scaled.map((value, j) => value / lengths[j]!);
  const unitCovariance = lengths.map((lengthJ, j) =>
    lengths.map((lengthK, k) => {
      let sum = 0;
      for (let m = Math.max(j, k); m < p; m += 1) sum += inverse[j]![m]! * inverse[k]![m]!;
      return sum / (lengthJ * lengthK);
    }),
  );
  const residuals = rows.map((row, i) => observed[i]! - dot(row, coefficients));
  const chiSquare = residuals.reduce((sum, r, i) => sum + (r * roots[i]!) ** 2, 0);
  return { coefficients, unitCovariance, chiSquare, degreesOfFreedom: n - p, residuals };
}

/** Applies the reflection that clears column j below the diagonal; false when nothing of the column is left. */
function reflect(a: number[][], b: number[], j: number): boolean {
  let square = 0;
  for (let i = j; i < a.length; i += 1) square += a[i]![j]! ** 2;
  const norm = Math.sqrt(square);
  if (!(norm > 1e-13)) return false;
  const alpha = a[j]![j]! > 0 ? -norm : norm;
  const v = a.map((row, i) => (i < j ? 0 : i === j ? row[j]! - alpha : row[j]!));
  const half = square - alpha * a[j]![j]!;
  for (let k = j; k < a[j]!.length; k += 1) {
    let along = 0;
    for (let i = j; i < a.length; i += 1) along += v[i]! * a[i]![k]!;
    along /= half;
    for (let i = j; i < a.length; i += 1) a[i]![k]! -= along * v[i]!;
  }
  let along = 0;
  for (let i = j; i < b.length; i += 1) along += v[i]! * b[i]!;
  along /= half;
  for (let i = j; i < b.length; i += 1) b[i]! -= along * v[i]!;
  return true;
}

function backSubstitute(r: readonly (readonly number[])[], b: readonly number[], p: number): number[] {
  const x = new Array<number>(p).fill(0);
  for (let j = p - 1; j >= 0; j -= 1) {
    let rest = b[j]!;
    for (let k = j + 1; k < p; k += 1) rest -= r[j]![k]! * x[k]!;
    x[j] = rest / r[j]![j]!;
  }
  return x;
}

function invertUpper(r: readonly (readonly number[])[], p: number): number[][] {
  const inverse = Array.from({ length: p }, () => new Array<number>(p).fill(0));
  for (let k = 0; k < p; k += 1) {
    const unit = Array.from({ length: p }, (_, j) => (j === k ? 1 : 0));
    backSubstitute(r, unit, p).forEach((value, j) => {
      inverse[j]![k] = value;
    });
  }
  return inverse;
}
