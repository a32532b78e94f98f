import type { Inflator } from '../inflator';
import { ok, problem, type Result } from '../result';
import { censoredLeastSquares, leastSquares, type IntervalSeen, type LinearFit, type ValueSeen } from '../statistics';
import { TRADE } from '../trade';
import { designRow, volumeAtDoseL, type DoseCurve } from './doseCurve';
import {
  readingProblem,
  widthSdOf,
  widthSeenMm,
  type Reading,
  type ReadingProblemCode,
  type Way,
  type WaySds,
} from './reading';
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
  /** Only one dose is known: the curve is drawn from an empty balloon at no dose. */
  | { code: 'dead-volume-assumed-zero' }
  /** The inflator seems to move another volume than the one on record. */
  | { code: 'stroke-unlike-pump'; fittedL: number; onRecordL: number };

/** Widths at which a balloon gave way or felt hard; `null` where none did. */
export interface SeenLimits {
  hardMm: number | null;
  burstMm: number | null;
}

/** How far a width was from the curve, for learning how sure its way of measuring is. */
export interface WayResidual {
  way: Way;
  /** Residual over the uncertainty assumed, with what the curve's own freedom took away given back. */
  standardised: number;
  /** Uncertainty assumed, mm. */
  sdMm: number;
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
  /** Of the measured widths that the curve rests on. */
  residuals: WayResidual[];
}

export type FitProblemCode = ReadingProblemCode | 'bad-nominal' | 'no-readings' | 'no-widths' | 'not-rising';

/** A reading as the dose law takes it: a volume with its uncertainty, and the bounds where two holes gave it. */
interface Point {
  index: number;
  reading: Reading;
  row: number[];
  widthMm: number;
  volumeL: number;
  /** Inverse variance of the volume, litre^-2. */
  weight: number;
  bounds: { lowL: number; highL: number; sdL: number } | null;
}

/**
 * Fits a calibration. Dose law: body volume = dead volume + dose volume x dose, by least squares weighted with the
 * inverse variance that the uncertainty of width (and height) gives each volume; brackets enter as intervals by
 * maximum likelihood (`censoredLeastSquares`). Readings from both nozzles of a two-nozzle inflator share the dead
 * volume and give each nozzle its own rate. The variance ratio joins the readings' own chi-square with
 * `TRADE.priorReadings` readings' worth of trust in the assumed uncertainty (the scaled inverse chi-square prior of
 * Gelman et al., Bayesian Data Analysis, section 3.3), so that three lucky readings do not pass for certainty. Shape
 * law: `fitShapeLaw`.
 *
 * One dose is enough to start: the curve then comes from zero, give or take `TRADE.firstDoseSd`. Bursts count as
 * limits, not as points of the curve. A reading more than `TRADE.outlierLimit` externally studentised residuals away
 * is set aside and named (at most one in five). `ways` are the uncertainties to assume, `TRADE.measureSdMm` unless
 * learned ones are given.
 *
 * Problems: `bad-nominal`, `no-readings`, `no-widths` (bursts only), `not-rising` (widths fall as doses rise), and
 * those of `readingProblem` with the field `readings.<i>.<field>`.
 */
