import { dot, inverseOf } from '../statistics';

/** One part of the error, while it is learned. */
export interface Part {
  variance: number;
  /** Standard deviation that was assumed. */
  assumed: number;
  /** Readings that speak of it. */
  readings: number;
}

/** Observations of one calibration: which parts of the error act in them, and how. */
export interface LearningSet {
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
  units: Unit[];
}

interface Unit {
  key: string;
  diagonal: number[] | null;
  full: number[][] | null;
}

const ROUNDS = 40;
const SETTLED = 1e-3;
/** The most a part may change in one step, as the logarithm of its variance. */
const LONGEST_STEP = 1.5;
/** By how much steps grow again that go on the same way. */
const LONGER = 1.5;

/**
 * Steps until the variances of `parts` rest, each changed in place; how unsure their logarithms are then (covariance).
 * What was assumed of each counts for `worth` readings.
 */
export function settleParts(sets: readonly LearningSet[], parts: ReadonlyMap<string, Part>, worth: number): number[][] {
  let unsure: number[][] = [];
  let last: number[] = [];
  let length = 1;
  for (let round = 0; round < ROUNDS; round += 1) {
    const step = score(sets, parts, worth);
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
 * One step of scoring over all sets: how far the logarithms of the variances should move, and how unsure they are
 * (covariance).
 */
function score(
  sets: readonly LearningSet[],
  parts: ReadonlyMap<string, Part>,
  worth: number,
): { logs: number[]; unsure: number[][] } {
  const keys = [...parts.keys()];
  const place = new Map(keys.map((key, i) => [key, i]));
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

/** A part as it acts in one set: K, its covariance, between two of the projector P. */
interface Acting {
  at: number;
  variance: number;
  diagonal: readonly number[] | null;
  /** P K for a full K. */
  product: readonly (readonly number[])[] | null;
  /** By observation: (P K P) of it with itself. */
  seen: readonly number[];
}

/** Adds a set's share: half of (Py)'K(Py) - tr PK for the slope, half of tr PKPL for the information. */
function addScore(
  { rows, observed, fixed, worth, units }: LearningSet,
  parts: ReadonlyMap<string, Part>,
  place: ReadonlyMap<string, number>,
  slope: number[],
  information: number[][],
): void {
  const projector = projectorOf(rows, fixed, units, parts);
  if (!projector) return;
  const pulled = projector.map((row) => dot(row, observed));
  const acting = units.map((unit): Acting => {
    const { variance } = parts.get(unit.key)!;
    const at = place.get(unit.key)!;
    const { diagonal, full } = unit;
    let trace = 0;
    let pull = 0;
    let product: number[][] | null = null;
    if (diagonal) {
      for (let i = 0; i < diagonal.length; i += 1) {
        trace += projector[i]![i]! * diagonal[i]!;
        pull += pulled[i]! * pulled[i]! * diagonal[i]!;
      }
    } else {
      // K is symmetric: its rows are its columns.
      product = projector.map((row) => full!.map((column) => dot(row, column)));
      for (let i = 0; i < product.length; i += 1) {
        trace += product[i]![i]!;
        pull += pulled[i]! * dot(full![i]!, pulled);
      }
    }
    slope[at]! += 0.5 * worth * variance * (pull - trace);
    return { at, variance, diagonal, product, seen: seenBy(projector, diagonal, product) };
  });
  acting.forEach((one, a) => {
    for (let b = 0; b <= a; b += 1) {
      const other = acting[b]!;
      const share = 0.5 * worth * one.variance * other.variance * traceOf(one, other);
      information[one.at]![other.at]! += share;
      if (a !== b) information[other.at]![one.at]! += share;
    }
  });
}

/** The diagonal of P K P. A diagonal K, as of fresh balloons, takes n² steps in place of n³. */
function seenBy(
  projector: readonly (readonly number[])[],
  diagonal: readonly number[] | null,
  product: readonly (readonly number[])[] | null,
): number[] {
  return projector.map((row, i) => {
    let sum = 0;
    if (diagonal) for (let j = 0; j < row.length; j += 1) sum += row[j]! * row[j]! * diagonal[j]!;
    else for (let j = 0; j < row.length; j += 1) sum += product![i]![j]! * row[j]!;
    return sum;
  });
}

/** tr P K P L. */
function traceOf(k: Acting, l: Acting): number {
  if (l.diagonal) return dot(l.diagonal, k.seen);
  if (k.diagonal) return dot(k.diagonal, l.seen);
  let trace = 0;
  k.product!.forEach((row, i) => {
    for (let j = 0; j < row.length; j += 1) trace += row[j]! * l.product![j]![i]!;
  });
  return trace;
}

/** S^-1 - S^-1 X (X' S^-1 X)^-1 X' S^-1; `null` where the readings leave nothing over their own line. */
function projectorOf(
  rows: readonly (readonly number[])[],
  fixed: readonly number[],
  units: readonly Unit[],
  parts: ReadonlyMap<string, Part>,
): number[][] | null {
  const columns = columnsThatTell(rows);
  if (rows.length <= columns.length) return null;
  const inverse = inverseCovariance(fixed, units, parts);
  if (!inverse) return null;
  if (columns.length === 0) return inverse;
  const turned = columns.map((column) => inverse.map((row) => dot(row, column)));
  const gram = columns.map((column) => turned.map((other) => dot(column, other)));
  const scales = gram.map((row, i) => 1 / Math.sqrt(row[i]!));
  const inner = inverseOf(gram.map((row, i) => row.map((value, j) => value * scales[i]! * scales[j]!)));
  if (!inner) return null;
  const weighted = inner.map((row, a) =>
    inverse.map((_, i) => {
      let sum = 0;
      for (let b = 0; b < row.length; b += 1) sum += row[b]! * scales[a]! * scales[b]! * turned[b]![i]!;
      return sum;
    }),
  );
  return inverse.map((row, i) =>
    row.map((value, j) => {
      let taken = 0;
      for (let a = 0; a < turned.length; a += 1) taken += turned[a]![i]! * weighted[a]![j]!;
      return value - taken;
    }),
  );
}

/** The inverse of all parts' covariance together; `null` where it has none. */
function inverseCovariance(
  fixed: readonly number[],
  units: readonly Unit[],
  parts: ReadonlyMap<string, Part>,
): number[][] | null {
  const own = [...fixed];
  let shared: number[][] | null = null;
  for (const { key, diagonal, full } of units) {
    const { variance } = parts.get(key)!;
    if (diagonal) diagonal.forEach((value, i) => (own[i]! += variance * value));
    else {
      shared ??= own.map(() => own.map(() => 0));
      for (let i = 0; i < own.length; i += 1) {
        for (let j = 0; j < own.length; j += 1) shared[i]![j]! += variance * full![i]![j]!;
      }
    }
  }
  if (!shared) {
    if (!own.every((value) => value > 0)) return null;
    return own.map((value, i) => own.map((_, j) => (i === j ? 1 / value : 0)));
  }
  own.forEach((value, i) => (shared[i]![i]! += value));
  return inverseOf(shared);
}

/** The columns of the design that differ from one another: one dose alone tells no slope. */
function columnsThatTell(rows: readonly (readonly number[])[]): number[][] {
  const columns = rows[0]!.map((_, j) => rows.map((row) => row[j]!));
  const doses = columns[1];
  if (!doses) return columns;
  const [dead, ...rest] = columns;
  return doses.every((dose) => dose === doses[0]) ? [dead!] : [dead!, ...rest];
}
