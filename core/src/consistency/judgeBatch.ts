import { ok, problem, type Result } from '../result';
import {
  meanOf,
  normalFromIntervals,
  normalQuantile,
  sdOf,
  shareInterval,
  type Share,
  type Sighting,
} from '../statistics';

/** What a balloon did at the hole: too large, right, too small. */
export const HOLE_ANSWERS = ['stops', 'passes', 'falls'] as const;
export type HoleAnswer = (typeof HOLE_ANSWERS)[number];

/** The check of one balloon. */
export type CheckResult =
  | { kind: 'measured'; widthMm: number }
  | { kind: 'answer'; answer: HoleAnswer }
  /** Between two holes, or beyond one. */
  | { kind: 'between'; stopsMm?: number | undefined; passesMm?: number | undefined };

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
  basis: 'widths' | 'holes' | 'answers';
  /** Share outside tolerance, with its 95 % interval. */
  outside: Share;
  tooLarge: number[];
  tooSmall: number[];
  verdict: Verdict;
  advice: BatchAdvice[];
}

export type BatchProblemCode = 'no-results' | 'bad-target' | 'bad-tolerance' | 'bad-width' | 'upside-down';

/** Below this many results a batch gets no verdict. */
const FEWEST = 3;
/** A width no balloon has, as a multiple of the target: a slip of unit or finger. */
const ABSURD_FACTOR = 3;

/**
 * Judges a batch against `targetMm` +- `toleranceMm`, from measured widths, answers at the hole, or both.
 *
 * Mean and spread: of the widths when two or more were measured. From answers only: a normal law with the seen shares
 * of `falls` below target - tolerance and `stops` above target + tolerance, each share taken as (count + 1/2) / (n +
 * 3/2) so that no share is 0 or 1 (Jeffreys prior over three classes; Gelman et al., Bayesian Data Analysis, section
 * 3.4); `null` while nothing at all is outside. Where holes on both sides were tried, all results together give both
 * by maximum likelihood. The share outside has the exact interval of Clopper and Pearson.
 *
 * `holeOffMm` is how much wider the hole of the answers was than it was taken for: a balloon that passed it is
 * that much larger. One known to lie between two holes counts by the middle of what is known.
 *
 * Problems: `no-results`; `bad-target`; `bad-tolerance`; `bad-width`, `upside-down` (with the field of the result).
 */
export function judgeBatch({
  targetMm,
  toleranceMm,
  results,
  holeOffMm = 0,
}: {
  targetMm: number;
  toleranceMm: number;
  results: readonly CheckResult[];
  holeOffMm?: number;
}): Result<BatchJudgement, BatchProblemCode> {
  if (!(targetMm > 0 && Number.isFinite(targetMm))) return problem('bad-target', { field: 'targetMm' });
  if (!(toleranceMm > 0 && toleranceMm < targetMm)) return problem('bad-tolerance', { field: 'toleranceMm' });
  if (results.length === 0) return problem('no-results', { field: 'results' });
  for (let i = 0; i < results.length; i += 1) {
    const result = results[i]!;
    if (result.kind === 'measured' && !(result.widthMm > 0 && result.widthMm < ABSURD_FACTOR * targetMm)) {
      return problem('bad-width', { field: `results.${i}.widthMm` });
    }
    if (result.kind === 'between' && !((result.stopsMm ?? 0) < (result.passesMm ?? Infinity))) {
      return problem('upside-down', { field: `results.${i}.passesMm` });
    }
  }

  const aim: Aim = { targetMm, toleranceMm, holeOffMm };
  const sides = results.map((result) => sideOf(result, aim));
  const tooLarge = indicesWhere(sides, 'large');
  const tooSmall = indicesWhere(sides, 'small');
  const law = lawOf(results, aim);
  const outside = shareInterval({ count: tooLarge.length + tooSmall.length, of: results.length });
  const judged = { count: results.length, ...law, outside, tooLarge, tooSmall };
  const verdict = verdictOf(judged, targetMm, toleranceMm);
  return ok({ ...judged, verdict, advice: adviceOn({ ...judged, verdict, targetMm }) });
}

