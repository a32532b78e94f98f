import type { InflatorKind } from '../inflator';
import { least, most, quadraticForm, sdInterval } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { measuringVariance, sharedCovariance, type Point } from './point';
import { aspectAt, type ShapeLaw } from './shapeLaw';
import { settleParts, type LearningSet, type Part } from './errorParts';
import { wayOf, WAYS, type Reading, type Way, type WaySds } from './reading';
import { assumedErrors, type ReadingErrors } from './readingErrors';

/** One part of the error, as these hands, balloons and inflators have it. */
export interface LearnedError {
  /** Standard deviation to go on with: assumed and seen together. */
  sd: number;
  /** 95 % interval of it. */
  low: number;
  high: number;
  /** What was assumed. */
  assumed: number;
  /** Readings that speak of it. */
  readings: number;
}

/** How sure one way of measuring is, in these hands. */
export interface LearnedWay {
  way: Way;
  /** Standard uncertainty to go on with, mm: assumed and seen together. */
  sdMm: number;
  /** 95 % interval of it. */
  lowMm: number;
  highMm: number;
  /** What was assumed, mm. */
  assumedMm: number;
  /** Readings it was learned from. */
  readings: number;
}

/** The parts of the error kept apart: what measuring adds, what balloons differ by, what each inflator varies by. */
export interface LearnedErrors {
  ways: Record<Way, LearnedWay>;
  /** mm */
  height: LearnedError;
  /** Share of the width. */
  balloon: LearnedError;
  /** By inflator id, share of one stroke or second. */
  doses: ReadonlyMap<string, LearnedError>;
  /** By inflator id, how many readings' worth of trust all parts together deserve in a reading made with it. */
  worths: ReadonlyMap<string, number>;
}

/** A calibration as learning takes it. */
export interface LearningCalibration {
  inflatorId: string;
  kind: InflatorKind;
  points: readonly Point[];
  /** What its curve makes of one stroke or second, litres. */
  doseVolumeL: number;
  shape: ShapeLaw;
}

/** More readings of one calibration than that add little, and the cube of them in work. */
const MOST_POINTS = 40;

/**
 * Learns the parts of the error over all calibrations by restricted maximum likelihood: what is left of the readings
 * when each calibration's own line is taken out (any line: dead volume and stroke are free) tells the variances, each
 * with the assumed one counting for `TRADE.priorReadings` readings (the scaled inverse chi-square prior of Gelman et
 * al., Bayesian Data Analysis, section 3.3). Where heights were measured, how far each aspect lies from the shape law
 * tells width and height apart: both go into the volume alike. Fisher's scoring on the logarithms of the variances.
 * Brackets tell no residual and stay as assumed; readings with an uncertainty of their own teach nothing of their way.
 *
 * Source: Patterson and Thompson, Biometrika 58 (1971); Searle, Casella and McCulloch, Variance Components, section
 * 6.6.
 */
export function learnErrors(calibrations: readonly LearningCalibration[], trade: Trade = TRADE): LearnedErrors {
  const parts = new Map<string, Part>();
  const partOf = (key: string, assumed: number): Part => {
    const known = parts.get(key) ?? { variance: assumed ** 2, assumed, readings: 0 };
    parts.set(key, known);
    return known;
  };
  for (const way of WAYS) partOf(`way ${way}`, trade.measureSdMm[way]);
  partOf('height', trade.heightSdMm);
  partOf('balloon', trade.balloonShare);
  const widths = new Map<string, LearningSet[]>();
  const sets = calibrations.flatMap((calibration) => {
    const { inflatorId, kind } = calibration;
    partOf(`dose ${inflatorId}`, trade.doseShare[kind]);
    const own = learningSet(calibration, trade);
    widths.set(inflatorId, [...(widths.get(inflatorId) ?? []), ...(own ? [own] : [])]);
    return [own, aspectSet(calibration, trade)].filter((set) => set !== null);
  });
  for (const { keys } of sets) for (const [key, count] of keys) parts.get(key)!.readings += count;
  const unsure = settleParts(sets, parts, trade.priorReadings);
  const worths = new Map([...widths].map(([id, own]) => [id, worthOf(own, parts, unsure, trade)]));
  return learnedFrom(parts, worths, unsure, trade);
}

/**
 * How many readings' worth of trust the parts together deserve: the degrees of freedom of their sum in these readings
 * (Satterthwaite, Biometrics Bulletin 2 (1946), with the covariance of what was learned), no more than were read and
 * assumed.
 */
function worthOf(
  sets: readonly LearningSet[],
  parts: ReadonlyMap<string, Part>,
  unsure: readonly number[][],
  trade: Trade,
): number {
  const assumed = trade.priorReadings;
  const place = new Map([...parts.keys()].map((key, i) => [key, i]));
  const shares = unsure.map(() => 0);
  let readings = 0;
  for (const { observed, units } of sets) {
    const own = units.map(({ key, diagonal, full }) => {
      const trace = observed.reduce((sum, _, i) => sum + (diagonal ? diagonal[i]! : full![i]![i]!), 0);
      return { at: place.get(key)!, variance: trace * parts.get(key)!.variance };
    });
    const total = own.reduce((sum, { variance }) => sum + variance, 0);
    for (const { at, variance } of own) shares[at]! += (observed.length * variance) / total;
    readings += observed.length;
  }
  if (readings === 0) return assumed;
  const mean = shares.map((share) => share / readings);
  return Math.min(assumed + readings, Math.max(assumed, 2 / quadraticForm(mean, unsure, mean)));
}

/** Whether a reading tells of a way of measuring: one that names its own uncertainty tells of none. */
function speaksOf(reading: Reading, way: Way): boolean {
  return reading.sdMm === undefined && wayOf(reading) === way;
}

