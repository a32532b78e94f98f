import { ok, problem, type Result } from '../result';
import {
  chiSquareQuantile,
  meanOf,
  mostShare,
  normalCdf,
  normalFromIntervals,
  normalQuantile,
  sdOf,
  shareInterval,
  t95,
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
  /** What was checked would fit a good batch and a bad one: no word on it yet. */
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
/**
 * The error rates that the verdict is chosen by. A batch of which `badShare` lies outside is told to carry on at most
 * once in ten times; from answers alone, which tell less, one of which `badByCount` does.
 */
const RISK = { badShare: 0.2, badByCount: 0.3, chance: 0.1 } as const;
/** A lean is worth a word from this share of the tolerance on, and always from `FAR_LEAN` of it. */
const SOME_LEAN = 0.25;
const FAR_LEAN = 0.75;
/** ... when it puts so many outside as it is, and more than twice as many as were the batch centred. */
const LEAN_HARM = 0.1;
/** More than that outside, and three at least, are too many whatever else is known. */
const MANY_OUTSIDE = 0.25;
/** Checks that are asked for at most at once. */
const MOST_MORE = 20;
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
 * The verdict is a decision with stated error rates (docs/method/batch.md has its operating characteristic).
 * `off-centre`: the mean differs from the target for sure (Student's t, 95 %), and that matters: by three quarters of
 * the tolerance, or by a quarter of it when a tenth lie outside and centring would halve them. `uneven`: the spread is
 * for sure (chi-square, 90 %) larger than what keeps 95 of 100 within, or more than a quarter were outside on both
 * sides. `even`, `some-off`: not more than a fifth lie outside, for sure (90 %); else `too-few`, with how many more
 * would tell. Of a `whole` batch there is nothing left to be unsure of.
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
  whole = false,
}: {
  targetMm: number;
  toleranceMm: number;
  results: readonly CheckResult[];
  holeOffMm?: number;
  /** These are all there are: nothing is left to be unsure of. */
  whole?: boolean;
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

  const aim: BatchAim = { targetMm, toleranceMm, holeOffMm };
  const sides = results.map((result) => sideOf(result, aim));
  const tooLarge = indicesWhere(sides, 'large');
  const tooSmall = indicesWhere(sides, 'small');
  const law = lawOf(results, aim);
  const outside = shareInterval({ count: tooLarge.length + tooSmall.length, of: results.length });
  const judged = { count: results.length, ...law, outside, tooLarge, tooSmall };
  const verdict = verdictOf(judged, targetMm, toleranceMm, whole);
  const more = verdict === 'too-few' ? moreToTell(judged, targetMm, toleranceMm) : 0;
  return ok({ ...judged, verdict, advice: adviceOn({ ...judged, verdict, targetMm, more }) });
}

type Side = 'small' | 'right' | 'large';
type Law = Pick<BatchJudgement, 'meanMm' | 'spreadMm' | 'basis'>;
type Judged = Omit<BatchJudgement, 'verdict' | 'advice'>;

/** What balloons of a batch were held to. */
export interface BatchAim {
  targetMm: number;
  toleranceMm: number;
  holeOffMm: number;
}

function sideOf(result: CheckResult, aim: BatchAim): Side {
  const off = offOf(result, aim);
  // A width typed exactly at the edge is within, whatever the last bit of a conversion says.
  if (Math.abs(off) <= aim.toleranceMm + 1e-6) return 'right';
  return off > 0 ? 'large' : 'small';
}

/** How far a balloon is off its target, mm, as near as its result tells. */
function offOf(result: CheckResult, { targetMm, toleranceMm, holeOffMm }: BatchAim): number {
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

function lawOf(results: readonly CheckResult[], aim: BatchAim): Law {
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

/** The widths between which a result says that a balloon lies, mm. */
export function sightingOf(result: CheckResult, { targetMm, toleranceMm, holeOffMm }: BatchAim): Sighting {
  if (result.kind === 'measured') return { low: result.widthMm, high: result.widthMm };
  if (result.kind === 'between') {
    return { low: result.stopsMm ?? -Infinity, high: result.passesMm ?? Infinity };
  }
  const middle = targetMm + holeOffMm;
  if (result.answer === 'stops') return { low: middle + toleranceMm, high: Infinity };
  if (result.answer === 'falls') return { low: -Infinity, high: middle - toleranceMm };
  return { low: middle - toleranceMm, high: middle + toleranceMm };
}

function lawOfAnswers(results: readonly CheckResult[], { targetMm, toleranceMm, holeOffMm }: BatchAim): Law {
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

function verdictOf(judged: Judged, targetMm: number, toleranceMm: number, whole: boolean): Verdict {
  const { count, outside, tooLarge, tooSmall } = judged;
  if (count < FEWEST && !whole) return 'too-few';
  const off = tooLarge.length + tooSmall.length;
  if (leans(judged, targetMm, toleranceMm)) return 'off-centre';
  if (scatters(judged, toleranceMm)) return 'uneven';
  if (outside.share > MANY_OUTSIDE && off >= FEWEST) return 'uneven';
  if (!whole && !surelyGood(judged, targetMm, toleranceMm)) return 'too-few';
  return off === 0 ? 'even' : 'some-off';
}

/** Whether the batch as a whole sits beside its target, for sure and so that it matters. */
function leans(judged: Judged, targetMm: number, toleranceMm: number): boolean {
  const { count, meanMm, spreadMm, basis, tooLarge, tooSmall } = judged;
  if (meanMm === null) return false;
  const lean = Math.abs(meanMm - targetMm);
  const off = tooLarge.length + tooSmall.length;
  if (basis === 'answers' || spreadMm === null) {
    return lean > FAR_LEAN * toleranceMm && (off === 0 || Math.min(tooLarge.length, tooSmall.length) <= off / 4);
  }
  if (lean <= (t95(count - 1) * spreadMm) / Math.sqrt(count)) return false;
  if (lean >= FAR_LEAN * toleranceMm) return true;
  const asIs = outsideShare({ lean, sd: spreadMm, toleranceMm });
  const centred = outsideShare({ lean: 0, sd: spreadMm, toleranceMm });
  return lean >= SOME_LEAN * toleranceMm && asIs >= LEAN_HARM && asIs > 2 * centred;
}

/** Whether its balloons differ too much from one another, for sure. */
function scatters({ count, spreadMm, basis }: Judged, toleranceMm: number): boolean {
  if (spreadMm === null || basis === 'answers') return false;
  const most = chiSquareQuantile({ p: 1 - RISK.chance, degreesOfFreedom: count - 1 });
  return spreadMm * Math.sqrt((count - 1) / most) > toleranceMm / normalQuantile(0.975);
}

/** Whether no more than the bad share lies outside, for all that was seen. */
function surelyGood(judged: Judged, targetMm: number, toleranceMm: number): boolean {
  const { count, meanMm, spreadMm, basis, outside } = judged;
  const off = Math.round(outside.share * count);
  if (basis === 'answers' || spreadMm === null || meanMm === null) {
    return mostShare({ count: off, of: count, chance: RISK.chance }) <= RISK.badByCount;
  }
  const few = chiSquareQuantile({ p: RISK.chance, degreesOfFreedom: count - 1 });
  const sd = spreadMm * Math.sqrt((count - 1) / few);
  return outsideShare({ lean: Math.abs(meanMm - targetMm), sd, toleranceMm }) <= RISK.badShare;
}

/** Share outside the tolerance of a normal law. */
function outsideShare({ lean, sd, toleranceMm }: { lean: number; sd: number; toleranceMm: number }): number {
  if (!(sd > 0)) return lean > toleranceMm ? 1 : 0;
  return normalCdf((lean - toleranceMm) / sd) + normalCdf((-lean - toleranceMm) / sd);
}

/** How many more would tell, were they like those seen; at least one, at most `MOST_MORE`. */
function moreToTell(judged: Judged, targetMm: number, toleranceMm: number): number {
  const { count, outside } = judged;
  for (let more = 1; more < MOST_MORE; more += 1) {
    const like = {
      ...judged,
      count: count + more,
      outside: { ...outside, share: (outside.share * count) / (count + more) },
    };
    if (count + more < FEWEST) continue;
    if (surelyGood(like, targetMm, toleranceMm) || scatters(like, toleranceMm)) return more;
  }
  return MOST_MORE;
}

function adviceOn({
  meanMm,
  basis,
  tooLarge,
  tooSmall,
  verdict,
  targetMm,
  more,
}: Judged & { verdict: Verdict; targetMm: number; more: number }): BatchAdvice[] {
  const advice: BatchAdvice[] = [];
  if (tooLarge.length > 0) advice.push({ code: 'let-out', indices: tooLarge });
  if (tooSmall.length > 0) advice.push({ code: 'add-air', indices: tooSmall });
  if (verdict === 'too-few') advice.push({ code: 'check-more', atLeast: more });
  if (verdict === 'even' || verdict === 'some-off') advice.push({ code: 'carry-on' });
  if (verdict === 'uneven') advice.push({ code: 'size-every-one' });
  if (verdict === 'off-centre' && meanMm !== null) {
    const byMm = basis === 'answers' ? null : Math.abs(meanMm - targetMm);
    advice.push({ code: meanMm > targetMm ? 'fill-less' : 'fill-more', byMm });
  }
  return advice;
}
