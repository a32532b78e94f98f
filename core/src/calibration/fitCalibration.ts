import type { Shape } from '../balloon';
import type { Inflator } from '../inflator';
import { ok, problem, type Result } from '../result';
import { generalLeastSquares, type GeneralFit, type PriorRow } from '../statistics';
import { TRADE } from '../trade';
import { designRow, slopeKnown, volumeAtDoseL, volumeVariance, type CurveTerm, type DoseCurve } from './doseCurve';
import { measuringVariance, observationsOf, pointsOf, type Point } from './point';
import { poolInflator, type InflatorKnowledge } from './poolInflator';
import { balloonsOf, readingProblem, widthSeenMm, type Reading, type ReadingProblemCode } from './reading';
import { assumedErrors, marksOfMm, type ReadingErrors } from './readingErrors';
import {
  aspectAt,
  carriedOn,
  fitShapeLaw,
  growthAt,
  grownLaw,
  volumeAtL,
  widthAtVolumeMm,
  type ExpectedLimits,
  type Lengthening,
  type RoundLimit,
  type ShapeLaw,
} from './shapeLaw';

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

/** What is known of a balloon and its inflator before its own readings. */
export interface KnownBefore {
  /** What the inflator does with other balloons; its figure on record when absent, nothing when `null`. */
  inflator?: InflatorKnowledge | null | undefined;
  /**
   * The shape that the line's other sizes, or the shelf, let expect: its law is taken where no height was measured (a
   * sphere that lengthens when it was not seen either), its limits join those seen.
   */
  shape?: ShapeLaw | undefined;
  /** How much such balloons lengthen; as usual when absent. */
  growth?: Lengthening | undefined;
  /** What answers on the shape stand for, and how far to stay under what felt hard or burst; as assumed when absent. */
  answers?: Readonly<Record<Shape, number>> | undefined;
  margins?: { hard: number; burst: number } | undefined;
}

