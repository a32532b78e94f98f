import type { Nozzle } from '../inflator';
import { ok, problem, type Result } from '../result';
import { quadraticForm, t95 } from '../statistics';
import { designRow, nozzleRateL, slopeKnown, volumeAtDoseL, volumeVariance, type DoseCurve } from './doseCurve';
import { aspectAt, volumeAtL, volumeSlopeL, widthAtVolumeMm } from './shapeLaw';

/** The width a dose gives. */
export interface WidthPrediction {
  widthMm: number;
  /** 95 % interval of the curve: where the mean of many balloons lies. */
  lowMm: number;
  highMm: number;
  /** 95 % interval of the next single balloon: with its own strokes, its own make, and one measurement by tape. */
  nextLowMm: number;
  nextHighMm: number;
  /** The dose lies outside the doses that were read. */
  extrapolated: boolean;
}

/** The dose that gives a width. */
export interface DosePrediction {
  /** Strokes or seconds, not rounded. */
  dose: number;
  low: number;
  high: number;
  extrapolated: boolean;
}

/** A width known no better than to this share of it, either way, is not known: no number says anything. */
export const UNKNOWN_SHARE = 0.25;

/**
 * What the uncertainty of the aspect at a width is worth in volume there, litre^2: hands that measure widths badly
 * measure heights so.
 */
function shapeVariance({ shape, varianceRatio }: DoseCurve, widthMm: number): number {
  const { aspect, sd } = aspectAt({ law: shape, widthMm });
  return varianceRatio * ((volumeAtL({ law: shape, widthMm }) * sd) / aspect) ** 2;
}

/**
 * The width that a dose gives, with 95 % intervals by Student's t on the volume (the dose law's variance and
 * the shape law's, taken as independent), carried over to width by the shape law (which keeps an interval of the
 * volume an interval of the width, as width grows with volume).
 *
 * Problem: `bad-dose` (not above 0).
 */
export function predictWidth({
  fit,
  dose,
  nozzle,
}: {
  fit: DoseCurve;
  dose: number;
  nozzle?: Nozzle;
}): Result<WidthPrediction, 'bad-dose'> {
  if (!(dose > 0 && Number.isFinite(dose))) return problem('bad-dose', { field: 'dose' });
  const law = fit.shape;
  const volumeL = volumeAtDoseL(fit, dose, nozzle);
  const widthMm = widthAtVolumeMm({ law, volumeL });
  const t = t95(fit.degreesOfFreedom);
  const variance = volumeVariance(fit, { dose, nozzle, widthMm }) + shapeVariance(fit, widthMm);
  const half = t * Math.sqrt(variance);
  const oneSdL = volumeSlopeL({ law, widthMm }) * balloonSdMm({ fit, dose, widthMm });
  const nextHalf = t * Math.sqrt(variance + oneSdL * oneSdL);
  const at = (litres: number) => widthAtVolumeMm({ law, volumeL: litres });
  return ok({
    widthMm,
    lowMm: at(volumeL - half),
    highMm: at(volumeL + half),
    nextLowMm: at(volumeL - nextHalf),
    nextHighMm: at(volumeL + nextHalf),
    extrapolated: dose < fit.lowestDose || dose > fit.highestDose,
  });
}

/**
 * Standard deviation (mm) of one balloon about its curve at a dose, as one measurement by tape sees it: the strokes it
 * had, how balloons differ, the tape and its marks, times what the readings showed of them.
 */
export function balloonSdMm({ fit, dose, widthMm }: { fit: DoseCurve; dose: number; widthMm: number }): number {
  const { errors, marksMm, varianceRatio, doseVolumeL, shape } = fit;
  const strokesMm =
    (errors.doseShare * doseVolumeL * Math.sqrt(dose)) / Math.max(volumeSlopeL({ law: shape, widthMm }), 1e-9);
  return (
    Math.sqrt(varianceRatio) *
    Math.hypot(errors.ways.tape, marksMm / Math.sqrt(12), errors.balloonShare * widthMm, strokesMm)
  );
}

/**
 * The dose that gives `widthMm`, (V - V0) / s, with a 95 % interval by Fieller's theorem: the doses whose volume does
 * not differ surely from the width's.
 *
 * Problems: `bad-width` (not above 0); `below-first-stroke` (the curve is wider than that before any dose);
 * `slope-unknown` (the readings leave open whether a dose adds air at all).
 *
 * Source: Fieller, JRSS B 16 (1954).
 */
export function doseForWidth({
  fit,
  widthMm,
  nozzle,
}: {
  fit: DoseCurve;
  widthMm: number;
  nozzle?: Nozzle;
}): Result<DosePrediction, 'bad-width' | 'below-first-stroke' | 'slope-unknown'> {
  if (!(widthMm > 0 && Number.isFinite(widthMm))) return problem('bad-width', { field: 'widthMm' });
  if (!slopeKnown(fit)) return problem('slope-unknown', { field: 'widthMm' });
  const rateL = nozzleRateL(fit, nozzle);
  const volumeL = volumeAtL({ law: fit.shape, widthMm });
  const dose = (volumeL - fit.deadVolumeL) / rateL;
  if (!(dose > 0)) return problem('below-first-stroke', { field: 'widthMm' });
  const { low, high } = fiellerDoses({ fit, widthMm, nozzle, offL: volumeL - fit.deadVolumeL, rateL });
  return ok({
    dose,
    low: Math.max(0, Math.min(dose, low)),
    high: Math.max(dose, high),
    extrapolated: dose < fit.lowestDose || dose > fit.highestDose,
  });
}

/** Both ends of {d: (off - rate d)^2 <= t^2 Var(d)}, the variance being a square in d; Infinity where it has no end. */
function fiellerDoses({
  fit,
  widthMm,
  nozzle,
  offL,
  rateL,
}: {
  fit: DoseCurve;
  widthMm: number;
  nozzle: Nozzle | undefined;
  offL: number;
  rateL: number;
}): { low: number; high: number } {
  const { terms, covariance, nominalMm } = fit;
  const still = designRow(terms, { dose: 0, nozzle, widthMm, nominalMm });
  const unit = designRow(terms, { dose: 1, nozzle, widthMm, nominalMm }).map((x, i) => x - still[i]!);
  const square = t95(fit.degreesOfFreedom) ** 2;
  const a = rateL * rateL - square * quadraticForm(unit, covariance, unit);
  const b = offL * rateL + square * quadraticForm(still, covariance, unit);
  const c = offL * offL - square * (quadraticForm(still, covariance, still) + shapeVariance(fit, widthMm));
  if (!(a > 0)) return { low: 0, high: Infinity };
  const root = Math.sqrt(Math.max(0, b * b - a * c));
  return { low: (b - root) / a, high: (b + root) / a };
}
