import { bisect } from '../numeric';

const LANCZOS = [
  676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905,
  -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/** ln of the gamma function for x > 0. Source: Lanczos (1964), g = 7, nine terms. */
export function logGamma(x: number): number {
  let sum = 0.99999999999980993;
  LANCZOS.forEach((c, i) => {
    sum += c / (x + i);
  });
  const t = x + 6.5;
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(sum);
}

/**
 * The regularised lower incomplete gamma function P(a, x) for a > 0, x >= 0: the probability that a gamma(a) variable
 * is at most x.
 *
 * Source: Abramowitz and Stegun 6.5.29 (series) below a + 1, 6.5.31 (continued fraction, modified Lentz) above it.
 */
export function incompleteGamma({ a, x }: { a: number; x: number }): number {
  if (!(x > 0)) return 0;
  const front = Math.exp(a * Math.log(x) - x - logGamma(a));
  if (x < a + 1) {
    let term = 1 / a;
    let sum = term;
    for (let n = 1; n < 1000 && term > sum * 1e-16; n += 1) {
      term *= x / (a + n);
      sum += term;
    }
    return front * sum;
  }
  const tiny = 1e-300;
  let b = x + 1 - a;
  let c = 1 / tiny;
  let d = 1 / b;
  let value = d;
  for (let n = 1; n < 1000; n += 1) {
    const an = -n * (n - a);
    b += 2;
    d = 1 / nonZero(an * d + b, tiny);
    c = nonZero(b + an / c, tiny);
    value *= c * d;
    if (Math.abs(c * d - 1) < 1e-16) break;
  }
  return 1 - front * value;
}

function nonZero(value: number, tiny: number): number {
  return Math.abs(value) < tiny ? tiny : value;
}

/**
 * The value below which a chi-square variable with `degreesOfFreedom` (> 0) falls with probability `p` (0 < p < 1), by
 * bisection of P(nu/2, x/2), which rises from 0 to 1.
 *
 * Source: Abramowitz and Stegun 26.4.19.
 */
export function chiSquareQuantile({ p, degreesOfFreedom }: { p: number; degreesOfFreedom: number }): number {
  const asked = `${p} ${degreesOfFreedom}`;
  const known = knownQuantiles.get(asked) ?? findQuantile(p, degreesOfFreedom);
  if (knownQuantiles.size < MOST_KNOWN) knownQuantiles.set(asked, known);
  return known;
}

/** A few quantiles are asked for again and again. */
const knownQuantiles = new Map<string, number>();
const MOST_KNOWN = 1000;

function findQuantile(p: number, degreesOfFreedom: number): number {
  const a = degreesOfFreedom / 2;
  let most = a + 1;
  while (incompleteGamma({ a, x: most }) < p) most *= 2;
  const { low, high } = bisect({ holds: (x) => incompleteGamma({ a, x }) < p, low: 0, high: most, halvings: 70 });
  return low + high;
}

/**
 * The exact 95 % interval of a normal law's standard deviation after `sd` with `degreesOfFreedom`. Source: any
 * handbook of statistics.
 */
export function sdInterval({ sd, degreesOfFreedom }: { sd: number; degreesOfFreedom: number }): {
  low: number;
  high: number;
} {
  const bound = (p: number) => sd * Math.sqrt(degreesOfFreedom / chiSquareQuantile({ p, degreesOfFreedom }));
  return { low: bound(0.975), high: bound(0.025) };
}