interface FitOptions {
  nominalMm: number;
  readings: readonly Reading[];
  pump?: Inflator;
  /** What makes readings differ; `assumedErrors` unless learned ones are given. */
  errors?: ReadingErrors | undefined;
  known?: KnownBefore | undefined;
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
  nominalMm,
  readings,
  pump = { kind: 'hand' },
  errors = assumedErrors(pump.kind),
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

/** What a fit is made in. */
interface Frame {
  nominalMm: number;
  readings: readonly Reading[];
  pump: Inflator;
  errors: ReadingErrors;
  known: KnownBefore;
  balloons: readonly number[];
  marksMm: number;
}

interface Law {
  points: readonly Point[];
  shape: ShapeLaw;
  fit: GeneralFit;
  curve: Omit<DoseCurve, 'lowestDose' | 'highestDose'>;
}

function fitLaw(frame: Frame, without: ReadonlySet<number>): Law | 'no-widths' | 'not-rising' {
  const { nominalMm, pump, errors, known, marksMm } = frame;
  const kept = frame.readings.flatMap((reading, i) => (without.has(i) || reading.outcome === 'burst' ? [] : [reading]));
  const seen = fitShapeLaw({ readings: kept, errors, answers: known.answers });
  const measured = kept.some(({ heightMm, widthMm }) => heightMm !== undefined && widthMm !== undefined);
  const base = measured ? carriedOn({ law: seen, nominalMm, growth: known.growth }) : expectedShape(seen, known.shape);
  // Only where both nozzles were read can they be told apart; one alone speaks for the inflator.
  const bothNozzles = new Set(kept.map(({ nozzle }) => nozzle).filter(Boolean)).size === 2;
  const terms: CurveTerm[] = ['dead', 'dose'];
  if (bothNozzles) terms.push('nozzle');
  if (!measured) terms.push('growth');
  const all = pointsOf({ readings: frame.readings, balloons: frame.balloons, terms, shape: base, nominalMm, marksMm });
  const points = all.filter(({ index }) => !without.has(index));
  if (points.length === 0) return 'no-widths';

  const fit = fitDoses({
    points,
    terms,
    base,
    nominalMm,
    errors,
    prior: (strokeL) => priorOf(frame, terms, kept, base, strokeL),
  });
  if (!fit || falls(points, errors, fit)) return 'not-rising';
  const of = (term: CurveTerm) => fit.coefficients[terms.indexOf(term)] ?? 0;
  if (!(of('dose') > Math.abs(of('nozzle')))) return 'not-rising';
  const law = measured ? base : grownLaw({ base, growth: of('growth'), nominalMm, sd: TRADE.grownLawSd.value });
  const shape = known.shape?.expected ? withExpected(law, known.shape.expected) : law;
  return {
    points,
    shape,
    fit,
    curve: {
      nominalMm,
      inflator: pump.kind,
      deadVolumeL: of('dead'),
      doseVolumeL: of('dose'),
      nozzleVolumeL: of('nozzle'),
      terms,
      covariance: fit.covariance,
      degreesOfFreedom: fit.degreesOfFreedom + errors.worth,
      varianceRatio: fit.varianceRatio,
      errors,
      marksMm,
      shape,
    },
  };
}

/** Round or as the line's other sizes are, before its own growth; the round limit is what its own answers show. */
function expectedShape(seen: ShapeLaw, known: ShapeLaw | undefined): ShapeLaw {
  return { ...seen, knots: known?.seen ? known.knots : [] };
}

/** Limits that were seen, joined with what other balloons let expect of them. */
function withExpected(law: ShapeLaw, expected: ExpectedLimits): ShapeLaw {
  return {
    ...law,
    roundLimit: joinedLimit(law.roundLimit, expected.round.limit),
    pearLimit: law.pearLimit && joinedLimit(law.pearLimit, expected.pear.limit),
    expected,
  };
}

function joinedLimit(seen: RoundLimit, expected: RoundLimit): RoundLimit {
  if (seen.kind !== 'shown' || expected.kind !== 'shown') return seen;
  const own = 1 / seen.sdMm ** 2;
  const others = 1 / expected.sdMm ** 2;
  return {
    kind: 'shown',
    widthMm: (own * seen.widthMm + others * expected.widthMm) / (own + others),
    sdMm: 1 / Math.sqrt(own + others),
  };
}

/** How far the Student laws of what is known beforehand reach: few other calibrations stand behind them. */
const PRIOR_FREEDOM = 4;

/** What is known of the terms before the readings, for a stroke of about `strokeL`. */
function priorOf(
  { pump, known, nominalMm }: Frame,
  terms: readonly CurveTerm[],
  kept: readonly Reading[],
  base: ShapeLaw,
  strokeL: number,
): PriorRow[] {
  const row = (values: Partial<Record<CurveTerm, number>>) => terms.map((term) => values[term] ?? 0);
  const inflator = knownInflator(pump, known);
  const lost = inflator
    ? { mean: inflator.lostDoses, sd: inflator.lostSd }
    : { mean: 0, sd: TRADE.firstDoseSd.value[pump.kind] };
  const rows: PriorRow[] = [
    { row: row({ dead: 1, dose: lost.mean }), value: 0, sd: lost.sd * strokeL, degreesOfFreedom: PRIOR_FREEDOM },
  ];
  if (inflator) {
    const { doseVolumeL, doseSdL } = inflator;
    rows.push({ row: row({ dose: 1 }), value: doseVolumeL, sd: doseSdL, degreesOfFreedom: PRIOR_FREEDOM });
  }
  if (terms.includes('nozzle')) {
    rows.push({ row: row({ nozzle: 1 }), value: 0, sd: TRADE.nozzleShare.value * strokeL });
  }
  if (terms.includes('growth')) {
    const { mean, sd } =
      base.knots.length > 0 ? growthOver(base, nominalMm) : (known.growth ?? TRADE.aspectGrowth.value);
    rows.push({ row: row({ growth: 1 }), value: mean, sd });
    for (const reading of kept) {
      const widthMm = widthSeenMm(reading);
      if (reading.shape === undefined || widthMm === undefined) continue;
      const growth = growthAt(widthMm / nominalMm);
      const answers = known.answers ?? TRADE.shapeAnswerAspect.value;
      const value = answers[reading.shape] - aspectAt({ law: base, widthMm }).aspect;
      rows.push({ row: row({ growth }), value, sd: TRADE.shapeAnswerSd.value });
    }
  }
  return rows;
}

/** How much a balloon may lengthen over a law of another size of its line. */
function growthOver(base: ShapeLaw, nominalMm: number): Lengthening {
  return { mean: 0, sd: Math.hypot(TRADE.growthBetween.value.sizes, aspectAt({ law: base, widthMm: nominalMm }).sd) };
}

function knownInflator(pump: Inflator, { inflator }: KnownBefore): InflatorKnowledge | null {
  return inflator === undefined ? poolInflator({ inflator: pump, fits: [] }) : inflator;
}

const MOST_ROUNDS = 6;
const SETTLED_SHARE = 1e-4;
/** What may be lost goes with the stroke, taken no smaller than this share of the first idea of it. */
const LEAST_OF_FIRST = 0.5;

/**
 * The dose law through the points, in rounds: what strokes err by and lose goes with their volume, and what growth
 * adds with the width that the law itself expects at a dose. (Taken at the width measured, growth would explain away
 * whatever was measured too wide.)
 */
function fitDoses({
  points,
  terms,
  base,
  nominalMm,
  errors,
  prior,
}: {
  points: readonly Point[];
  terms: readonly CurveTerm[];
  base: ShapeLaw;
  nominalMm: number;
  errors: ReadingErrors;
  prior: (strokeL: number) => PriorRow[];
}): GeneralFit | null {
  const bracketed = points.some(({ bounds }) => bounds);
  const firstL = strokeAtFirst(points);
  const slopeL = plainSlopeL(points);
  let strokeL = slopeL > firstL / 2 && slopeL < 2 * firstL ? slopeL : firstL;
  let start: readonly number[] | undefined;
  let fit: GeneralFit | null = null;
  const once = (rough: boolean): GeneralFit | null => {
    const law = fit?.coefficients ?? [0, firstL];
    if (terms.includes('growth')) {
      const growth = fit?.coefficients[terms.indexOf('growth')] ?? TRADE.aspectGrowth.value.mean;
      const shape = grownLaw({ base, growth, nominalMm, sd: 0 });
      for (const point of points) point.row = rowExpected(point, terms, law, shape, nominalMm);
    }
    const { observations, groups } = observationsOf(points, errors, strokeL);
    return generalLeastSquares({
      observations,
      groups,
      // Flat readings would shrink the stroke, and with it what may be lost, to nothing.
      prior: prior(Math.max(strokeL, LEAST_OF_FIRST * firstL)),
      priorWorth: errors.worth,
      rough,
      ...(bracketed && start ? { start } : {}),
    });
  };
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    fit = once(true);
    if (!fit) return null;
    start = fit.coefficients;
    const next = fit.coefficients[1]!;
    if (!(next > 0)) return once(false);
    const moved = Math.abs(next / strokeL - 1);
    strokeL = next;
    if (moved < SETTLED_SHARE) break;
  }
  return once(false);
}

