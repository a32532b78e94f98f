import { poolEstimates } from '../statistics';
import { TRADE } from '../trade';
import type { DoseCurve } from './doseCurve';
import type { CalibrationFit } from './fitCalibration';
import type { InflatorKnowledge } from './poolInflator';
import { assumedErrors, type ReadingErrors } from './readingErrors';
import type { RoundLimit, ShapeLaw } from './shapeLaw';

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
 * the other sizes of the same line, before `all`, pooled over everything filled with it), shape from the line's other
 * sizes, each wider by the spread between balloons. `null` when nothing is known of the inflator: then only the tier
 * rules are left.
 */
export function estimateCurve({
  nominalMm,
  siblings,
  line,
  all,
  errors,
}: {
  nominalMm: number;
  /** Calibrations of the same line in other sizes. */
  siblings: readonly CalibrationFit[];
  line: InflatorKnowledge | null;
  all: InflatorKnowledge | null;
  /** What makes one balloon differ from the next; as assumed of the inflator when absent. */
  errors?: ReadingErrors | undefined;
}): EstimatedCurve | null {
  const fromLine = line !== null && line.calibrations > 0;
  const known = fromLine ? line : all;
  if (!known) return null;
  const { doseVolumeL, doseSdL, lostDoses, lostSd } = known;
  const deadVolumeL = -lostDoses * doseVolumeL;
  // V0 = -lost x s: its variance and its covariance with s follow by the delta method.
  const covariance = [
    [(lostSd * doseVolumeL) ** 2 + (lostDoses * doseSdL) ** 2, -lostDoses * doseSdL ** 2],
    [-lostDoses * doseSdL ** 2, doseSdL ** 2],
  ];
  const { shape, from } = estimateShape(nominalMm, siblings);
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
    errors: errors ?? assumedErrors(known.kind),
    marksMm: 0,
    lowestDose: Infinity,
    highestDose: -Infinity,
    shape,
    dosesFrom: fromLine ? 'line' : known.calibrations > 0 ? 'inflator' : 'record',
    doseCalibrations: known.calibrations,
    shapeCalibrations: from,
  };
}

/**
 * The aspect law of the line's nearest size, brought to this nominal, with the round limit pooled over all sizes; what
 * is usual where none was measured. `from` counts the sizes behind it.
 */
export function estimateShape(
  nominalMm: number,
  siblings: readonly CalibrationFit[],
): { shape: ShapeLaw; from: number } {
  const shaped = siblings.filter(({ shape }) => shape.seen);
  const nearest = [...shaped].sort(
    (a, b) => Math.abs(Math.log(a.nominalMm / nominalMm)) - Math.abs(Math.log(b.nominalMm / nominalMm)),
  )[0];
  const roundLimit = estimateLimit(nominalMm, siblings, ({ shape }) => shape.roundLimit);
  const pearLimit = estimateLimit(nominalMm, siblings, ({ shape }) => shape.pearLimit);
  if (!nearest) {
    const { aspect, sd } = TRADE.typicalAspect.value;
    return { shape: { knots: [{ widthMm: nominalMm, aspect, sd }], seen: false, roundLimit, pearLimit }, from: 0 };
  }
  const scale = nominalMm / nearest.nominalMm;
  const { sd: between } = TRADE.typicalAspect.value;
  const knots = nearest.shape.knots.map(({ widthMm, aspect, sd }) => ({
    widthMm: widthMm * scale,
    aspect,
    sd: Math.hypot(sd, between / 2),
  }));
  return { shape: { knots, seen: true, roundLimit, pearLimit }, from: shaped.length };
}

/** A limit of the shape of a line's other sizes as a share of nominal, pooled, for this nominal. */
function estimateLimit(
  nominalMm: number,
  siblings: readonly CalibrationFit[],
  limitOf: (fit: CalibrationFit) => RoundLimit | undefined,
): RoundLimit {
  const estimates = siblings.flatMap((fit) => {
    const limit = limitOf(fit);
    const own = fit.nominalMm;
    return limit?.kind === 'shown' ? [{ value: limit.widthMm / own, variance: (limit.sdMm / own) ** 2 }] : [];
  });
  const expected = { variance: TRADE.roundLimitBetween.value ** 2, worth: TRADE.betweenWorth.value };
  const pooled = poolEstimates({ estimates, expected });
  if (!pooled) return { kind: 'no-shapes-seen' };
  return { kind: 'shown', widthMm: pooled.mean * nominalMm, sdMm: Math.sqrt(pooled.predictive) * nominalMm };
}
