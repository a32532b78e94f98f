import { inverseIncompleteBeta } from './incompleteBeta';

const known = new Map<number, number>();

/**
 * The half width, in standard deviations, of a two-sided 95 % interval with `degreesOfFreedom` (> 0):
 * the 0.975 quantile of Student's t. For nu degrees, nu / (nu + t^2) follows a beta(nu/2, 1/2) law.
 *
 * Source: Abramowitz and Stegun 26.7.1 with 26.5.27.
 */
export function t95(degreesOfFreedom: number): number {
  let value = known.get(degreesOfFreedom);
  if (value === undefined) {
    const x = inverseIncompleteBeta({ p: 0.05, a: degreesOfFreedom / 2, b: 0.5 });
    value = Math.sqrt(degreesOfFreedom * (1 / x - 1));
    known.set(degreesOfFreedom, value);
  }
  return value;
}
