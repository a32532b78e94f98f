import { problem, ok, type Result } from '../result';
import { normalFromIntervals, type SeenLawProblem } from '../statistics';
import { sightingOf, type BatchAim, type CheckResult } from './judgeBatch';

/** How far balloons come out off their sizes, as shares of them: on the whole, and from one to the next. */
export interface SizeSpread {
  lean: number;
  sd: number;
}

/** The same with of how many balloons it is known. */
export interface KnownSpread extends SizeSpread {
  balloons: number;
}

/** Fewer say nothing of a spread. */
const LEAST_BALLOONS = 8;

/**
 * How balloons come out, from every batch that was checked: each result tells between which shares of its target a
 * balloon lies, and one normal law is fitted to all of them at once, those that were right like those that were not.
 *
 * Problems: `too-few` (under 8 balloons), `no-spread` (what was answered agrees with balloons that are all alike, which
 * none are), and those of `normalFromIntervals`: from answers that all say the same a spread cannot be told.
 *
 * Source: `normalFromIntervals`.
 */
export function sizeSpread(
  batches: readonly (BatchAim & { results: readonly CheckResult[] })[],
): Result<KnownSpread, 'too-few' | 'no-spread' | SeenLawProblem> {
  const sightings = batches.flatMap(({ results, ...aim }) =>
    results.map((result) => {
      const { low, high } = sightingOf(result, aim);
      return { low: low / aim.targetMm - 1, high: high / aim.targetMm - 1 };
    }),
  );
  if (sightings.length < LEAST_BALLOONS) return problem('too-few');
  const law = normalFromIntervals(sightings);
  if (!law.ok) return law;
  if (law.value.sd.value === 0) return problem('no-spread');
  return ok({ balloons: sightings.length, lean: law.value.mean.value, sd: law.value.sd.value });
}
