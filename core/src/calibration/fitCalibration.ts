import type { Inflator } from '../inflator';
import { ok, problem, type Result } from '../result';
import { least, most } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { slopeKnown, volumeAtDoseL, type DoseCurve } from './doseCurve';
import { fitLaw, slopeAlone, type Frame, type Law } from './doseLaw';
import { knownInflator, type KnownBefore } from './knownBefore';
import type { Point } from './point';
import { balloonsOf, readingProblem, widthSeenMm, type Reading, type ReadingProblemCode } from './reading';
import { assumedErrors, marksOfMm, type ReadingErrors } from './readingErrors';
import { aspectAt, widthAtVolumeMm } from './shapeLaw';
import { burstSlips, slipsOf } from './slips';

/** A reading that does not fit the others. It is set aside from everything, and named. */
export interface Outlier {
  /** Place in the readings given. */
  index: number;
  dose: number;
  widthMm: number;
  /** What the other readings say for that dose, mm. */
  expectedWidthMm: number;
  /** How many standard deviations it is away. */
  deviations: number;
}

/** What the user should know about how a fit was made. */
export type FitNote =
  /** Only one dose is known, and nothing of the inflator: the curve is drawn from an empty balloon at no dose. */
  | { code: 'dead-volume-assumed-zero' }
  /** The readings leave open whether more air makes it wider: no dose follows from them. */
  | { code: 'slope-unknown' }
  /** The inflator seems to move another volume than the one on record. */
  | { code: 'stroke-unlike-pump'; fittedL: number; onRecordL: number };

/** Widths at which a balloon gave way or felt hard; `null` where none did. */
export interface SeenLimits {
  hardMm: number | null;
  burstMm: number | null;
  /** All such widths, for learning how much balloons differ. */
  hardsMm: number[];
  burstsMm: number[];
  /** Shares of those that a target may have: assumed, or as the studio's balloons have it. */
  hardMargin: number;
  burstMargin: number;
}

/** What a calibration knows: how width follows from dose, and shape from width. */
export interface CalibrationFit extends DoseCurve {
  /** Readings the curve rests on. */
  readingsUsed: number;
  distinctDoses: number;
  /** Dose of the last reading given; `null` when that balloon burst. */
  lastDose: number | null;
  smallestWidthMm: number;
  largestWidthMm: number;
  limits: SeenLimits;
  outliers: Outlier[];
  notes: FitNote[];
}

export type FitProblemCode = ReadingProblemCode | 'bad-nominal' | 'no-readings' | 'no-widths' | 'not-rising';

interface FitOptions {
  nominalMm: number;
  readings: readonly Reading[];
  pump?: Inflator;
  /** What makes readings differ; `assumedErrors` unless learned ones are given. */
  errors?: ReadingErrors | undefined;
  known?: KnownBefore | undefined;
  trade?: Trade | undefined;
}

/** A fit with the points it rests on: what learning over the shelf needs. */
export interface FitWithPoints {
  fit: CalibrationFit;
  points: readonly Point[];
}

/**
 * Fits a calibration. Dose law: body volume = dead volume + dose volume x dose. Readings have two parts of error:
 * measuring, each its own; and what the balloon and its strokes add, which readings of one balloon filled on share
 * (strokes as a random walk). Fitted by generalised least squares (`generalLeastSquares`), brackets by maximum
 * likelihood, with what is known of the inflator as a prior that follows Student's law: a first reading adds to what
 * is known, and readings that contradict it win. Readings from both nozzles of a two-nozzle inflator share the dead
 * volume and give each nozzle its own rate. Shape law: `fitShapeLaw` where heights were measured; else the shape to be
 * expected, growing by a term of its own (`grownLaw`) that the answers of round, oval and pear and the doses inform.
 * The variance ratio joins the readings' own squares with `errors.worth` readings' worth of trust in `errors`.
 *
 * Bursts count as limits, not as points of the curve. A reading that lies more than `TRADE.outlierLimit` deviations
 * from what all others say of it is set aside from curve, shape and limits and named (at most one in five).
 *
 * Problems: `bad-nominal`, `no-readings`, `no-widths` (bursts only), `not-rising` (widths fall as doses rise), and
 * those of `readingProblem` with the field `readings.<i>.<field>`.
 */
export function fitCalibration(options: FitOptions): Result<CalibrationFit, FitProblemCode> {
  const fitted = fitWithPoints(options);
  return fitted.ok ? ok(fitted.value.fit) : fitted;
}