export function fitCalibration({
  nominalMm,
  readings,
  pump = { kind: 'hand' },
  ways,
}: {
  nominalMm: number;
  readings: readonly Reading[];
  pump?: Inflator;
  ways?: WaySds;
}): Result<CalibrationFit, FitProblemCode> {
  if (!(nominalMm > 0 && Number.isFinite(nominalMm))) return problem('bad-nominal', { field: 'nominalMm' });
  const last = readings.at(-1);
  if (!last) return problem('no-readings', { field: 'readings' });
  for (let i = 0; i < readings.length; i += 1) {
    const bad = readingProblem({ reading: readings[i]!, nominalMm, path: `readings.${i}.` });
    if (bad) return { ok: false, problem: bad };
  }

  const shape = fitShapeLaw({ readings: readings.filter((reading) => reading.outcome !== 'burst'), ways });
  const points = pointsOf(readings, shape, ways);
  if (points.length === 0) return problem('no-widths', { field: 'readings' });

  const firstDoseSd = TRADE.firstDoseSd.value[pump.kind];
  const { kept, fit: rough, setAside } = fitWithoutOutliers(points, firstDoseSd);
  const fit = rough && refine(kept, rough);
  if (!fit || !(fit.coefficients[1]! > 0)) return problem('not-rising', { field: 'readings' });

  const [deadVolumeL, doseVolumeL, nozzleVolumeL = 0] = fit.coefficients as [number, number, number?];
  const doses = kept.map(({ reading }) => reading.dose);
  const widths = kept.map((point) => point.widthMm);
  const distinctDoses = new Set(doses).size;
  const notes: FitNote[] = [];
  if (distinctDoses === 1) notes.push({ code: 'dead-volume-assumed-zero' });
  const onRecordL = pump.doseVolumeL;
  const slackL = 3 * Math.sqrt(fit.covariance[1]![1]!) + 0.1 * (onRecordL ?? 0);
  if (distinctDoses > 1 && onRecordL !== undefined && Math.abs(doseVolumeL - onRecordL) > slackL) {
    notes.push({ code: 'stroke-unlike-pump', fittedL: doseVolumeL, onRecordL });
  }
  const law = { deadVolumeL, doseVolumeL, nozzleVolumeL };
  const meanWidthAt = ({ dose, nozzle }: Reading) =>
    widthAtVolumeMm({ law: shape, volumeL: volumeAtDoseL(law, dose, nozzle) });
  return ok({
    nominalMm,
    inflator: pump.kind,
    ...law,
    covariance: fit.covariance,
    degreesOfFreedom: fit.degreesOfFreedom + TRADE.priorReadings.value,
    varianceRatio: fit.varianceRatio,
    readingsUsed: kept.length,
    distinctDoses,
    lowestDose: least(doses),
    highestDose: most(doses),
    lastDose: last.outcome === 'burst' ? null : last.dose,
    smallestWidthMm: least(widths),
    largestWidthMm: most(widths),
    shape,
    limits: seenLimits(readings, meanWidthAt),
    outliers: setAside.map(({ point, deviations }) => ({
      index: point.index,
      dose: point.reading.dose,
      widthMm: point.widthMm,
      expectedWidthMm: meanWidthAt(point.reading),
      deviations,
    })),
    notes,
    residuals: residualsOf(kept, rough, ways),
  });
}

function pointsOf(readings: readonly Reading[], shape: ShapeLaw, ways: WaySds | undefined): Point[] {
  // Only where both nozzles were read can they be told apart; one alone speaks for the inflator.
  const bothNozzles = new Set(readings.map(({ nozzle }) => nozzle).filter(Boolean)).size === 2;
  const points: Point[] = [];
  readings.forEach((reading, index) => {
    const widthMm = widthSeenMm(reading);
    if (reading.outcome === 'burst' || widthMm === undefined) return;
    const row = designRow(reading);
    if (!bothNozzles) row.pop();
    points.push({ index, reading, row, widthMm, ...volumeSeen(reading, widthMm, shape, ways) });
  });
  return points;
}

function volumeSeen(
  reading: Reading,
  widthMm: number,
  law: ShapeLaw,
  ways: WaySds | undefined,
): Pick<Point, 'volumeL' | 'weight' | 'bounds'> {
  const widthSd = widthSdOf(reading, ways);
  const slopeL = volumeSlopeL({ law, widthMm });
  if (reading.widthMm === undefined && reading.bracket) {
    const { stopsMm, passesMm } = reading.bracket;
    const lowL = volumeAtL({ law, widthMm: stopsMm });
    const highL = volumeAtL({ law, widthMm: passesMm });
    const sdL = slopeL * widthSd;
    // For a first look, a width anywhere between the holes is as likely: the variance of a uniform law.
    const weight = 1 / (sdL ** 2 + (highL - lowL) ** 2 / 12);
    return { volumeL: volumeAtL({ law, widthMm }), weight, bounds: { lowL, highL, sdL } };
  }
  if (reading.heightMm === undefined) {
    return { volumeL: volumeAtL({ law, widthMm }), weight: 1 / (slopeL * widthSd) ** 2, bounds: null };
  }
  const volumeL = volumeAtL({
    law: { knots: [{ widthMm, aspect: reading.heightMm / widthMm, sd: 0 }], roundLimit: law.roundLimit },
    widthMm,
  });
  const relative = Math.hypot((2 * widthSd) / widthMm, TRADE.heightSdMm.value / reading.heightMm);
  return { volumeL, weight: 1 / (volumeL * relative) ** 2, bounds: null };
}

/** The straight line through the points; from zero, within what a first dose may lose, when they share one dose. */
function fitLine(points: readonly Point[], firstDoseSd: number): LinearFit | null {
  const rows = points.map(({ row }) => row);
  const observed = points.map((point) => point.volumeL);
  const weights = points.map((point) => point.weight);
  const first = points[0]!;
  if (points.every(({ reading }) => reading.dose === first.reading.dose)) {
    const stepL = first.volumeL / first.reading.dose;
    rows.push(first.row.map((_, j) => (j === 0 ? 1 : 0)));
    observed.push(0);
    weights.push(1 / (stepL * firstDoseSd) ** 2);
  }
  return leastSquares({ rows, observed, weights });
}

