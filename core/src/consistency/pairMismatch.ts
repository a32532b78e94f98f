import { ok, problem, type Result } from '../result';
import { meanInterval, normalFromIntervals, spreadInterval, type Ranged } from '../statistics';

/** A pair filled at once on two nozzles: widths, mm, or the bounds that holes give them. */
export interface FilledPair {
  left: { lowMm: number; highMm: number };
  right: { lowMm: number; highMm: number };
}

/** How unequal pairs come out. */
export interface PairMismatch {
  pairs: number;
  /** Mean of left less right, mm. */
  leanMm: Ranged;
  /** Standard deviation of that difference, mm. */
  spreadMm: Ranged;
  /** The interval of the lean leaves 0 out: one nozzle gives more. */
  uneven: 'left' | 'right' | null;
  /** Share of pairs whose balloons differ by no more than `toleranceMm`. */
  matched: number;
}

/**
 * Judges how well two balloons filled at once match. From widths: mean and deviation of the differences, with Student's
 * and chi-square intervals. From holes: a difference then only lies between bounds, and both come by maximum
 * likelihood.
 *
 * Problems: `bad-tolerance` (not above 0); `too-few-pairs` (under two); `unseen` (the holes do not tell the differences).
 */
export function pairMismatch({
  pairs,
  toleranceMm,
}: {
  pairs: readonly FilledPair[];
  toleranceMm: number;
}): Result<PairMismatch, 'too-few-pairs' | 'unseen' | 'bad-tolerance'> {
  if (!(toleranceMm > 0 && Number.isFinite(toleranceMm))) return problem('bad-tolerance', { field: 'toleranceMm' });
  if (pairs.length < 2) return problem('too-few-pairs', { field: 'pairs', detail: { least: 2 } });
  const bounds = pairs.map(({ left, right }) => ({
    low: left.lowMm - right.highMm,
    high: left.highMm - right.lowMm,
  }));
  const measured = bounds.every(({ low, high }) => low === high);
  const law = measured ? ofWidths(bounds.map(({ low }) => low)) : ofBounds(bounds);
  if (!law) return problem('unseen', { field: 'pairs' });
  const { leanMm, spreadMm } = law;
  const middles = bounds.map(({ low, high }) => (low + high) / 2);
  const matched = middles.filter((middle) => Math.abs(middle) <= toleranceMm + 1e-6).length / pairs.length;
  const uneven = leanMm.low > 0 ? 'left' : leanMm.high < 0 ? 'right' : null;
  return ok({ pairs: pairs.length, leanMm, spreadMm, uneven, matched });
}

type Law = Pick<PairMismatch, 'leanMm' | 'spreadMm'>;

function ofWidths(differences: readonly number[]): Law {
  return { leanMm: meanInterval(differences), spreadMm: spreadInterval(differences) };
}

function ofBounds(bounds: readonly { low: number; high: number }[]): Law | null {
  const law = normalFromIntervals(bounds);
  return law.ok ? { leanMm: law.value.mean, spreadMm: law.value.sd } : null;
}
