import type { Inflator } from '../inflator';
import { poolEstimates, type Estimate, type Pooled } from '../statistics';
import { TRADE } from '../trade';
import type { CalibrationFit } from './fitCalibration';

/** What one inflator is known to do, whatever the balloon. */
export interface InflatorKnowledge {
  kind: Inflator['kind'];
  /** Litres one stroke or second moves. */
  doseVolumeL: number;
  /** Standard deviation of that for the next balloon: of the mean and from balloon to balloon. */
  doseSdL: number;
  /** Strokes or seconds lost at the start; the start-up lag of a timed inflator. */
  lostDoses: number;
  lostSd: number;
  /** Calibrations it rests on; 0 when it is only the figure on record. */
  calibrations: number;
}

/**
 * Pools what calibrations made with one inflator tell of it: dose volume and dose lost at the start, each by inverse
 * variance with a spread between balloons (`poolEstimates`). Only calibrations with two doses or more speak. Without
 * any, the volume on record with its usual error; `null` when that is missing too.
 */
export function poolInflator({
  inflator,
  fits,
}: {
  inflator: Inflator;
  fits: readonly CalibrationFit[];
}): InflatorKnowledge | null {
  const worth = TRADE.betweenWorth.value;
  const lostBetween = TRADE.deadBetweenDoses.value;
  const telling = fits.filter(({ distinctDoses }) => distinctDoses >= 2);
  if (telling.length === 0) {
    const { kind, doseVolumeL } = inflator;
    if (doseVolumeL === undefined) return null;
    const doseSdL = doseVolumeL * TRADE.recordedStrokeShare.value;
    return {
      kind,
      doseVolumeL,
      doseSdL,
      lostDoses: 0,
      lostSd: TRADE.firstDoseSd.value[kind],
      calibrations: 0,
    };
  }
  const volumes = telling.map((fit) => ({ value: fit.doseVolumeL, variance: fit.covariance[1]![1]! }));
  const typicalL = volumes.reduce((sum, { value }) => sum + value, 0) / volumes.length;
  const volume = pooled(volumes, { variance: (typicalL * TRADE.strokeBetweenShare.value) ** 2, worth });
  const lost = pooled(telling.map(lostDoses), { variance: lostBetween ** 2, worth });
  return {
    kind: inflator.kind,
    doseVolumeL: volume.mean,
    doseSdL: Math.sqrt(volume.predictive),
    lostDoses: lost.mean,
    lostSd: Math.sqrt(lost.predictive),
    calibrations: telling.length,
  };
}

function pooled(estimates: readonly Estimate[], expected: { variance: number; worth: number }): Pooled {
  return poolEstimates({ estimates, expected })!;
}

/** Doses lost at the start, -V0 / s, with its variance by the delta method. */
function lostDoses({ deadVolumeL, doseVolumeL, covariance }: CalibrationFit): Estimate {
  const value = -deadVolumeL / doseVolumeL;
  const [[c00, c01], [, c11]] = covariance as [[number, number], [number, number]];
  return { value, variance: (c00 + 2 * value * c01 + value * value * c11) / doseVolumeL ** 2 };
}
