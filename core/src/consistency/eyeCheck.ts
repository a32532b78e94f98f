import { individualsChart } from '../control/chart';
import { ok, problem, type Result } from '../result';
import {
  chiSquareQuantile,
  leastSquares,
  meanInterval,
  meanOf,
  normalCdf,
  normalQuantile,
  sdOf,
  spreadInterval,
  squaresOf,
  t95,
  type Ranged,
} from '../statistics';
import { fTail } from '../statistics/fRatio';
import { TRADE, type Trade } from '../trade';
import { KINDS_OF_WORK, workToleranceMm, type KindOfWork } from './work';

/** How the widths move while a session goes on. */
export interface EyeTrend {
  /** Change of width from one balloon to the next, mm. */
  perBalloonMm: Ranged;
  /** The interval leaves 0 out: the eye drifts. */
  drifting: 'larger' | 'smaller' | null;
  /** Spread of the second half over that of the first. */
  spreadRatio: number;
  /** The second half is wider spread than chance explains (5 in 100): the eye tires. */
  tiring: boolean;
}

/** Whether the eye is enough for a kind of work. */
export interface WorkVerdict {
  work: KindOfWork;
  toleranceMm: number;
  /** Share of balloons by this eye within the tolerance, with a 90 % interval. */
  within: Ranged;
  /** `enough`: 95 % sure of the share that work needs; `not-enough`: as sure of less; else `unclear`. */
  verdict: 'enough' | 'unclear' | 'not-enough';
}

/** What a session by eye tells. */
export interface EyeJudgement {
  count: number;
  /** Mean less target, mm. */
  biasMm: Ranged;
  /** Standard deviation, mm. */
  spreadMm: Ranged;
  /** `null` below six balloons. */
  trend: EyeTrend | null;
  /** Balloons outside three deviations of what their neighbours differ by, by their place. */
  oddOnes: number[];
  work: WorkVerdict[];
}

export type EyeProblemCode = 'bad-target' | 'bad-width' | 'too-few-balloons';

/** One balloon has no spread. */
export const FEWEST_BY_EYE = 2;
const FEWEST_FOR_TREND = 6;
const ABSURD_FACTOR = 3;

/**
 * Judges widths (mm, in the order they were filled) that an eye took for `targetMm`: bias (Student's t), spread
 * (chi-square), drift (the slope of a straight line), tiring (F ratio of the halves), odd ones (individuals chart)
 * and the kinds of work it is enough for.
 *
 * Problems: `bad-target`; `bad-width`, with its field; `too-few-balloons`.
 */
export function judgeEye({
  targetMm,
  nominalMm,
  widthsMm,
  trade = TRADE,
}: {
  targetMm: number;
  nominalMm: number;
  widthsMm: readonly number[];
  trade?: Trade | undefined;
}): Result<EyeJudgement, EyeProblemCode> {
  if (!(targetMm > 0 && nominalMm > 0)) return problem('bad-target', { field: 'targetMm' });
  if (widthsMm.length < FEWEST_BY_EYE) {
    return problem('too-few-balloons', { field: 'widthsMm', detail: { least: FEWEST_BY_EYE } });
  }
  const bad = widthsMm.findIndex((width) => !(width > 0 && width < ABSURD_FACTOR * targetMm));
  if (bad >= 0) return problem('bad-width', { field: `widthsMm.${bad}` });
  const offs = widthsMm.map((width) => width - targetMm);
  return ok({
    count: widthsMm.length,
    biasMm: meanInterval(offs),
    spreadMm: spreadInterval(offs),
    trend: offs.length < FEWEST_FOR_TREND ? null : trendOf(offs),
    oddOnes: oddOnes(offs),
    work: KINDS_OF_WORK.map((work) => {
      const toleranceMm = workToleranceMm({ work, nominalMm, trade });
      const within = shareWithin({ offs, toleranceMm });
      const needed = trade.workShare;
      const verdict = within.low >= needed ? 'enough' : within.high < needed ? 'not-enough' : 'unclear';
      return { work, toleranceMm, within, verdict };
    }),
  });
}

