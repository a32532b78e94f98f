import type { InflatorKind } from '../inflator';
import { dot, inverseOf, quadraticForm, sdInterval } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { measuringVariance, sharedCovariance, type Point } from './point';
import { aspectAt, type ShapeLaw } from './shapeLaw';
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
const ROUNDS = 40;
const SETTLED = 1e-3;
/** The most a part may change in one step, as the logarithm of its variance. */
const LONGEST_STEP = 1.5;
/** By how much steps grow again that go on the same way. */
const LONGER = 1.5;

interface Part {
  variance: number;
  assumed: number;
  readings: number;
}

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
  const unsure = settle(sets, parts, trade);
  const worths = new Map([...widths].map(([id, own]) => [id, worthOf(own, parts, unsure, trade)]));
  return learnedFrom(parts, worths, unsure, trade);
}

/** Steps until the variances rest; how unsure their logarithms are then (covariance). */
function settle(sets: readonly LearningSet[], parts: ReadonlyMap<string, Part>, trade: Trade): number[][] {
  let unsure: number[][] = [];
  let last: number[] = [];
  let length = 1;
  for (let round = 0; round < ROUNDS; round += 1) {
    const step = score(sets, parts, trade);
    unsure = step.unsure;
    // Parts that hardly differ in what they do to the readings make the steps swing: each turn back halves them.
    if (last.length > 0) length = dot(step.logs, last) < 0 ? length / 2 : Math.min(1, length * LONGER);
    last = step.logs;
    [...parts.values()].forEach((part, i) => {
      part.variance *= Math.exp(length * step.logs[i]!);
    });
    if (Math.max(...step.logs.map(Math.abs)) < SETTLED) break;
  }
  return unsure;
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

/** Observations of one calibration: which parts of the error act in them, and how. */
interface LearningSet {
  /** Readings that speak of each part. */
  keys: Map<string, number>;
  /** The design of what is taken out of them; no columns where nothing is. */
  rows: number[][];
  observed: number[];
  /** Variance that nothing is learned of. */
  fixed: number[];
  /** What each observation counts for: less than 1 where a law was fitted to them before. */
  worth: number;
  /** By part: its unit covariance, a diagonal or a full one. */
  units: { key: string; diagonal: number[] | null; full: number[][] | null }[];
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
  const full = (key: string, unit: ReadingErrors) => {
    keys.set(key, points.length);
    units.push({
      key,
      diagonal: null,
      full: points.map((a) =>
        points.map((b) => (a.balloon === b.balloon ? sharedCovariance(a, b, unit, doseVolumeL) : 0)),
      ),
    });
  };
  const none: ReadingErrors = { ways: NO_ERROR, heightMm: 0, balloonShare: 0, doseShare: 0, worth: 0 };
  full('balloon', { ...none, balloonShare: 1 });
  full(`dose ${inflatorId}`, { ...none, doseShare: 1 });
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
  const widestMm = Math.max(...points.map(({ widthMm }) => widthMm));
  const levels = new Set(shape.knots.flatMap((knot) => (knot.widthMm <= widestMm ? [knot.aspect] : []))).size;
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

/**
 * One step of scoring over all sets: how far the logarithms of the variances should move, and how unsure they are
 * (covariance).
 */
function score(
  sets: readonly LearningSet[],
  parts: ReadonlyMap<string, Part>,
  trade: Trade,
): { logs: number[]; unsure: number[][] } {
  const keys = [...parts.keys()];
  const place = new Map(keys.map((key, i) => [key, i]));
  const worth = trade.priorReadings;
  const slope: number[] = [];
  const information = keys.map(() => keys.map(() => 0));
  keys.forEach((key, i) => {
    const { variance, assumed } = parts.get(key)!;
    const ratio = assumed ** 2 / variance;
    slope.push((worth / 2) * (ratio - 1));
    // Below what was assumed the prior bends more than it is expected to.
    information[i]![i] = (worth / 2) * Math.max(1, ratio);
  });
  for (const set of sets) addScore(set, parts, place, slope, information);
  const unsure = inverseOf(information);
  if (!unsure) return { logs: keys.map(() => 0), unsure: [] };
  const logs = unsure.map((row) => Math.max(-LONGEST_STEP, Math.min(LONGEST_STEP, dot(row, slope))));
  return { logs, unsure };
}

/** Adds a set's share: half of (Py)'K(Py) - tr PK for the slope, half of tr PKPL for the information. */
function addScore(
  { rows, observed, fixed, worth, units }: LearningSet,
  parts: ReadonlyMap<string, Part>,
  place: ReadonlyMap<string, number>,
  slope: number[],
  information: number[][],
): void {
  const n = observed.length;
  const covariance = observed.map((_, i) => observed.map((__, j) => (i === j ? fixed[i]! : 0)));
  for (const { key, diagonal, full } of units) {
    const { variance } = parts.get(key)!;
    for (let i = 0; i < n; i += 1) {
      if (diagonal) covariance[i]![i]! += variance * diagonal[i]!;
      else for (let j = 0; j < n; j += 1) covariance[i]![j]! += variance * full![i]![j]!;
    }
  }
  const projector = projectorOf(covariance, rows);
  if (!projector) return;
  const pulled = projector.map((row) => dot(row, observed));
  const products = units.map(({ key, diagonal, full }) => {
    const { variance } = parts.get(key)!;
    const product = projector.map((row) =>
      diagonal
        ? row.map((value, j) => variance * value * diagonal[j]!)
        : row.map((_, j) => variance * row.reduce((sum, value, k) => sum + value * full![k]![j]!, 0)),
    );
    const pull = diagonal
      ? pulled.reduce((sum, value, i) => sum + value * value * diagonal[i]!, 0)
      : pulled.reduce((sum, value, i) => sum + value * dot(full![i]!, pulled), 0);
    return { at: place.get(key)!, product, pull: variance * pull };
  });
  products.forEach(({ at, product, pull }, a) => {
    slope[at]! += 0.5 * worth * (pull - product.reduce((sum, row, i) => sum + row[i]!, 0));
    for (let b = 0; b <= a; b += 1) {
      const other = products[b]!;
      let trace = 0;
      for (let i = 0; i < n; i += 1) for (let j = 0; j < n; j += 1) trace += product[i]![j]! * other.product[j]![i]!;
      information[at]![other.at]! += 0.5 * worth * trace;
      if (a !== b) information[other.at]![at]! += 0.5 * worth * trace;
    }
  });
}

/** S^-1 - S^-1 X (X' S^-1 X)^-1 X' S^-1; `null` where the readings leave nothing over their own line. */
function projectorOf(
  covariance: readonly (readonly number[])[],
  rows: readonly (readonly number[])[],
): number[][] | null {
  const inverse = inverseOf(covariance);
  if (!inverse) return null;
  const columns = columnsThatTell(rows);
  if (rows.length <= columns.length) return null;
  if (columns.length === 0) return inverse;
  const turned = columns.map((column) => inverse.map((row) => dot(row, column)));
  const gram = columns.map((column) => turned.map((other) => dot(column, other)));
  const scales = gram.map((row, i) => 1 / Math.sqrt(row[i]!));
  const inner = inverseOf(gram.map((row, i) => row.map((value, j) => value * scales[i]! * scales[j]!)));
  if (!inner) return null;
  return inverse.map((row, i) =>
    row.map((value, j) => {
      let taken = 0;
      for (let a = 0; a < columns.length; a += 1) {
        for (let b = 0; b < columns.length; b += 1) {
          taken += turned[a]![i]! * inner[a]![b]! * scales[a]! * scales[b]! * turned[b]![j]!;
        }
      }
      return value - taken;
    }),
  );
}

/** The columns of the design that differ from one another: one dose alone tells no slope. */
function columnsThatTell(rows: readonly (readonly number[])[]): number[][] {
  const columns = rows[0]!.map((_, j) => rows.map((row) => row[j]!));
  const doses = columns[1];
  if (!doses) return columns;
  const [dead, ...rest] = columns;
  return doses.every((dose) => dose === doses[0]) ? [dead!] : [dead!, ...rest];
}

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