type Side = 'small' | 'right' | 'large';
type Law = Pick<BatchJudgement, 'meanMm' | 'spreadMm' | 'basis'>;
type Judged = Omit<BatchJudgement, 'verdict' | 'advice'>;

interface Aim {
  targetMm: number;
  toleranceMm: number;
  holeOffMm: number;
}

function sideOf(result: CheckResult, aim: Aim): Side {
  const off = offOf(result, aim);
  // A width typed exactly at the edge is within, whatever the last bit of a conversion says.
  if (Math.abs(off) <= aim.toleranceMm + 1e-6) return 'right';
  return off > 0 ? 'large' : 'small';
}

/** How far a balloon is off its target, mm, as near as its result tells. */
function offOf(result: CheckResult, { targetMm, toleranceMm, holeOffMm }: Aim): number {
  if (result.kind === 'measured') return result.widthMm - targetMm;
  if (result.kind === 'answer') {
    // An answer past the tolerance is known to lie past it, and no further.
    const past = { stops: 2, passes: 0, falls: -2 }[result.answer];
    return holeOffMm + past * toleranceMm;
  }
  const { stopsMm, passesMm } = result;
  if (stopsMm === undefined) return Math.min(0, (passesMm ?? targetMm) - targetMm);
  if (passesMm === undefined) return Math.max(0, stopsMm - targetMm);
  return (stopsMm + passesMm) / 2 - targetMm;
}

function indicesWhere(sides: readonly Side[], side: Side): number[] {
  return sides.flatMap((value, index) => (value === side ? [index] : []));
}

function lawOf(results: readonly CheckResult[], aim: Aim): Law {
  const widths = results.flatMap((result) => (result.kind === 'measured' ? [result.widthMm] : []));
  const seen = results.map((result) => sightingOf(result, aim));
  if (results.some(({ kind }) => kind === 'between')) {
    const law = normalFromIntervals(seen);
    if (law.ok) return { meanMm: law.value.mean.value, spreadMm: law.value.sd.value, basis: 'holes' };
    if (widths.length < 2) return { meanMm: null, spreadMm: null, basis: 'holes' };
  }
  if (widths.length >= 2) {
    return { meanMm: meanOf(widths), spreadMm: sdOf(widths), basis: 'widths' };
  }
  return lawOfAnswers(results, aim);
}

function sightingOf(result: CheckResult, { targetMm, toleranceMm, holeOffMm }: Aim): Sighting {
  if (result.kind === 'measured') return { low: result.widthMm, high: result.widthMm };
  if (result.kind === 'between') {
    return { low: result.stopsMm ?? -Infinity, high: result.passesMm ?? Infinity };
  }
  const middle = targetMm + holeOffMm;
  if (result.answer === 'stops') return { low: middle + toleranceMm, high: Infinity };
  if (result.answer === 'falls') return { low: -Infinity, high: middle - toleranceMm };
  return { low: middle - toleranceMm, high: middle + toleranceMm };
}

function lawOfAnswers(results: readonly CheckResult[], { targetMm, toleranceMm, holeOffMm }: Aim): Law {
  const count = (answer: HoleAnswer) =>
    results.filter((result) => result.kind === 'answer' && result.answer === answer).length;
  const small = count('falls');
  const large = count('stops');
  if (small + large === 0 || results.length < FEWEST) {
    // All pass: no spread shows, but a hole that was off has put the whole batch off.
    const meanMm = holeOffMm !== 0 && results.length >= FEWEST ? targetMm + holeOffMm : null;
    return { meanMm, spreadMm: null, basis: 'answers' };
  }
  const share = (seen: number) => (seen + 0.5) / (results.length + 1.5);
  const lowZ = normalQuantile(share(small));
  const highZ = normalQuantile(1 - share(large));
  const spreadMm = (2 * toleranceMm) / (highZ - lowZ);
  return { meanMm: targetMm + holeOffMm - toleranceMm - spreadMm * lowZ, spreadMm, basis: 'answers' };
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
    const byMm = basis === 'answers' ? null : Math.abs(meanMm - targetMm);
    advice.push({ code: meanMm > targetMm ? 'fill-less' : 'fill-more', byMm });
  }
  return advice;
}