function trendOf(offs: readonly number[]): EyeTrend {
  const n = offs.length;
  const fit = leastSquares({ rows: offs.map((_, i) => [1, i - (n - 1) / 2]), observed: offs })!;
  const value = fit.coefficients[1]!;
  const variance = (fit.chiSquare / fit.degreesOfFreedom) * fit.unitCovariance[1]![1]!;
  const half = t95(fit.degreesOfFreedom) * Math.sqrt(variance);
  const perBalloonMm = { value, low: value - half, high: value + half };
  const drifting = perBalloonMm.low > 0 ? 'larger' : perBalloonMm.high < 0 ? 'smaller' : null;
  // The drift itself must not count as spread; each half gives up half of the line's two degrees.
  const middle = Math.floor(n / 2);
  const first = fit.residuals.slice(0, middle);
  const second = fit.residuals.slice(n - middle);
  const ratio = sdOf(second) / sdOf(first);
  const degrees = Math.max(1, middle - 2);
  const tiring =
    squaresOf(first) === 0
      ? squaresOf(second) > 0
      : fTail({ ratio: ratio ** 2, above: degrees, below: degrees }) < 0.05;
  return { perBalloonMm, drifting, spreadRatio: ratio, tiring };
}

/** Those beyond the limits of the individuals chart. */
function oddOnes(offs: readonly number[]): number[] {
  const chart = offs.length < FEWEST_FOR_TREND ? null : individualsChart(offs);
  if (!chart?.ok) return [];
  const { low, high } = chart.value;
  return offs.flatMap((off, i) => (off < low || off > high ? [i] : []));
}

/** Equal-probability points of spread and mean that the interval of a share is read from. */
const POINTS = 40;
const AT = Array.from({ length: POINTS }, (_, i) => (i + 0.5) / POINTS);
const NORMAL_POINTS = AT.map(normalQuantile);
const CHI_POINTS = new Map<number, number[]>();

/** The quantiles are the same for every session of one length. */
function chiPoints(degreesOfFreedom: number): number[] {
  let points = CHI_POINTS.get(degreesOfFreedom);
  if (!points) {
    points = AT.map((p) => chiSquareQuantile({ p, degreesOfFreedom }));
    CHI_POINTS.set(degreesOfFreedom, points);
  }
  return points;
}

/**
 * The share of balloons within +-`toleranceMm` of their target, with its 90 % interval: over the laws that the session
 * leaves possible (variance: scaled inverse chi-square; mean: normal given it), each at 40 points of equal
 * probability. Source: Gelman et al., Bayesian Data Analysis, section 3.2.
 */
export function shareWithin({ offs, toleranceMm }: { offs: readonly number[]; toleranceMm: number }): Ranged {
  const n = offs.length;
  const mean = meanOf(offs);
  const squares = squaresOf(offs);
  const share = (centre: number, sd: number) =>
    sd === 0
      ? Number(Math.abs(centre) <= toleranceMm)
      : normalCdf((toleranceMm - centre) / sd) - normalCdf((-toleranceMm - centre) / sd);
  const shares = chiPoints(n - 1).flatMap((chi) => {
    const sd = Math.sqrt(squares / chi);
    return NORMAL_POINTS.map((z) => share(mean + (z * sd) / Math.sqrt(n), sd));
  });
  shares.sort((a, b) => a - b);
  const quantile = (p: number) => shares[Math.min(shares.length - 1, Math.floor(p * shares.length))]!;
  return { value: share(mean, Math.sqrt(squares / (n - 1))), low: quantile(0.05), high: quantile(0.95) };
}

/** Two eyes beside one another. */
export interface EyeComparison {
  /** Mean of the first less mean of the second, mm. */
  differenceMm: Ranged;
  /** The interval leaves 0 out. */
  differ: boolean;
  /** Spread of the first over that of the second. */
  spreadRatio: number;
  /** By chance alone such a ratio, or its inverse, is rarer than 5 in 100. */
  spreadsDiffer: boolean;
}

/**
 * Compares two sessions at one target (two or more widths each). Source: Welch, Biometrika 34 (1947), for the means.
 */
export function compareEyes(first: readonly number[], second: readonly number[]): EyeComparison {
  const a = { mean: meanOf(first), share: sdOf(first) ** 2 / first.length, df: first.length - 1 };
  const b = { mean: meanOf(second), share: sdOf(second) ** 2 / second.length, df: second.length - 1 };
  const value = a.mean - b.mean;
  const variance = a.share + b.share;
  const degrees = variance === 0 ? a.df + b.df : variance ** 2 / (a.share ** 2 / a.df + b.share ** 2 / b.df);
  const half = t95(degrees) * Math.sqrt(variance);
  const ratio = sdOf(second) === 0 ? (sdOf(first) === 0 ? 1 : Infinity) : sdOf(first) / sdOf(second);
  const tail = fTail({ ratio: ratio ** 2, above: a.df, below: b.df });
  return {
    differenceMm: { value, low: value - half, high: value + half },
    differ: Math.abs(value) > half,
    spreadRatio: ratio,
    spreadsDiffer: 2 * Math.min(tail, 1 - tail) < 0.05,
  };
}
