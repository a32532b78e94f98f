import { bisect } from '../numeric';
import { logGamma } from './gamma';

/**
 * The regularised incomplete beta function I_x(a, b) for a, b > 0 and 0 <= x <= 1: the probability that a beta(a, b)
 * variable is at most x.
 *
 * Source: continued fraction 26.5.8 of Abramowitz and Stegun, evaluated by the modified Lentz method.
 */
export function incompleteBeta({ x, a, b }: { x: number; a: number; b: number }): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  // The fraction converges fast only below the mean; above it the mirror image does.
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta({ x: 1 - x, a: b, b: a });
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return (front * fraction(x, a, b)) / a;
}

function fraction(x: number, a: number, b: number): number {
  const tiny = 1e-300;
  let c = 1;
  let d = 1 / nonZero(1 - ((a + b) * x) / (a + 1), tiny);
  let value = d;
  for (let m = 1; m <= 500; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / nonZero(1 + even * d, tiny);
    c = nonZero(1 + even / c, tiny);
    value *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / nonZero(1 + odd * d, tiny);
    c = nonZero(1 + odd / c, tiny);
    value *= d * c;
    if (Math.abs(d * c - 1) < 1e-15) break;
  }
  return value;
}

function nonZero(value: number, tiny: number): number {
  return Math.abs(value) < tiny ? tiny : value;
}

/**
 * The x with I_x(a, b) = p, by bisection: the fraction is monotone, and 60 halvings reach the last bit that matters.
 */
export function inverseIncompleteBeta({ p, a, b }: { p: number; a: number; b: number }): number {
  const { low, high } = bisect({ holds: (x) => incompleteBeta({ x, a, b }) < p, low: 0, high: 1 });
  return (low + high) / 2;
}