interface RefinedFit {
  coefficients: number[];
  covariance: number[][];
  varianceRatio: number;
  degreesOfFreedom: number;
}

/** The line as it stands when all points are values; else the likeliest line for values and intervals together. */
function refine(points: readonly Point[], line: LinearFit): RefinedFit | null {
  const prior = TRADE.priorReadings.value;
  const bracketed = points.some(({ bounds }) => bounds);
  if (!bracketed || line.residuals.length > points.length) {
    const varianceRatio = (prior + line.chiSquare) / (prior + line.degreesOfFreedom);
    return {
      coefficients: line.coefficients,
      covariance: line.unitCovariance.map((row) => row.map((value) => value * varianceRatio)),
      varianceRatio,
      degreesOfFreedom: line.degreesOfFreedom,
    };
  }
  const values: ValueSeen[] = [];
  const intervals: IntervalSeen[] = [];
  for (const { row, volumeL, weight, bounds } of points) {
    if (bounds) intervals.push({ row, low: bounds.lowL, high: bounds.highL, sd: bounds.sdL });
    else values.push({ row, value: volumeL, sd: 1 / Math.sqrt(weight) });
  }
  return censoredLeastSquares({ values, intervals, start: line.coefficients, priorWorth: prior });
}

function fitWithoutOutliers(
  points: readonly Point[],
  firstDoseSd: number,
): {
  kept: readonly Point[];
  fit: LinearFit | null;
  setAside: { point: Point; deviations: number }[];
} {
  const setAside: { point: Point; deviations: number }[] = [];
  const most = points.length < 4 ? 0 : Math.max(1, Math.floor(points.length / 5));
  let kept = points;
  for (;;) {
    const fit = fitLine(kept, firstDoseSd);
    const worst = fit && setAside.length < most ? worstPoint(kept, fit) : null;
    if (!worst || worst.deviations <= TRADE.outlierLimit.value) return { kept, fit, setAside };
    setAside.push(worst);
    kept = kept.filter((point) => point !== worst.point);
  }
}

/**
 * Squared residual over its variance, freed of the point's own pull on the line; `null` when the line rests on it
 * alone.
 */
function freedSquare({ row, weight }: Point, residual: number, { unitCovariance }: LinearFit): number | null {
  let leverage = 0;
  row.forEach((x, i) => row.forEach((y, j) => (leverage += weight * x * unitCovariance[i]![j]! * y)));
  const free = 1 - leverage;
  return free < 1e-9 ? null : (weight * residual ** 2) / free;
}

/** The point furthest from the line of the others, by the externally studentised residual (Cook and Weisberg 1982). */
function worstPoint(points: readonly Point[], fit: LinearFit): { point: Point; deviations: number } | null {
  const prior = TRADE.priorReadings.value;
  let worst: { point: Point; deviations: number } | null = null;
  points.forEach((point, i) => {
    const square = freedSquare(point, fit.residuals[i]!, fit);
    if (square === null) return;
    // Never stricter than the assumed uncertainty: readings that happen to agree are no ground for a charge.
    const variance = Math.max(1, (prior + fit.chiSquare - square) / (prior + fit.degreesOfFreedom - 1));
    const deviations = Math.sqrt(square / variance);
    if (!worst || deviations > worst.deviations) worst = { point, deviations };
  });
  return worst;
}

function residualsOf(points: readonly Point[], fit: LinearFit, ways: WaySds | undefined): WayResidual[] {
  return points.flatMap((point, i): WayResidual[] => {
    const { reading, bounds } = point;
    const square = bounds ? null : freedSquare(point, fit.residuals[i]!, fit);
    if (square === null) return [];
    const standardised = Math.sign(fit.residuals[i]!) * Math.sqrt(square);
    return [{ way: reading.way ?? 'tape', standardised, sdMm: widthSdOf(reading, ways) }];
  });
}

function seenLimits(readings: readonly Reading[], meanWidthAt: (reading: Reading) => number): SeenLimits {
  const widthsOf = (outcome: Reading['outcome']) =>
    readings.filter((r) => r.outcome === outcome).map((r) => widthSeenMm(r) ?? meanWidthAt(r));
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

/** The silhouette's height (mm) that a curve expects at a width; as high as wide without one. */
export function heightAtMm({ fit, widthMm }: { fit: Pick<DoseCurve, 'shape'> | null; widthMm: number }): number {
  return fit ? widthMm * aspectAt({ law: fit.shape, widthMm }).aspect : widthMm;
}
