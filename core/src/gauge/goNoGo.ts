import { ok, problem, type Result } from '../result';
import { normalFromIntervals, type Ranged, type SeenLawProblem, type Sighting } from '../statistics';

/**
 * What was seen of one balloon at two holes or more: between which it lies. Open where no hole was small (or large)
 * enough.
 */
export interface HoleSighting {
  /** The largest hole it stops at, mm. */
  stopsMm?: number | undefined;
  /** The smallest hole it passes, mm. */
  passesMm?: number | undefined;
  /** How many balloons did so; 1 when absent. */
  count?: number | undefined;
}

/** Mean and spread of a batch as the holes tell them. */
export interface BatchLaw {
  count: number;
  meanMm: Ranged;
  /** Standard deviation; a value of 0 means that no spread shows, and `high` is the most there can be. */
  spreadMm: Ranged;
}

export type BatchLawProblem = SeenLawProblem | 'upside-down';

/**
 * Mean and spread of a batch from go/no-go answers, by maximum likelihood of a normal law, with 95 % intervals.
 *
 * Problems: `none`; `upside-down` (a balloon that stops at a hole larger than one it passes, with its field);
 * `all-above` (every answer is "stops"); `all-below`; `one-bound` (one hole only); `spread-unbounded`.
 */
export function estimateBatch(sightings: readonly HoleSighting[]): Result<BatchLaw, BatchLawProblem> {
  const seen: Sighting[] = [];
  for (let i = 0; i < sightings.length; i += 1) {
    const { stopsMm: low = -Infinity, passesMm: high = Infinity, count = 1 } = sightings[i]!;
    if (!(low < high)) return problem('upside-down', { field: `sightings.${i}.passesMm` });
    seen.push({ low, high, count });
  }
  const law = normalFromIntervals(seen);
  if (!law.ok) return law;
  const count = seen.reduce((sum, each) => sum + (each.count ?? 1), 0);
  return ok({ count, meanMm: law.value.mean, spreadMm: law.value.sd });
}
