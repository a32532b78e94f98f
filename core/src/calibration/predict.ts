import type { Nozzle } from '../inflator';
import { ok, problem, type Result } from '../result';
import { t95 } from '../statistics';
import { TRADE } from '../trade';
import { nozzleRateL, volumeAtDoseL, volumeVariance, type DoseCurve } from './doseCurve';
import { aspectAt, volumeAtL, volumeSlopeL, widthAtVolumeMm } from './shapeLaw';

/** The width a dose gives. */
export interface WidthPrediction {
  widthMm: number;
  /** 95 % interval of the curve: where the mean of many balloons lies. */
  lowMm: number;
  highMm: number;
  /** 95 % interval of the next single balloon, with what one measurement adds. */
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
  const variance = volumeVariance({ covariance: fit.covariance, dose, nozzle }) + shapeVariance(fit, widthMm);
  const half = t * Math.sqrt(variance);
  const oneSdL = volumeSlopeL({ law, widthMm }) * TRADE.measureSdMm.value.tape;
  const nextHalf = t * Math.sqrt(variance + fit.varianceRatio * oneSdL * oneSdL);
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
 * The dose that gives `widthMm`, with a 95 % interval by the delta method on (V - V0) / s.
 *
 * Problems: `bad-width` (not above 0); `below-first-stroke` (the curve is wider than that before any dose).
 */
export function doseForWidth({
  fit,
  widthMm,
  nozzle,
}: {
  fit: DoseCurve;
  widthMm: number;
  nozzle?: Nozzle;
}): Result<DosePrediction, 'bad-width' | 'below-first-stroke'> {
  if (!(widthMm > 0 && Number.isFinite(widthMm))) return problem('bad-width', { field: 'widthMm' });
  const rateL = nozzleRateL(fit, nozzle);
  const dose = (volumeAtL({ law: fit.shape, widthMm }) - fit.deadVolumeL) / rateL;
  if (!(dose > 0)) return problem('below-first-stroke', { field: 'widthMm' });
  const variance = volumeVariance({ covariance: fit.covariance, dose, nozzle }) + shapeVariance(fit, widthMm);
  const half = (t95(fit.degreesOfFreedom) * Math.sqrt(variance)) / rateL;
  return ok({
    dose,
    low: Math.max(0, dose - half),
    high: dose + half,
    extrapolated: dose < fit.lowestDose || dose > fit.highestDose,
  });
}
