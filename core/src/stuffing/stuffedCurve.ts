import type { DoseCurve, EstimatedCurve } from '../calibration';
import { TRADE, type Trade } from '../trade';

/** Degrees of freedom that an estimate of how two skins fill is worth, at most. */
const FREEDOM = 8;

/**
 * The curve of a pair nobody has calibrated: the outer's, with strokes worth a little less against two skins and an
 * interval wider by what that guess may be off (`TRADE.stuffedDose`). The inner's skin takes up no room that counts.
 * The shape is the outer's; its limits are left to each balloon's own limits.
 */
export function stuffedCurve({
  outer,
  trade = TRADE,
}: {
  outer: DoseCurve;
  trade?: Trade | undefined;
}): EstimatedCurve {
  const { share, sd } = trade.stuffedDose;
  const doseVolumeL = outer.doseVolumeL * share;
  const covariance = outer.covariance.map((row) => row.map((each) => each * share * share));
  covariance[1]![1]! += (sd * outer.doseVolumeL) ** 2;
  return {
    ...outer,
    deadVolumeL: outer.deadVolumeL * share,
    doseVolumeL,
    nozzleVolumeL: outer.nozzleVolumeL * share,
    covariance,
    degreesOfFreedom: Math.min(FREEDOM, outer.degreesOfFreedom),
    lowestDose: Infinity,
    highestDose: -Infinity,
    shape: { ...outer.shape, roundLimit: { kind: 'no-shapes-seen' }, pearLimit: undefined, expected: undefined },
    dosesFrom: 'outer',
    doseCalibrations: 1,
    shapeCalibrations: outer.shape.seen ? 1 : 0,
  };
}