/** As `fitCalibration`, with the points that the curve rests on. */
export function fitWithPoints({
  trade = TRADE,
  nominalMm,
  readings,
  pump = { kind: 'hand' },
  errors = assumedErrors(pump.kind, trade),
  known = {},
}: FitOptions): Result<FitWithPoints, FitProblemCode> {
  if (!(nominalMm > 0 && Number.isFinite(nominalMm))) return problem('bad-nominal', { field: 'nominalMm' });
  const last = readings.at(-1);
  if (!last) return problem('no-readings', { field: 'readings' });
  for (let i = 0; i < readings.length; i += 1) {
    const bad = readingProblem({ reading: readings[i]!, nominalMm, path: `readings.${i}.` });
    if (bad) return { ok: false, problem: bad };
  }

  const frame: Frame = {
    trade,
    nominalMm,
    readings,
    pump,
    errors,
    known,
    balloons: balloonsOf(readings),
    marksMm: marksOfMm(readings),
  };
  let law = fitLaw(frame, new Set());
  if (law === 'no-widths') return problem('no-widths', { field: 'readings' });
  const slips = law === 'not-rising' ? null : slipsOf(frame, law);
  if (slips && slips.size > 0) law = fitLaw(frame, new Set(slips.keys()));
  if (law === 'not-rising' || law === 'no-widths') return problem('not-rising', { field: 'readings' });

  const { points, shape, curve } = law;
  const doses = points.map(({ reading }) => reading.dose);
  const widths = points.map((point) => point.widthMm);
  const distinctDoses = new Set(doses).size;
  const meanWidthAt = ({ dose, nozzle }: Reading) =>
    widthAtVolumeMm({ law: shape, volumeL: volumeAtDoseL(curve, dose, nozzle) });
  const setAside = new Map(slips ?? []);
  for (const [index, deviations] of burstSlips(frame, law)) setAside.set(index, deviations);
  const fit: CalibrationFit = {
    ...curve,
    lowestDose: least(doses),
    highestDose: most(doses),
    readingsUsed: points.length,
    distinctDoses,
    lastDose: last.outcome === 'burst' ? null : last.dose,
    smallestWidthMm: least(widths),
    largestWidthMm: most(widths),
    limits: seenLimits(
      readings.filter((_, i) => !setAside.has(i)),
      meanWidthAt,
      known,
      trade,
    ),
    outliers: [...setAside].map(([index, deviations]) => {
      const reading = readings[index]!;
      const widthMm = widthSeenMm(reading)!;
      return { index, dose: reading.dose, widthMm, expectedWidthMm: meanWidthAt(reading), deviations };
    }),
    notes: notesOf(frame, law, distinctDoses),
  };
  return ok({ fit, points });
}

function notesOf({ pump, known, errors, trade }: Frame, { points, curve }: Law, distinctDoses: number): FitNote[] {
  const notes: FitNote[] = [];
  if (distinctDoses === 1 && !knownInflator(pump, known, trade)) notes.push({ code: 'dead-volume-assumed-zero' });
  if (!slopeKnown(curve)) notes.push({ code: 'slope-unknown' });
  const onRecordL = pump.doseVolumeL;
  const alone = onRecordL === undefined ? null : slopeAlone(points, errors, curve.doseVolumeL, trade);
  if (alone && onRecordL !== undefined && Math.abs(alone.perDoseL - onRecordL) > 3 * alone.sdL + 0.1 * onRecordL) {
    notes.push({ code: 'stroke-unlike-pump', fittedL: curve.doseVolumeL, onRecordL });
  }
  return notes;
}

function seenLimits(
  readings: readonly Reading[],
  meanWidthAt: (reading: Reading) => number,
  { margins }: KnownBefore,
  trade: Trade,
): SeenLimits {
  const widthsOf = (outcome: Reading['outcome']) =>
    readings.filter((r) => r.outcome === outcome).map((r) => widthSeenMm(r) ?? meanWidthAt(r));
  const hard = widthsOf('hard');
  const burst = widthsOf('burst');
  return {
    hardMm: hard.length > 0 ? least(hard) : null,
    burstMm: burst.length > 0 ? least(burst) : null,
    hardsMm: hard,
    burstsMm: burst,
    hardMargin: margins?.hard ?? trade.hardMargin,
    burstMargin: margins?.burst ?? trade.burstMargin,
  };
}

/** The silhouette's height (mm) that a curve expects at a width; as high as wide without one. */
export function heightAtMm({ fit, widthMm }: { fit: Pick<DoseCurve, 'shape'> | null; widthMm: number }): number {
  return fit ? widthMm * aspectAt({ law: fit.shape, widthMm }).aspect : widthMm;
}
