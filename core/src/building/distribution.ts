/** Many values of one thing. */
export interface Distribution {
  mean: number;
  /** Standard deviation of the values; 0 for one. */
  sd: number;
  /** What a twentieth of them is under, a half, and all but a twentieth. */
  low: number;
  median: number;
  high: number;
  /** Counts between the smallest and the largest, in equal steps. */
  from: number;
  step: number;
  counts: number[];
}

/**
 * What many values are like: mean, spread, quantiles (of the sorted values, between neighbours by a straight line) and
 * counts in `bins` equal steps; of values that are all alike one step has all.
 *
 * `values`: one at least.
 *
 * Source: quantiles of definition 7 in Hyndman and Fan, The American Statistician 50 (1996).
 */
export function distributionOf(values: Float64Array, bins = 20): Distribution {
  const sorted = values.slice().sort();
  const count = sorted.length;
  const [from, to] = [sorted[0]!, sorted[count - 1]!];
  const mean = sorted.reduce((sum, value) => sum + value, 0) / count;
  const squares = sorted.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  const step = (to - from) / bins;
  const counts = Array<number>(bins).fill(0);
  for (const value of sorted) {
    const bin = step > 0 ? Math.min(bins - 1, Math.floor((value - from) / step)) : 0;
    counts[bin] = counts[bin]! + 1;
  }
  return {
    ...{ mean, sd: count > 1 ? Math.sqrt(squares / (count - 1)) : 0 },
    ...{ low: quantile(sorted, 0.05), median: quantile(sorted, 0.5), high: quantile(sorted, 0.95) },
    ...{ from, step, counts },
  };
}

/** A quantile of values in rising order. */
export function quantile(sorted: Float64Array, share: number): number {
  const at = share * (sorted.length - 1);
  const below = Math.floor(at);
  const lower = sorted[below]!;
  const upper = sorted[Math.min(sorted.length - 1, below + 1)]!;
  return lower + (at - below) * (upper - lower);
}
