import { ok, problem, type Result } from '../result';
import { normalQuantile, shareInterval, type Share } from '../statistics';

/** What a balloon did at the hole: too large, right, too small. */
export const HOLE_ANSWERS = ['stops', 'passes', 'falls'] as const;
export type HoleAnswer = (typeof HOLE_ANSWERS)[number];

/** The check of one balloon. */
export type CheckResult = { kind: 'measured'; widthMm: number } | { kind: 'answer'; answer: HoleAnswer };

export type Verdict =
  /** All within. */
  | 'even'
  /** A few outside; the rest are right. */
  | 'some-off'
  /** The batch as a whole sits beside the target. */
  | 'off-centre'
  /** Too different from one another. */
  | 'uneven'
  /** Fewer than three checked: no word on the batch yet. */
  | 'too-few';

export type BatchAdvice =
  | { code: 'carry-on' }
  /** Let air out of these, by their place in the results. */
  | { code: 'let-out'; indices: number[] }
  /** Add air to these. */
  | { code: 'add-air'; indices: number[] }
  /** Lower (or raise) the dose for the next balloons by about so much width. */
  | { code: 'fill-less'; byMm: number | null }
  | { code: 'fill-more'; byMm: number | null }
  /** Size each balloon from here on. */
  | { code: 'size-every-one' }
  | { code: 'check-more'; atLeast: number };

/** What a batch says about the balloons it stands for. */
export interface BatchJudgement {
  count: number;
  /** Mean width, mm; `null` when the answers do not place it. */
  meanMm: number | null;
  /** Standard deviation between balloons, mm; `null` when fewer than two say anything about it. */
  spreadMm: number | null;
  /** How mean and spread were got. */
  basis: 'widths' | 'answers';
  /** Share outside tolerance, with its 95 % interval. */
  outside: Share;
  tooLarge: number[];
  tooSmall: number[];
  verdict: Verdict;
  advice: BatchAdvice[];
}

export type BatchProblemCode = 'no-results' | 'bad-target' | 'bad-tolerance' | 'bad-width';

/** Below this many results a batch gets no verdict. */
const FEWEST = 3;
/** A width no balloon has, as a multiple of the target: a slip of unit or finger. */
const ABSURD_FACTOR = 3;

/**
 * Judges a batch against `targetMm` +- `toleranceMm`, from measured widths, answers at the hole, or both.
 *
 * Mean and spread: of the widths when two or more were measured. From answers only: a normal law with the seen shares of
 * `falls` below target - tolerance and `stops` above target + tolerance, each share taken as (count + 1/2) / (n + 3/2)
 * so that no share is 0 or 1 (Jeffreys prior over three classes; Gelman et al., Bayesian Data Analysis, section 3.4);
 * `null` while nothing at all is outside. The share outside has the exact interval of Clopper and Pearson.
 *
 * Problems: `no-results`; `bad-target`; `bad-tolerance`; `bad-width` (with the field of the result).
 */
export function judgeBatch({
  targetMm,
  toleranceMm,
  results,
}: {
  targetMm: number;
  toleranceMm: number;
  results: readonly CheckResult[];
}): Result<BatchJudgement, BatchProblemCode> {
  if (!(targetMm > 0 && Number.isFinite(targetMm))) return problem('bad-target', { field: 'targetMm' });
  if (!(toleranceMm > 0 && toleranceMm < targetMm)) return problem('bad-tolerance', { field: 'toleranceMm' });
  if (results.length === 0) return problem('no-results', { field: 'results' });
  for (let i = 0; i < results.length; i += 1) {
    const result = results[i]!;
    if (result.kind === 'measured' && !(result.widthMm > 0 && result.widthMm < ABSURD_FACTOR * targetMm)) {
      return problem('bad-width', { field: `results.${i}.widthMm` });
    }
  }

  const sides = results.map((result) => sideOf(result, targetMm, toleranceMm));
  const tooLarge = indicesWhere(sides, 'large');
  const tooSmall = indicesWhere(sides, 'small');
  const law = lawOf({ results, sides, targetMm, toleranceMm });
  const outside = shareInterval({ count: tooLarge.length + tooSmall.length, of: results.length });
  const judged = { count: results.length, ...law, outside, tooLarge, tooSmall };
  const verdict = verdictOf(judged, targetMm, toleranceMm);
  return ok({ ...judged, verdict, advice: adviceOn({ ...judged, verdict, targetMm }) });
}

