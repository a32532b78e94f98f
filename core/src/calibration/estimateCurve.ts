import { TRADE, type Trade } from '../trade';
import type { DoseCurve } from './doseCurve';
import { expectShape } from './expectShape';
import type { CalibrationFit } from './fitCalibration';
import type { InflatorKnowledge } from './poolInflator';
import { assumedErrors, type ReadingErrors } from './readingErrors';

/** A curve nobody measured. */
export interface EstimatedCurve extends DoseCurve {
  /**
   * Where the doses come from: other sizes of the line filled with the same inflator, all balloons filled with it, or
   * its volume on record; for a pair, its outer balloon alone.
   */
  dosesFrom: 'line' | 'inflator' | 'record' | 'outer';
  /** Calibrations behind the doses. */
  doseCalibrations: number;
  /** Other sizes of the line behind the shape; 0 for what is usual. */
  shapeCalibrations: number;
}

/** Degrees of freedom of intervals that rest on assumed spreads. */
const FREEDOM = 8;

/**
 * The curve of a balloon that was never measured: doses from what the inflator is known to do (`line`, pooled over
 * the other sizes of the same line, before `all`, pooled over everything filled with it), shape by `expectShape`, each
 * wider by the spread between balloons. `null` when nothing is known of the inflator: then only the tier rules are left.
 */
export function estimateCurve({
  nominalMm,
  siblings,
  lines,
  line,
  all,
  errors,
  trade = TRADE,
}: {
  nominalMm: number;
  /** Calibrations of the same line in other sizes, and those of the other lines of its kind, line by line. */
  siblings: readonly CalibrationFit[];
  lines?: readonly (readonly CalibrationFit[])[] | undefined;
  line: InflatorKnowledge | null;
  all: InflatorKnowledge | null;
  /** What makes one balloon differ from the next; as assumed of the inflator when absent. */
  errors?: ReadingErrors | undefined;
  trade?: Trade | undefined;
}): EstimatedCurve | null {
  const fromLine = line !== null && line.calibrations > 0;
  const known = fromLine ? line : all;
  if (!known) return null;
  const { doseVolumeL, doseSdL, lostDoses, lostSd } = known;
  const deadVolumeL = -lostDoses * doseVolumeL;
  const expected = expectShape({ nominalMm, siblings, lines, trade });
  // V0 = -lost x s: its variance and its covariance with s follow by the delta method.
  const covariance = [
    [(lostSd * doseVolumeL) ** 2 + (lostDoses * doseSdL) ** 2, -lostDoses * doseSdL ** 2],
    [-lostDoses * doseSdL ** 2, doseSdL ** 2],
  ];
  return {
    nominalMm,
    inflator: known.kind,
    deadVolumeL,
    doseVolumeL,
    nozzleVolumeL: 0,
    terms: ['dead', 'dose'],
    covariance,
    degreesOfFreedom: FREEDOM + known.calibrations,
    varianceRatio: 1,
    errors: errors ?? assumedErrors(known.kind, trade),
    marksMm: 0,
    lowestDose: Infinity,
    highestDose: -Infinity,
    shape: expected.shape,
    dosesFrom: fromLine ? 'line' : known.calibrations > 0 ? 'inflator' : 'record',
    doseCalibrations: known.calibrations,
    shapeCalibrations: expected.from,
  };
}
