import type { Inflator } from '../inflator';
import { poolEstimates, withoutPrior, type Estimate, type Pooled } from '../statistics';
import { TRADE, type Trade } from '../trade';
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
 * variance with a spread between balloons (`poolEstimates`). `fits` must know nothing of the inflator beforehand, or
 * they would tell it twice. What is lost is told by those with two doses or more, freed of what was assumed of it; one
 * dose tells the volume for as much as the others say is lost. Without any, the volume on record with its usual error;
 * `null` when that is missing too.
 */
export function poolInflator({
  inflator,
  fits,
  trade = TRADE,
}: {
  inflator: Inflator;
  fits: readonly CalibrationFit[];
  trade?: Trade | undefined;
}): InflatorKnowledge | null {
  const worth = trade.betweenWorth;
  const { kind } = inflator;
  if (fits.length === 0) {
    const { doseVolumeL } = inflator;
    if (doseVolumeL === undefined) return null;
    const doseSdL = doseVolumeL * trade.recordedStrokeShare;
    return { kind, doseVolumeL, doseSdL, lostDoses: 0, lostSd: trade.firstDoseSd[kind], calibrations: 0 };
  }
  const losses = fits.flatMap((fit) => lostDoses(fit, trade) ?? []);
  const lostBetween = trade.deadBetweenDoses;
  const lost =
    losses.length > 0
      ? pooled(losses, { variance: lostBetween ** 2, worth })
      : { mean: 0, predictive: trade.firstDoseSd[kind] ** 2 };
  const volumes = fits.map((fit) => volumeGiven(fit, lost, trade));
  const typicalL = volumes.reduce((sum, { value }) => sum + value, 0) / volumes.length;
  const volume = pooled(volumes, { variance: (typicalL * trade.strokeBetweenShare) ** 2, worth });
  return {
    kind,
    doseVolumeL: volume.mean,
    doseSdL: Math.sqrt(volume.predictive),
    lostDoses: lost.mean,
    lostSd: Math.sqrt(lost.predictive),
    calibrations: fits.length,
  };
}

function pooled(estimates: readonly Estimate[], expected: { variance: number; worth: number }): Pooled {
  return poolEstimates({ estimates, expected })!;
}

/**
 * Doses lost at the start, -V0 / s, with its variance by the delta method, freed of the assumption that none are;
 * `null` where little else is known of it.
 */
function lostDoses(
  { deadVolumeL, doseVolumeL, covariance, distinctDoses, inflator }: CalibrationFit,
  trade: Trade,
): Estimate | null {
  if (distinctDoses < 2) return null;
  const value = -deadVolumeL / doseVolumeL;
  const [[c00, c01], [, c11]] = covariance as [[number, number], [number, number]];
  const variance = (c00 + 2 * value * c01 + value * value * c11) / doseVolumeL ** 2;
  return withoutPrior({ value, variance }, { value: 0, variance: trade.firstDoseSd[inflator] ** 2 });
}

/** A calibration's dose volume as it would be, were so much known to be lost: the fit conditioned on it. */
function volumeGiven(fit: CalibrationFit, lost: { mean: number; predictive: number }, trade: Trade): Estimate {
  const { deadVolumeL, doseVolumeL, covariance } = fit;
  const [[c00, c01], [, c11]] = covariance as [[number, number], [number, number]];
  if (lostDoses(fit, trade)) return { value: doseVolumeL, variance: c11 };
  // x = V0 + lost x s is 0 to within the loss's spread: one more observation, by the rank-one update.
  const off = deadVolumeL + lost.mean * doseVolumeL;
  const spread = lost.predictive * doseVolumeL ** 2;
  const own = c00 + 2 * lost.mean * c01 + lost.mean ** 2 * c11;
  const pull = c01 + lost.mean * c11;
  return { value: doseVolumeL - (pull * off) / (own + spread), variance: c11 - pull ** 2 / (own + spread) };
}