type Side = 'small' | 'right' | 'large';
type Law = Pick<BatchJudgement, 'meanMm' | 'spreadMm' | 'basis'>;
type Judged = Omit<BatchJudgement, 'verdict' | 'advice'>;

function sideOf(result: CheckResult, targetMm: number, toleranceMm: number): Side {
  if (result.kind === 'answer') {
    return { stops: 'large', passes: 'right', falls: 'small' }[result.answer] as Side;
  }
  // A width typed exactly at the edge is within, whatever the last bit of a conversion says.
  const off = result.widthMm - targetMm;
  if (Math.abs(off) <= toleranceMm + 1e-6) return 'right';
  return off > 0 ? 'large' : 'small';
}

function indicesWhere(sides: readonly Side[], side: Side): number[] {
  return sides.flatMap((value, index) => (value === side ? [index] : []));
}

function lawOf({
  results,
  sides,
  targetMm,
  toleranceMm,
}: {
  results: readonly CheckResult[];
  sides: readonly Side[];
  targetMm: number;
  toleranceMm: number;
}): Law {
  const widths = results.flatMap((result) => (result.kind === 'measured' ? [result.widthMm] : []));
  if (widths.length >= 2) {
    const meanMm = widths.reduce((a, b) => a + b, 0) / widths.length;
    const squares = widths.reduce((sum, width) => sum + (width - meanMm) ** 2, 0);
    return { meanMm, spreadMm: Math.sqrt(squares / (widths.length - 1)), basis: 'widths' };
  }
  const small = indicesWhere(sides, 'small').length;
  const large = indicesWhere(sides, 'large').length;
  if (small + large === 0 || results.length < FEWEST)
    return { meanMm: null, spreadMm: null, basis: 'answers' };
  const share = (count: number) => (count + 0.5) / (results.length + 1.5);
  const lowZ = normalQuantile(share(small));
  const highZ = normalQuantile(1 - share(large));
  const spreadMm = (2 * toleranceMm) / (highZ - lowZ);
  return { meanMm: targetMm - toleranceMm - spreadMm * lowZ, spreadMm, basis: 'answers' };
}

function verdictOf(
  { count, meanMm, outside, tooLarge, tooSmall }: Judged,
  targetMm: number,
  toleranceMm: number,
): Verdict {
  const off = tooLarge.length + tooSmall.length;
  if (count < FEWEST) return 'too-few';
  // The whole batch leans one way when its mean has used up most of the tolerance.
  const leans = meanMm !== null && Math.abs(meanMm - targetMm) > 0.75 * toleranceMm;
  if (leans && (off === 0 || Math.min(tooLarge.length, tooSmall.length) <= off / 4)) return 'off-centre';
  if (off === 0) return 'even';
  return outside.share > 0.25 ? 'uneven' : 'some-off';
}

function adviceOn({
  count,
  meanMm,
  basis,
  tooLarge,
  tooSmall,
  verdict,
  targetMm,
}: Judged & { verdict: Verdict; targetMm: number }): BatchAdvice[] {
  const advice: BatchAdvice[] = [];
  if (tooLarge.length > 0) advice.push({ code: 'let-out', indices: tooLarge });
  if (tooSmall.length > 0) advice.push({ code: 'add-air', indices: tooSmall });
  if (verdict === 'too-few') advice.push({ code: 'check-more', atLeast: FEWEST - count });
  if (verdict === 'even' || verdict === 'some-off') advice.push({ code: 'carry-on' });
  if (verdict === 'uneven') advice.push({ code: 'size-every-one' });
  if (verdict === 'off-centre' && meanMm !== null) {
    const byMm = basis === 'widths' ? Math.abs(meanMm - targetMm) : null;
    advice.push({ code: meanMm > targetMm ? 'fill-less' : 'fill-more', byMm });
  }
  return advice;
}