/** The row of a point with its growth at the width that a law (dead volume, dose volume, ...) expects there. */
function rowExpected(
  { reading: { dose, nozzle }, widthMm }: Point,
  terms: readonly CurveTerm[],
  [dead = 0, perDose = 0]: readonly number[],
  shape: ShapeLaw,
  nominalMm: number,
): number[] {
  const volumeL = dead + perDose * dose;
  const expectedMm = volumeL > 0 ? widthAtVolumeMm({ law: shape, volumeL }) : widthMm;
  return designRow(terms, { dose, nozzle, widthMm: expectedMm, nominalMm });
}

/** A first idea of the stroke: as if nothing were lost. */
function strokeAtFirst(points: readonly Point[]): number {
  const strokes = points.map(({ volumeL, reading }) => volumeL / reading.dose).sort((a, b) => a - b);
  return strokes[Math.floor(strokes.length / 2)]!;
}

/**
 * Whether the readings alone say that more air makes it smaller, through either nozzle: whatever is known beforehand,
 * something is wrong.
 */
function falls(points: readonly Point[], errors: ReadingErrors, { coefficients }: GeneralFit): boolean {
  const strokeL = Math.max(0, coefficients[1]!);
  const ways = new Set(points.map(({ reading }) => reading.nozzle));
  const apart =
    ways.size > 1 ? [...ways].map((way) => points.filter(({ reading }) => reading.nozzle === way)) : [points];
  return apart.some((some) => {
    // Where widths rise by and large they cannot surely fall.
    if (plainSlopeL(some) > 0) return false;
    const slope = slopeAlone(some, errors, strokeL);
    return slope !== null && slope.perDoseL + FALLS_DEVIATIONS * slope.sdL < 0;
  });
}

/** The slope of the plain line through points, litres a dose; 0 for one dose. */
function plainSlopeL(points: readonly Point[]): number {
  let dose = 0;
  let volume = 0;
  for (const { reading, volumeL } of points) {
    dose += reading.dose / points.length;
    volume += volumeL / points.length;
  }
  let up = 0;
  let along = 0;
  for (const { reading, volumeL } of points) {
    up += (reading.dose - dose) * (volumeL - volume);
    along += (reading.dose - dose) ** 2;
  }
  return along > 0 ? up / along : 0;
}

/** How surely widths must fall to be refused. */
const FALLS_DEVIATIONS = 2;

/** The slope of readings by themselves, litres a dose, with its deviation; `null` when they do not tell. */
function slopeAlone(
  points: readonly Point[],
  errors: ReadingErrors,
  strokeL: number,
): { perDoseL: number; sdL: number } | null {
  const doses = points.map(({ reading }) => reading.dose);
  if (least(doses) === most(doses)) return null;
  const { observations, groups } = observationsOf(points, errors, strokeL);
  const rows = observations.map((one) => ({ ...one, row: one.row.slice(0, 2) }));
  const fit = generalLeastSquares({ observations: rows, groups, priorWorth: errors.worth, rough: true });
  return fit && { perDoseL: fit.coefficients[1]!, sdL: Math.sqrt(fit.covariance[1]![1]!) };
}

