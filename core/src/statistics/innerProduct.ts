/** a . b, of two vectors of one length. */
export function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < a.length; i += 1) sum += a[i]! * b[i]!;
  return sum;
}

/** x' C y, for a matrix C of as many rows as x is long and as many columns as y is. */
export function quadraticForm(
  x: readonly number[],
  matrix: readonly (readonly number[])[],
  y: readonly number[],
): number {
  let sum = 0;
  for (let i = 0; i < x.length; i += 1) for (let j = 0; j < y.length; j += 1) sum += x[i]! * matrix[i]![j]! * y[j]!;
  return sum;
}
