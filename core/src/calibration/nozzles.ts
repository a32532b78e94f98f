import type { Nozzle } from '../inflator';
import { t95 } from '../statistics';
import { nozzleRateL } from './doseCurve';
import type { CalibrationFit } from './fitCalibration';

/** How unequally a two-nozzle inflator fills. */
export interface NozzleImbalance {
  /** The nozzle that gives more. */
  stronger: Nozzle;
  /** How much more it gives than the other, as a share of the other. */
  share: number;
  /** 95 % interval of the share; below zero when the other may be the stronger. */
  low: number;
  high: number;
  /** Whether the readings show a difference at all: the interval leaves out zero. */
  shown: boolean;
}

/** The imbalance between the nozzles; `null` unless both were read. Intervals by Student's t on the half difference. */
export function nozzleImbalance(fit: CalibrationFit): NozzleImbalance | null {
  const place = fit.terms.indexOf('nozzle');
  const variance = fit.covariance[place]?.[place];
  if (variance === undefined) return null;
  const stronger = fit.nozzleVolumeL >= 0 ? 'left' : 'right';
  const size = Math.abs(fit.nozzleVolumeL);
  const half = t95(fit.degreesOfFreedom) * Math.sqrt(variance);
  const shareOf = (differenceL: number) => (2 * differenceL) / (fit.doseVolumeL - differenceL);
  return {
    stronger,
    share: shareOf(size),
    low: shareOf(size - half),
    high: shareOf(size + half),
    shown: size > half,
  };
}

/** Seconds for the other nozzle when `dose` fills a balloon at `nozzle`: what corrects the imbalance. */
export function matchNozzle({ fit, dose, nozzle }: { fit: CalibrationFit; dose: number; nozzle: Nozzle }): number {
  const other = nozzle === 'left' ? 'right' : 'left';
  return (dose * nozzleRateL(fit, nozzle)) / nozzleRateL(fit, other);
}

/**
 * The doses with which both nozzles fill alike, around one dose: half of their imbalance to either side, so that
 * neither is turned far from what was asked.
 */
export function evenDoses({ fit, dose }: { fit: CalibrationFit; dose: number }): Record<Nozzle, number> {
  const share = Math.sqrt(matchNozzle({ fit, dose: 1, nozzle: 'left' }));
  return { left: dose / share, right: dose * share };
}
