import type { HandPump } from '../inflator';
import { ok, problem, type Result } from '../result';
import { leastSquares, type LinearFit } from '../statistics';
import { TRADE } from '../trade';
import { readingProblem, type Reading, type ReadingProblemCode } from './reading';
import { aspectAt, fitShapeLaw, volumeAtL, volumeSlopeL, widthAtVolumeMm, type ShapeLaw } from './shapeLaw';

/** A reading that does not fit the others. It is set aside from the curve, and named. */
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
  /** Only one dose is known: the curve is drawn from an empty balloon at zero strokes. */
  | { code: 'dead-volume-assumed-zero' }
  /** The pump seems to move another volume than the one on record. */
  | { code: 'stroke-unlike-pump'; fittedL: number; onRecordL: number };

/** Widths at which a balloon gave way or felt hard; `null` where none did. */
export interface SeenLimits {
  hardMm: number | null;
  burstMm: number | null;
}

/** What a calibration knows: how width follows from dose, and shape from width. */
export interface CalibrationFit {
  nominalMm: number;
  /** Volume at zero strokes, litres; below zero when the first stroke is partly lost. */
  deadVolumeL: number;
  /** Volume one stroke adds, litres. */
  strokeVolumeL: number;
  /** Covariance of dead volume (L) and stroke volume (L per stroke). */
  covariance: [[number, number], [number, number]];
  /** Degrees of freedom of the intervals: readings less coefficients, plus what the assumed uncertainty counts for. */
  degreesOfFreedom: number;
  /** Variance of the readings over the variance expected from their uncertainties. */
  varianceRatio: number;
  /** Readings the curve rests on. */
  readingsUsed: number;
  distinctDoses: number;
  lowestDose: number;
  highestDose: number;
  /** Dose of the last reading given; `null` when that balloon burst. */
  lastDose: number | null;
  smallestWidthMm: number;
  largestWidthMm: number;
  shape: ShapeLaw;
  limits: SeenLimits;
  outliers: Outlier[];
  notes: FitNote[];
}

export type FitProblemCode = ReadingProblemCode | 'bad-nominal' | 'no-readings' | 'no-widths' | 'not-rising';

interface Point {
  index: number;
  dose: number;
  widthMm: number;
  volumeL: number;
  /** Inverse variance of the volume, litre^-2. */
  weight: number;
}

/**
 * Fits a calibration. Dose law: body volume = dead volume + stroke volume x dose, by least squares weighted with the
 * inverse variance that the uncertainty of width (and height) gives each volume. The variance ratio joins the
 * readings' own chi-square with `TRADE.priorReadings` readings' worth of trust in the assumed uncertainty (the
 * scaled inverse chi-square prior of Gelman et al., Bayesian Data Analysis, section 3.3), so that three lucky
 * readings do not pass for certainty. Shape law: `fitShapeLaw`.
 *
 * One dose is enough to start: the curve then comes from zero, give or take `TRADE.firstStrokeSdStrokes`. Bursts count as limits, not as points of
 * the curve. A reading more than `TRADE.outlierLimit` externally studentised residuals away is set aside and named
 * (at most one in five).
 *
 * Problems: `bad-nominal`, `no-readings`, `no-widths` (bursts only), `not-rising` (widths fall as strokes rise), and those of
 * `readingProblem` with the field `readings.<i>.<field>`.
 */
export function fitCalibration({
  nominalMm,
  readings,
  pump,
}: {
  nominalMm: number;
  readings: readonly Reading[];
  pump?: HandPump;
}): Result<CalibrationFit, FitProblemCode> {
  if (!(nominalMm > 0 && Number.isFinite(nominalMm))) return problem('bad-nominal', { field: 'nominalMm' });
  const last = readings.at(-1);
  if (!last) return problem('no-readings', { field: 'readings' });
  for (let i = 0; i < readings.length; i += 1) {
    const bad = readingProblem({ reading: readings[i]!, nominalMm, path: `readings.${i}.` });
    if (bad) return { ok: false, problem: bad };
  }

  const whole = readings.filter((reading) => reading.outcome !== 'burst');
  const shape = fitShapeLaw({ readings: whole });
  const points: Point[] = [];
  readings.forEach((reading, index) => {
    const { dose, widthMm } = reading;
    if (reading.outcome === 'burst' || widthMm === undefined) return;
    points.push({ index, dose, widthMm, ...volumeSeen(reading, widthMm, shape) });
  });
  if (points.length === 0) return problem('no-widths', { field: 'readings' });

  const { kept, fit, setAside } = fitWithoutOutliers(points);
  if (!fit || !(fit.coefficients[1]! > 0)) return problem('not-rising', { field: 'readings' });

  const [deadVolumeL, strokeVolumeL] = fit.coefficients as [number, number];
  const varianceRatio = pooledVariance(fit);
  const [[c00, c01], [c10, c11]] = fit.unitCovariance as [[number, number], [number, number]];
  const doses = kept.map((point) => point.dose);
  const widths = kept.map((point) => point.widthMm);
  const distinctDoses = new Set(doses).size;
  const notes: FitNote[] = [];
  if (distinctDoses === 1) notes.push({ code: 'dead-volume-assumed-zero' });
  const sd = Math.sqrt(varianceRatio * c11);
  const onRecordL = pump?.strokeVolumeL;
  if (
    distinctDoses > 1 &&
    onRecordL !== undefined &&
    Math.abs(strokeVolumeL - onRecordL) > 3 * sd + 0.1 * onRecordL
  ) {
    notes.push({ code: 'stroke-unlike-pump', fittedL: strokeVolumeL, onRecordL });
  }
  const widthOf = (dose: number) =>
    widthAtVolumeMm({ law: shape, volumeL: deadVolumeL + strokeVolumeL * dose });
  return ok({
    nominalMm,
    deadVolumeL,
    strokeVolumeL,
    covariance: [
      [c00 * varianceRatio, c01 * varianceRatio],
      [c10 * varianceRatio, c11 * varianceRatio],
    ],
    degreesOfFreedom: fit.degreesOfFreedom + TRADE.priorReadings.value,
    varianceRatio,
    readingsUsed: kept.length,
    distinctDoses,
    lowestDose: least(doses),
    highestDose: most(doses),
    lastDose: last.outcome === 'burst' ? null : last.dose,
    smallestWidthMm: least(widths),
    largestWidthMm: most(widths),
    shape,
    limits: seenLimits(readings, widthOf),
    outliers: setAside.map(({ point, deviations }) => ({
      index: point.index,
      dose: point.dose,
      widthMm: point.widthMm,
      expectedWidthMm: widthOf(point.dose),
      deviations,
    })),
    notes,
  });
}

