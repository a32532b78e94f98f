// Coefficients of Acklam's rational approximation; relative error below 1.15e-9 before the refinement.
const A = [
  -3.969683028665376e1, 2.209460984245205e2, -2.759285104469687e2, 1.38357751867269e2, -3.066479806614716e1,
  2.506628277459239,
];
const B = [-5.447609879822406e1, 1.615858368580409e2, -1.556989798598866e2, 6.680131188771972e1, -1.328068155288572e1];
const C = [
  -7.784894002430293e-3, -3.223964580411365e-1, -2.400758277161838, -2.549732539343734, 4.374664141464968,
  2.938163982698783,
];
const D = [7.784695709041462e-3, 3.224671290700398e-1, 2.445134137142996, 3.754408661907416];
const TAIL = 0.02425;

/**
 * The value below which a standard normal variable falls with probability `p` (0 < p < 1).
 *
 * Source: P. J. Acklam's rational approximation (2003), coefficients from memory and checked against a reference
 * library.
 */
export function normalQuantile(p: number): number {
  if (p < TAIL) return tail(Math.sqrt(-2 * Math.log(p)));
  if (p > 1 - TAIL) return -tail(Math.sqrt(-2 * Math.log(1 - p)));
  const q = p - 0.5;
  const r = q * q;
  return (polynomial(A, r) * q) / (polynomial(B, r) * r + 1);
}

function tail(q: number): number {
  return polynomial(C, q) / (polynomial(D, q) * q + 1);
}

function polynomial(coefficients: readonly number[], x: number): number {
  return coefficients.reduce((sum, c) => sum * x + c, 0);
}