function learningSet({ points: all, inflatorId, doseVolumeL }: LearningCalibration, trade: Trade): LearningSet | null {
  const points = all.filter(({ bounds }) => !bounds).slice(0, MOST_POINTS);
  if (points.length < 2) return null;
  const keys = new Map<string, number>();
  const units: LearningSet['units'] = [];
  const diagonal = (key: string, of: (point: Point) => number) => {
    const values = points.map(of);
    const count = values.filter((value) => value > 0).length;
    if (count === 0) return;
    keys.set(key, count);
    units.push({ key, diagonal: values, full: null });
  };
  for (const way of WAYS) {
    diagonal(`way ${way}`, ({ reading, weights }) => (speaksOf(reading, way) ? weights.perWidthMm ** 2 : 0));
  }
  diagonal('height', ({ weights }) => weights.perHeightMm ** 2);
  const fresh = new Set(points.map(({ balloon }) => balloon)).size === points.length;
  const shared = (key: string, unit: ReadingErrors) => {
    keys.set(key, points.length);
    const covariance = (a: Point, b: Point) => sharedCovariance(a, b, unit, doseVolumeL);
    units.push({
      key,
      diagonal: fresh ? points.map((a) => covariance(a, a)) : null,
      full: fresh ? null : points.map((a) => points.map((b) => (a.balloon === b.balloon ? covariance(a, b) : 0))),
    });
  };
  const none: ReadingErrors = { ways: NO_ERROR, heightMm: 0, balloonShare: 0, doseShare: 0, worth: 0 };
  shared('balloon', { ...none, balloonShare: 1 });
  shared(`dose ${inflatorId}`, { ...none, doseShare: 1 });
  return {
    keys,
    units,
    rows: points.map(({ row }) => row),
    observed: points.map(({ volumeL }) => volumeL),
    fixed: points.map((point) => measuringVariance(point, none, trade)),
    worth: 1,
  };
}

/** The aspects of a calibration about its own law, which took one coefficient for each of its levels. */
function aspectSet({ points: all, shape }: LearningCalibration, trade: Trade): LearningSet | null {
  const points = all
    .filter(({ reading }) => reading.heightMm !== undefined && reading.widthMm !== undefined)
    .slice(0, MOST_POINTS);
  const widths = points.map(({ widthMm }) => widthMm);
  const within = shape.knots.filter(({ widthMm }) => least(widths) <= widthMm && widthMm <= most(widths));
  const levels = new Set(within.map(({ aspect }) => aspect)).size;
  const free = points.length - levels;
  if (free < 1) return null;
  const grown = Math.sqrt(points.length / free);
  const units: LearningSet['units'] = WAYS.map((way) => ({
    key: `way ${way}`,
    diagonal: points.map(({ reading, widthMm }) => (speaksOf(reading, way) ? 1 / widthMm ** 2 : 0)),
    full: null,
  }));
  units.push({ key: 'height', diagonal: points.map(({ reading }) => 1 / reading.heightMm! ** 2), full: null });
  return {
    keys: new Map(),
    rows: points.map(() => []),
    observed: points.map(({ reading, widthMm }) => {
      const { aspect } = aspectAt({ law: shape, widthMm });
      return (grown * (reading.heightMm! / widthMm - aspect)) / aspect;
    }),
    fixed: points.map(({ reading, widthMm }) => ((reading.sdMm ?? 0) / widthMm) ** 2 + trade.aspectLawSd ** 2 / 4),
    worth: free / points.length,
    units: units.filter(({ diagonal }) => diagonal!.some((value) => value > 0)),
  };
}

const NO_ERROR = Object.fromEntries(WAYS.map((way) => [way, 0])) as WaySds;

function learnedFrom(
  parts: ReadonlyMap<string, Part>,
  worths: ReadonlyMap<string, number>,
  unsure: readonly (readonly number[])[],
  trade: Trade,
): LearnedErrors {
  const place = new Map([...parts.keys()].map((key, i) => [key, i]));
  const of = (key: string): LearnedError => {
    const { variance, assumed, readings } = parts.get(key)!;
    // Twice the information on the logarithm of a variance: the degrees of freedom that it is known with.
    const at = place.get(key)!;
    const freedom = 2 / (unsure[at]?.[at] ?? 2 / trade.priorReadings);
    const sd = Math.sqrt(variance);
    return { sd, assumed, readings, ...sdInterval({ sd, degreesOfFreedom: freedom }) };
  };
  const ways = WAYS.map((way): [Way, LearnedWay] => {
    const { sd, low, high, assumed, readings } = of(`way ${way}`);
    return [way, { way, sdMm: sd, lowMm: low, highMm: high, assumedMm: assumed, readings }];
  });
  return {
    ways: Object.fromEntries(ways) as Record<Way, LearnedWay>,
    height: of('height'),
    balloon: of('balloon'),
    doses: new Map([...worths.keys()].map((id) => [id, of(`dose ${id}`)])),
    worths,
  };
}

/** The errors to expect of readings with an inflator: as learned, and as assumed where it has none yet. */
export function errorsOf(
  learned: LearnedErrors,
  { inflatorId, kind }: { inflatorId: string; kind: InflatorKind },
  trade: Trade = TRADE,
): ReadingErrors {
  const assumed = assumedErrors(kind, trade);
  return {
    ways: Object.fromEntries(WAYS.map((way) => [way, learned.ways[way].sdMm])) as WaySds,
    heightMm: learned.height.sd,
    balloonShare: learned.balloon.sd,
    doseShare: learned.doses.get(inflatorId)?.sd ?? assumed.doseShare,
    worth: learned.worths.get(inflatorId) ?? assumed.worth,
  };
}
