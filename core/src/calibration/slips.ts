import { normalDensity, normalQuantile } from '../statistics';
import { volumeAtDoseL, volumeVariance } from './doseCurve';
import { fitLaw, type Frame, type Law } from './doseLaw';
import { measuringVariance, pointsOf, sharedCovariance } from './point';
import { widthSeenMm } from './reading';
import { volumeAtL } from './shapeLaw';

/**
 * The readings that lie too far from what all others say of them, with their deviations; at most one in five. In few
 * readings slips hide one another, and the worst are set aside on trial; in many the middle of all squares tells what
 * honest readings differ by, and the worse half is set aside at once.
 */
export function slipsOf(frame: Frame, first: Law): Map<number, number> {
  const count = first.points.length;
  if (count < FEWEST) return new Map();
  const most = Math.max(1, Math.floor(count / ONE_IN));
  return count < MANY ? slipsOnTrial(frame, first, most) : slipsByHalves(frame, first, most);
}

/** Of fewer readings nobody can say which was the slip. */
const FEWEST = 4;
/** No more than one of so many is set aside. */
const ONE_IN = 5;
/** From so many readings on the middle one of their squares tells the variance, however many are slips. */
const MANY = 20;

/**
 * Sets the worst aside, one by one, while one lies beyond the limit by what was assumed of their errors, as slips that
 * hide one another still do; then asks those set aside of the clean fit, the least far first, and takes back whoever
 * lies within the limit (after Hadi and Simonoff, Journal of the American Statistical Association 88, 1993).
 */
function slipsOnTrial(frame: Frame, first: Law, most: number): Map<number, number> {
  const aside = new Set<number>();
  for (let law = first; aside.size < most;) {
    const [worst] = furthest(law, () => 1);
    if (!worst || worst.deviations <= frame.trade.outlierLimit) break;
    const next = fitLaw(frame, new Set([...aside, worst.index]));
    if (next === 'not-rising' || next === 'no-widths') break;
    aside.add(worst.index);
    law = next;
  }
  while (aside.size > 0) {
    const asked = [...aside].map((index) => deviationsOf(frame, first, index, aside));
    const least = asked.reduce((a, b) => (b.deviations < a.deviations ? b : a));
    if (least.deviations > frame.trade.outlierLimit)
      return new Map(asked.map(({ index, deviations }) => [index, deviations]));
    aside.delete(least.index);
  }
  return new Map();
}

/** How far one of the readings set aside lies from what all others, without those set aside, say of it. */
function deviationsOf(frame: Frame, first: Law, index: number, aside: ReadonlySet<number>): Far {
  const others = new Set([...aside].filter((one) => one !== index));
  const law = others.size === 0 ? first : fitLaw(frame, others);
  if (law === 'not-rising' || law === 'no-widths') return { index, deviations: 0 };
  const kept = varianceWithin(others.size / first.points.length);
  const varianceOf = (square: number) => Math.max(1, othersVariance(law, square, kept));
  return furthest(law, varianceOf).find((one) => one.index === index) ?? { index, deviations: 0 };
}

function slipsByHalves(frame: Frame, first: Law, most: number): Map<number, number> {
  let slips = new Map<number, number>();
  for (let law = first; slips.size < most;) {
    const middling = middleSquare(law.fit.deletions);
    const varianceOf = (square: number) => Math.max(1, Math.min(othersVariance(law, square), middling));
    const far = furthest(law, varianceOf).filter(({ deviations }) => deviations > frame.trade.outlierLimit);
    if (far.length === 0) break;
    // A wild slip makes honest readings look far: the others are looked at again.
    const worse = far.slice(0, Math.min(most - slips.size, Math.ceil(far.length / 2)));
    const more = new Map([...slips, ...worse.map(({ index, deviations }): [number, number] => [index, deviations])]);
    const next = fitLaw(frame, new Set(more.keys()));
    if (next === 'not-rising' || next === 'no-widths') break;
    slips = more;
    law = next;
  }
  return slips;
}

/** A reading by its index, and its externally studentised deletion residual. */
interface Far {
  index: number;
  deviations: number;
}

/**
 * Points by how far they lie from what all others say, the furthest first.
 * @param varianceOf the variance ratio to take for a point with this squared deletion residual. Never under 1: readings
 * that happen to agree are no ground for a charge.
 */
function furthest({ points, fit }: Law, varianceOf: (square: number) => number): Far[] {
  return points
    .flatMap(({ index }, i): Far[] => {
      const deletion = fit.deletions[i];
      if (deletion === null || deletion === undefined) return [];
      return [{ index, deviations: Math.sqrt(deletion ** 2 / varianceOf(deletion ** 2)) }];
    })
    .sort((a, b) => b.deviations - a.deviations);
}

/** The variance ratio by all points but the one with this squared deletion residual, and by what was assumed. */
function othersVariance({ fit, curve }: Law, square: number, kept = 1): number {
  const prior = curve.errors.worth;
  return (prior + (fit.chiSquare - square) / kept) / (prior + fit.degreesOfFreedom - 1);
}

/**
 * What is left of the variance of a normal law once this share of it, the furthest both ways, is set aside: the others
 * are no surer because the worst of them were. (The consistency factor of a trimmed variance: Croux and
 * Haesbroeck, Journal of Multivariate Analysis 71, 1999, here of one dimension.)
 */
function varianceWithin(share: number): number {
  if (share === 0) return 1;
  const end = normalQuantile(1 - share / 2);
  return 1 - (2 * end * normalDensity(end)) / (1 - share);
}

/** The middle of a chi-square law with one degree of freedom. */
const MIDDLE_OF_SQUARES = 0.4549364231195725;

/** Of fewer squares the middle one says little; brackets have none. */
const FEWEST_SQUARES = 12;

/** Variance by the middle deletion residual (the median absolute deviation); no bound by few of them. */
function middleSquare(deletions: readonly (number | null)[]): number {
  const squares = deletions.flatMap((one) => (one === null ? [] : [one * one])).sort((a, b) => a - b);
  return squares.length < FEWEST_SQUARES ? Infinity : squares[Math.floor(squares.length / 2)]! / MIDDLE_OF_SQUARES;
}

/** Bursts whose width cannot be true for their dose. */
export function burstSlips({ readings, nominalMm, errors, trade }: Frame, { curve, shape }: Law): [number, number][] {
  return readings.flatMap((reading, index): [number, number][] => {
    const widthMm = widthSeenMm(reading);
    if (reading.outcome !== 'burst' || widthMm === undefined) return [];
    const { dose, nozzle } = reading;
    const [point] = pointsOf({
      readings: [{ ...reading, outcome: 'ok', heightMm: undefined }],
      balloons: [0],
      terms: curve.terms,
      shape,
      nominalMm,
      marksMm: 0,
    });
    const own = measuringVariance(point!, errors, trade) + sharedCovariance(point!, point!, errors, curve.doseVolumeL);
    const sdL = Math.sqrt(volumeVariance(curve, { dose, nozzle, widthMm }) + curve.varianceRatio * own);
    const deviations = Math.abs(volumeAtL({ law: shape, widthMm }) - volumeAtDoseL(curve, dose, nozzle)) / sdL;
    return deviations > trade.outlierLimit ? [[index, deviations]] : [];
  });
}