/** The readings that lie too far from what all others say of them, with their deviations; at most one in five. */
function slipsOf(frame: Frame, first: Law): Map<number, number> {
  const slips = new Map<number, number>();
  const count = first.points.length;
  const most = count < 4 ? 0 : Math.max(1, Math.floor(count / 5));
  let law: Law = first;
  while (slips.size < most) {
    const far = farPoints(law);
    if (far.length === 0) break;
    // The worse half at once: a wild slip makes honest readings look far, the others are looked at again.
    for (const { index, deviations } of far.slice(0, Math.min(most - slips.size, Math.ceil(far.length / 2)))) {
      slips.set(index, deviations);
    }
    const next = fitLaw(frame, new Set(slips.keys()));
    if (next === 'not-rising' || next === 'no-widths') break;
    law = next;
  }
  return slips;
}

/** Points beyond the limit, the furthest first, by the externally studentised deletion residual. */
function farPoints({ points, fit, curve }: Law): { index: number; deviations: number }[] {
  const prior = curve.errors.worth;
  const middling = middleSquare(fit.deletions);
  const far: { index: number; deviations: number }[] = [];
  points.forEach(({ index }, i) => {
    const deletion = fit.deletions[i];
    if (deletion === null || deletion === undefined) return;
    const square = deletion ** 2;
    // Never stricter than the assumed uncertainty: readings that happen to agree are no ground for a charge.
    const others = (prior + fit.chiSquare - square) / (prior + fit.degreesOfFreedom - 1);
    const variance = Math.max(1, Math.min(others, middling ?? Infinity));
    const deviations = Math.sqrt(square / variance);
    if (deviations > TRADE.outlierLimit.value) far.push({ index, deviations });
  });
  return far.sort((a, b) => b.deviations - a.deviations);
}

/** From so many readings on, the middle one of their squares tells the variance better than the mean: slips hide. */
const MANY = 12;
/** The middle of a chi-square law with one degree of freedom. */
const MIDDLE_OF_SQUARES = 0.4549364231195725;

/** Variance by the middle deletion residual (the median absolute deviation); `null` for few readings. */
function middleSquare(deletions: readonly (number | null)[]): number | null {
  const squares = deletions.flatMap((one) => (one === null ? [] : [one * one])).sort((a, b) => a - b);
  return squares.length < MANY ? null : squares[Math.floor(squares.length / 2)]! / MIDDLE_OF_SQUARES;
}

/** Bursts whose width cannot be true for their dose. */
function burstSlips({ readings, nominalMm, errors }: Frame, { curve, shape }: Law): [number, number][] {
  return readings.flatMap((reading, index): [number, number][] => {
    const widthMm = widthSeenMm(reading);
    if (reading.outcome !== 'burst' || widthMm === undefined) return [];
    const { dose, nozzle } = reading;
    const [point] = pointsOf({
      readings: [{ ...reading, outcome: 'ok', heightMm: undefined }],
      balloons: [0],
      terms: curve.terms,
      shape,
      nominalMm,
      marksMm: 0,
    });
    const own = measuringVariance(point!, errors) + dose * (errors.doseShare * curve.doseVolumeL) ** 2;
    const sdL = Math.sqrt(volumeVariance(curve, { dose, nozzle, widthMm }) + curve.varianceRatio * own);
    const deviations = Math.abs(volumeAtL({ law: shape, widthMm }) - volumeAtDoseL(curve, dose, nozzle)) / sdL;
    return deviations > TRADE.outlierLimit.value ? [[index, deviations]] : [];
  });
}

function notesOf({ pump, known, errors }: Frame, { points, curve }: Law, distinctDoses: number): FitNote[] {
  const notes: FitNote[] = [];
  if (distinctDoses === 1 && !knownInflator(pump, known)) notes.push({ code: 'dead-volume-assumed-zero' });
  if (!slopeKnown(curve)) notes.push({ code: 'slope-unknown' });
  const onRecordL = pump.doseVolumeL;
  const alone = distinctDoses > 1 && onRecordL !== undefined ? slopeAlone(points, errors, curve.doseVolumeL) : null;
  if (alone && onRecordL !== undefined && Math.abs(alone.perDoseL - onRecordL) > 3 * alone.sdL + 0.1 * onRecordL) {
    notes.push({ code: 'stroke-unlike-pump', fittedL: curve.doseVolumeL, onRecordL });
  }
  return notes;
}

function seenLimits(
  readings: readonly Reading[],
  meanWidthAt: (reading: Reading) => number,
  { margins }: KnownBefore,
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
    hardMargin: margins?.hard ?? TRADE.hardMargin.value,
    burstMargin: margins?.burst ?? TRADE.burstMargin.value,
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
