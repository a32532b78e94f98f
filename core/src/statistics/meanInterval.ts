import { sdInterval } from './gamma';
import type { Ranged } from './normalFromIntervals';
import { t95 } from './studentT';

/** Mean of values (one or more). */
export function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Sum of squared deviations from the mean. */
export function squaresOf(values: readonly number[]): number {
  const mean = meanOf(values);
  return values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
}

/** Standard deviation of two or more values, with n - 1. */
export function sdOf(values: readonly number[]): number {
  return Math.sqrt(squaresOf(values) / (values.length - 1));
}

/** The mean of two or more normal values with its 95 % interval (Student's t). Source: any handbook of statistics. */
export function meanInterval(values: readonly number[]): Ranged {
  const value = meanOf(values);
  const half = t95(values.length - 1) * (sdOf(values) / Math.sqrt(values.length));
  return { value, low: value - half, high: value + half };
}

/** The standard deviation of two or more normal values with its exact 95 % interval (chi-square). */
export function spreadInterval(values: readonly number[]): Ranged {
  const value = sdOf(values);
  if (value === 0) return { value, low: 0, high: 0 };
  return { value, ...sdInterval({ sd: value, degreesOfFreedom: values.length - 1 }) };
}
