/**
 * The lower triangle L with L L' = `matrix` (symmetric, n by n); `null` when it is not positive definite.
 *
 * Source: Golub and Van Loan, Matrix Computations, section 4.2.
 */
export function cholesky(matrix: readonly (readonly number[])[]): number[][] | null {
  const n = matrix.length;
  const lower: number[][] = [];
  for (let i = 0; i < n; i += 1) {
    const row = new Array<number>(n).fill(0);
    for (let j = 0; j <= i; j += 1) {
      let rest = matrix[i]![j]!;
      const other = j === i ? row : lower[j]!;
      for (let k = 0; k < j; k += 1) rest -= row[k]! * other[k]!;
      if (j < i) row[j] = rest / other[j]!;
      else if (rest > 0) row[i] = Math.sqrt(rest);
      else return null;
    }
    lower.push(row);
  }
  return lower;
}

/** L^-1 b: what a triangle leaves of a vector. */
export function forwardSolve(lower: readonly (readonly number[])[], b: readonly number[]): number[] {
  const x: number[] = [];
  for (let i = 0; i < b.length; i += 1) {
    let rest = b[i]!;
    const row = lower[i]!;
    for (let j = 0; j < i; j += 1) rest -= row[j]! * x[j]!;
    x.push(rest / row[i]!);
  }
  return x;
}

/** L'^-1 b. */
export function backwardSolve(lower: readonly (readonly number[])[], b: readonly number[]): number[] {
  const x = [...b];
  for (let i = b.length - 1; i >= 0; i -= 1) {
    x[i]! /= lower[i]![i]!;
    for (let j = 0; j < i; j += 1) x[j]! -= lower[i]![j]! * x[i]!;
  }
  return x;
}

/** The inverse of a symmetric positive definite matrix; `null` when it is not one. */
export function inverseOf(matrix: readonly (readonly number[])[]): number[][] | null {
  const lower = cholesky(matrix);
  if (!lower) return null;
  return matrix.map((_, j) => {
    const unit = matrix.map((__, i) => (i === j ? 1 : 0));
    return backwardSolve(lower, forwardSolve(lower, unit));
  });
}
