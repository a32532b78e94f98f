import type { Trade } from '../trade';
import { volumeAtDoseL, volumeVariance } from './doseCurve';
import { fitLaw, type Frame, type Law } from './doseLaw';
import { measuringVariance, pointsOf } from './point';
import { widthSeenMm } from './reading';
import { volumeAtL } from './shapeLaw';

/** The readings that lie too far from what all others say of them, with their deviations; at most one in five. */
export function slipsOf(frame: Frame, first: Law): Map<number, number> {
  const slips = new Map<number, number>();
  const count = first.points.length;
  const most = count < 4 ? 0 : Math.max(1, Math.floor(count / 5));
  let law: Law = first;
  while (slips.size < most) {
    const far = farPoints(law, frame.trade);
    if (far.length === 0) break;
    // The worse half at once: a wild slip makes honest readings look far, the others are looked at again.
    for (const { index, deviations } of far.slice(0, Math.min(most - slips.size, Math.ceil(far.length / 2)))) {
      slips.set(index, deviations);
    }
    const next = fitLaw(frame, new Set(slips.keys()));
    if (next === 'not-rising' || next === 'no-widths') break;
    law = next;
  }
  return slips;
}

/** Points beyond the limit, the furthest first, by the externally studentised deletion residual. */
function farPoints({ points, fit, curve }: Law, trade: Trade): { index: number; deviations: number }[] {
  const prior = curve.errors.worth;
  const middling = middleSquare(fit.deletions);
  const far: { index: number; deviations: number }[] = [];
  points.forEach(({ index }, i) => {
    const deletion = fit.deletions[i];
    if (deletion === null || deletion === undefined) return;
    const square = deletion ** 2;
    // Never stricter than the assumed uncertainty: readings that happen to agree are no ground for a charge.
    const others = (prior + fit.chiSquare - square) / (prior + fit.degreesOfFreedom - 1);
    const variance = Math.max(1, Math.min(others, middling ?? Infinity));
    const deviations = Math.sqrt(square / variance);
    if (deviations > trade.outlierLimit) far.push({ index, deviations });
  });
  return far.sort((a, b) => b.deviations - a.deviations);
}

/** From so many readings on, the middle one of their squares tells the variance better than the mean: slips hide. */
const MANY = 12;
/** The middle of a chi-square law with one degree of freedom. */
const MIDDLE_OF_SQUARES = 0.4549364231195725;

/** Variance by the middle deletion residual (the median absolute deviation); `null` for few readings. */
function middleSquare(deletions: readonly (number | null)[]): number | null {
  const squares = deletions.flatMap((one) => (one === null ? [] : [one * one])).sort((a, b) => a - b);
  return squares.length < MANY ? null : squares[Math.floor(squares.length / 2)]! / MIDDLE_OF_SQUARES;
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
    const own = measuringVariance(point!, errors, trade) + dose * (errors.doseShare * curve.doseVolumeL) ** 2;
    const sdL = Math.sqrt(volumeVariance(curve, { dose, nozzle, widthMm }) + curve.varianceRatio * own);
    const deviations = Math.abs(volumeAtL({ law: shape, widthMm }) - volumeAtDoseL(curve, dose, nozzle)) / sdL;
    return deviations > trade.outlierLimit ? [[index, deviations]] : [];
  });
}