function volumeSeen(reading: Reading, widthMm: number, law: ShapeLaw): { volumeL: number; weight: number } {
  const widthSd = reading.sdMm ?? TRADE.widthSdMm.value;
  if (reading.heightMm === undefined) {
    const volumeL = volumeAtL({ law, widthMm });
    return { volumeL, weight: 1 / (volumeSlopeL({ law, widthMm }) * widthSd) ** 2 };
  }
  const volumeL = volumeAtL({
    law: { knots: [{ widthMm, aspect: reading.heightMm / widthMm, sd: 0 }], roundLimit: law.roundLimit },
    widthMm,
  });
  const relative = Math.hypot((2 * widthSd) / widthMm, TRADE.heightSdMm.value / reading.heightMm);
  return { volumeL, weight: 1 / (volumeL * relative) ** 2 };
}

/** The straight line through the points; from zero, within what a first stroke may lose, when they share one dose. */
function fitLine(points: readonly Point[]): LinearFit | null {
  const rows = points.map((point) => [1, point.dose]);
  const observed = points.map((point) => point.volumeL);
  const weights = points.map((point) => point.weight);
  const first = points[0]!;
  if (points.every((point) => point.dose === first.dose)) {
    const strokeL = first.volumeL / first.dose;
    rows.push([1, 0]);
    observed.push(0);
    weights.push(1 / (strokeL * TRADE.firstStrokeSdStrokes.value) ** 2);
  }
  return leastSquares({ rows, observed, weights });
}

function pooledVariance(fit: LinearFit): number {
  const prior = TRADE.priorReadings.value;
  return (prior + fit.chiSquare) / (prior + fit.degreesOfFreedom);
}

function fitWithoutOutliers(points: readonly Point[]): {
  kept: readonly Point[];
  fit: LinearFit | null;
  setAside: { point: Point; deviations: number }[];
} {
  const setAside: { point: Point; deviations: number }[] = [];
  const most = points.length < 4 ? 0 : Math.max(1, Math.floor(points.length / 5));
  let kept = points;
  for (;;) {
    const fit = fitLine(kept);
    const worst = fit && setAside.length < most ? worstPoint(kept, fit) : null;
    if (!worst || worst.deviations <= TRADE.outlierLimit.value) return { kept, fit, setAside };
    setAside.push(worst);
    kept = kept.filter((point) => point !== worst.point);
  }
}

/** The point furthest from the line of the others, by the externally studentised residual (Cook and Weisberg 1982). */
function worstPoint(
  points: readonly Point[],
  { unitCovariance, residuals, chiSquare, degreesOfFreedom }: LinearFit,
): { point: Point; deviations: number } | null {
  const prior = TRADE.priorReadings.value;
  const [[c00, c01], [, c11]] = unitCovariance as [[number, number], [number, number]];
  let worst: { point: Point; deviations: number } | null = null;
  points.forEach((point, i) => {
    const leverage = point.weight * (c00 + 2 * c01 * point.dose + c11 * point.dose ** 2);
    const free = 1 - leverage;
    if (free < 1e-9) return;
    const square = (point.weight * residuals[i]! ** 2) / free;
    // Never stricter than the assumed uncertainty: readings that happen to agree are no ground for a charge.
    const variance = Math.max(1, (prior + chiSquare - square) / (prior + degreesOfFreedom - 1));
    const deviations = Math.sqrt(square / variance);
    if (!worst || deviations > worst.deviations) worst = { point, deviations };
  });
  return worst;
}

function seenLimits(readings: readonly Reading[], widthOf: (dose: number) => number): SeenLimits {
  const widthsOf = (outcome: Reading['outcome']) =>
    readings.filter((r) => r.outcome === outcome).map((r) => r.widthMm ?? widthOf(r.dose));
  const hard = widthsOf('hard');
  const burst = widthsOf('burst');
  return {
    hardMm: hard.length > 0 ? least(hard) : null,
    burstMm: burst.length > 0 ? least(burst) : null,
  };
}

function least(values: readonly number[]): number {
  return values.reduce((a, b) => Math.min(a, b));
}

function most(values: readonly number[]): number {
  return values.reduce((a, b) => Math.max(a, b));
}

/** The silhouette's height (mm) that the fit expects at a width; as high as wide without a fit. */
export function heightAtMm({ fit, widthMm }: { fit: CalibrationFit | null; widthMm: number }): number {
  return fit ? widthMm * aspectAt({ law: fit.shape, widthMm }).aspect : widthMm;
}
