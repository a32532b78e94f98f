import { inverseIncompleteBeta } from './incompleteBeta';

/** A share of a lot with the interval that holds the true share 95 times in 100 or more. */
export interface Share {
  share: number;
  low: number;
  high: number;
}

/**
 * The exact 95 % interval of a share after `count` of `of` (of >= 1). Never too narrow, also for 0 and for all.
 *
 * Source: Clopper and Pearson, Biometrika 26 (1934).
 */
export function shareInterval({ count, of }: { count: number; of: number }): Share {
  return {
    share: count / of,
    low: count === 0 ? 0 : inverseIncompleteBeta({ p: 0.025, a: count, b: of - count + 1 }),
    high: count === of ? 1 : inverseIncompleteBeta({ p: 0.975, a: count + 1, b: of - count }),
  };
}

/** The share that is exceeded with no more than this `chance` (0 to 1) after `count` of `of`: the one-sided limit. */
export function mostShare({ count, of, chance }: { count: number; of: number; chance: number }): number {
  return count >= of ? 1 : inverseIncompleteBeta({ p: 1 - chance, a: count + 1, b: of - count });
}
