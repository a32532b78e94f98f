import { incompleteBeta, inverseIncompleteBeta } from './incompleteBeta';

interface Degrees {
  /** Degrees of freedom of the variance above the line. */
  above: number;
  /** Degrees of freedom of the one below. */
  below: number;
}

/** The probability that a ratio of two equal variances is at least `ratio`. Source: Abramowitz and Stegun 26.6.2. */
export function fTail({ ratio, above, below }: Degrees & { ratio: number }): number {
  if (!(ratio > 0)) return 1;
  return incompleteBeta({ x: below / (below + above * ratio), a: below / 2, b: above / 2 });
}

/** The ratio that two equal variances stay below with probability `p`. Source: Abramowitz and Stegun 26.6.2. */
export function fQuantile({ p, above, below }: Degrees & { p: number }): number {
  const x = inverseIncompleteBeta({ p: 1 - p, a: below / 2, b: above / 2 });
  return (below / above) * (1 / x - 1);
}
