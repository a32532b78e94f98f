/** One estimate to be pooled. */
export interface Estimate {
  value: number;
  /** Its own variance. */
  variance: number;
}

/** Several estimates of quantities that are alike but not the same, pooled. */
export interface Pooled {
  /** Their mean. */
  mean: number;
  /** Variance of that mean. */
  variance: number;
  /** Variance of the quantities themselves, between one and the next. */
  between: number;
  /** Variance of the next one's quantity: of the mean and between together. */
  predictive: number;
  /** Cochran's Q: squared deviations from the mean without spread, weighted. */
  q: number;
  count: number;
}

/**
 * Pools estimates by inverse variance with a spread between them (the moment estimator of DerSimonian and Laird).
 * `expected` is a spread assumed beforehand and how many estimates it counts for: with two or three
 * estimates the data say little of their spread. `null` without estimates.
 *
 * Source: DerSimonian and Laird, Controlled Clinical Trials 7 (1986); Borenstein et al., Introduction to
 * Meta-Analysis (2009), chapters 11 to 14.
 */
export function poolEstimates({
  estimates,
  expected,
}: {
  estimates: readonly Estimate[];
  expected?: { variance: number; worth: number };
}): Pooled | null {
  const count = estimates.length;
  if (count === 0) return null;
  const fixed = weighted(estimates, 0);
  const q = estimates.reduce((sum, { value, variance }) => sum + (value - fixed.mean) ** 2 / variance, 0);
  const squares = estimates.reduce((sum, { variance }) => sum + 1 / variance ** 2, 0);
  const c = fixed.weight - squares / fixed.weight;
  const seen = count > 1 && c > 0 ? Math.max(0, (q - (count - 1)) / c) : 0;
  const between = expected
    ? (expected.worth * expected.variance + (count - 1) * seen) / (expected.worth + count - 1)
    : seen;
  const { mean, weight } = weighted(estimates, between);
  return { mean, variance: 1 / weight, between, predictive: 1 / weight + between, q, count };
}

/** So much of what is known may come from what was assumed: beyond it nothing else can be told apart. */
const MOST_ASSUMED = 0.7;

/**
 * An estimate freed of the prior that went into it, by the precisions of normal laws; `null` where it rests on the
 * prior by more than seven tenths.
 */
export function withoutPrior({ value, variance }: Estimate, prior: Estimate): Estimate | null {
  if (variance > MOST_ASSUMED * prior.variance) return null;
  const own = 1 / variance - 1 / prior.variance;
  return { value: (value / variance - prior.value / prior.variance) / own, variance: 1 / own };
}

function weighted(estimates: readonly Estimate[], between: number): { mean: number; weight: number } {
  let weight = 0;
  let sum = 0;
  for (const { value, variance } of estimates) {
    const w = 1 / (variance + between);
    weight += w;
    sum += w * value;
  }
  return { mean: sum / weight, weight };
}
