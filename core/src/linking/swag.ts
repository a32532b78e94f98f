import { ok, problem, type Result } from '../result';
import { repeatLength } from './chain';
import { rootWithin, settle } from '../numeric';
import { meanOf } from '../statistics';

/** A chain hanging between two fixings. */
export interface Swag {
  /** Across, from fixing to fixing, mm. */
  spanMm: number;
  /** From the lower fixing down to the lowest point, mm. */
  dropMm: number;
  /** How much higher the right fixing is than the left, mm. */
  riseMm: number;
  lengthMm: number;
  /** y = a cosh(x / a): the curve's one parameter, mm. */
  aMm: number;
  /** Where it hangs lowest, from the left fixing, mm. */
  lowestAtMm: number;
  /** How steeply it leaves each fixing, degrees below level. */
  endAngleDeg: { left: number; right: number };
}

export type SwagProblemCode =
  /** Two of span, drop and length are wanted. */
  | 'leave-one-out'
  | 'bad-span'
  | 'bad-length'
  /** It hangs in a straight line, or the drop is below what any string shows. */
  | 'no-drop'
  /** The drop, down and up again, is more than the string. `mostMm` is the deepest. */
  | 'drop-beyond-string'
  /** The string does not reach from fixing to fixing. `leastMm` is the shortest. */
  | 'string-too-short'
  | 'bad-rise';

export interface SwagAsked {
  spanMm?: number | undefined;
  dropMm?: number | undefined;
  lengthMm?: number | undefined;
  riseMm?: number | undefined;
}

/** Flatter than this share of the span, or of the string, nobody can hang. */
const LEAST_DROP_SHARE = 0.002;
/** Of the size of the piece: far finer than any tape. */
const WITHIN = 1e-12;

/**
 * A swag from any two of its span, its drop and its length: a catenary (not a parabola), also between fixings of
 * unequal height. With D the drop below a fixing, that side is a acosh(1 + D / a) wide and sqrt(D^2 + 2 a D) long; a
 * is found from the one equation left.
 *
 * Source: y = a cosh(x / a), s = a sinh(x / a) (any handbook of mechanics).
 *
 * Problems: `leave-one-out`, `bad-span`, `bad-length`, `bad-rise`, `no-drop`, `drop-beyond-string`, `string-too-short`.
 */
export function swag({ spanMm, dropMm, lengthMm, riseMm = 0 }: SwagAsked): Result<Swag, SwagProblemCode> {
  const given = [spanMm, dropMm, lengthMm].filter((mm) => mm !== undefined).length;
  if (given !== 2) return problem('leave-one-out', { detail: { given } });
  if (!Number.isFinite(riseMm)) return problem('bad-rise', { field: 'riseMm' });
  if (spanMm !== undefined && !(spanMm > 0 && Number.isFinite(spanMm))) return problem('bad-span', { field: 'spanMm' });
  if (lengthMm !== undefined && !(lengthMm > 0 && Number.isFinite(lengthMm)))
    return problem('bad-length', { field: 'lengthMm' });
  const rise = Math.abs(riseMm);
  if (dropMm !== undefined && !(dropMm >= LEAST_DROP_SHARE * (spanMm ?? lengthMm!) && Number.isFinite(dropMm)))
    return problem('no-drop', { field: 'dropMm' });
  if (dropMm !== undefined && lengthMm !== undefined && 2 * dropMm + rise >= lengthMm)
    return problem('drop-beyond-string', { field: 'dropMm', detail: { mostMm: (lengthMm - rise) / 2 } });
  if (dropMm === undefined && lengthMm! <= Math.hypot(spanMm!, rise))
    return problem('string-too-short', { field: 'lengthMm', detail: { leastMm: Math.hypot(spanMm!, rise) } });

  const shape =
    dropMm === undefined
      ? fromLength(spanMm!, lengthMm!, rise)
      : {
          dropMm,
          aMm: spanMm === undefined ? aOfDropAndLength(dropMm, lengthMm!, rise) : aOfDropAndSpan(dropMm, spanMm, rise),
        };
  // A string pulled so tight that its lowest point is a fixing has no drop below it.
  if (!(shape.dropMm > 0)) return problem('no-drop', { field: 'lengthMm' });
  return ok(swagOf({ ...shape, riseMm }));
}

/** The whole swag from its drop below the lower fixing and its parameter. */
function swagOf({ aMm, dropMm, riseMm }: { aMm: number; dropMm: number; riseMm: number }): Swag {
  const drops = { left: dropMm + Math.max(0, -riseMm), right: dropMm + Math.max(0, riseMm) };
  const [left, right] = [sideOf(drops.left, aMm), sideOf(drops.right, aMm)];
  const angle = (sideMm: number) => (Math.atan2(sideMm, aMm) * 180) / Math.PI;
  return {
    spanMm: left.acrossMm + right.acrossMm,
    dropMm,
    riseMm,
    lengthMm: left.alongMm + right.alongMm,
    aMm,
    lowestAtMm: left.acrossMm,
    endAngleDeg: { left: angle(left.alongMm), right: angle(right.alongMm) },
  };
}

/** One side of a catenary, from its lowest point up by `dropMm`. */
function sideOf(dropMm: number, aMm: number): { acrossMm: number; alongMm: number } {
  return { acrossMm: aMm * Math.acosh(1 + dropMm / aMm), alongMm: Math.sqrt(dropMm * (dropMm + 2 * aMm)) };
}

/** Newton's steps in log a: the span grows with a, and flattens, so that they come from below and never pass. */
function aOfDropAndSpan(dropMm: number, spanMm: number, rise: number): number {
  const next = (a: number) => {
    const [low, high] = [1 + dropMm / a, 1 + (dropMm + rise) / a];
    const [arcLow, arcHigh] = [Math.acosh(low), Math.acosh(high)];
    const error = a * (arcLow + arcHigh) - spanMm;
    const slope =
      arcLow + arcHigh - dropMm / a / Math.sqrt(low * low - 1) - (dropMm + rise) / a / Math.sqrt(high * high - 1);
    return a - error / slope;
  };
  // From the parabola's parameter, a little too small for a catenary.
  return settle({ from: (spanMm * spanMm) / (8 * (dropMm + rise / 2)), next, within: WITHIN });
}

function aOfDropAndLength(dropMm: number, lengthMm: number, rise: number): number {
  // Level fixings have a closed form: half the length squared less the drop squared, over twice the drop.
  if (rise === 0) return (lengthMm * lengthMm) / (8 * dropMm) - dropMm / 2;
  const longest = (lengthMm * lengthMm) / (2 * dropMm);
  return rootWithin({
    of: (a) => sideOf(dropMm, a).alongMm + sideOf(dropMm + rise, a).alongMm - lengthMm,
    low: 0,
    high: longest,
    within: WITHIN * longest,
  });
}

/** sinh(u) / u = chord / span with u = span / 2a; then the drop below the lower fixing. */
function fromLength(spanMm: number, lengthMm: number, rise: number): { aMm: number; dropMm: number } {
  const ratio = Math.sqrt(lengthMm * lengthMm - rise * rise) / spanMm;
  const u = settle({
    from: ratio > 3 ? Math.log(2 * ratio) + Math.log(Math.log(2 * ratio)) : Math.sqrt(6 * (ratio - 1)),
    next: (x) => x - (Math.sinh(x) - ratio * x) / (Math.cosh(x) - ratio),
    within: WITHIN,
  });
  const aMm = spanMm / (2 * u);
  // The lower fixing is this far from the lowest point: the middle, moved by the height between the fixings.
  const lowSide = spanMm / 2 - aMm * Math.atanh(rise / lengthMm);
  // Beyond the fixing itself the lowest point is the fixing: nothing hangs below it.
  return { aMm, dropMm: lowSide <= 0 ? 0 : aMm * (Math.cosh(lowSide / aMm) - 1) };
}

/** A place on a swag, from the left fixing, y downwards, mm. */
export interface SwagPoint {
  xMm: number;
  yMm: number;
  /** How steeply the chain runs there, radians, above 0 downwards to the right. */
  slope: number;
}

/** Where a swag is after `alongMm` of its length from the left fixing. */
export function swagPoint(swag: Swag, alongMm: number): SwagPoint {
  const { aMm, lowestAtMm, endAngleDeg } = swag;
  const toLowest = aMm * Math.tan((endAngleDeg.left * Math.PI) / 180);
  const s = alongMm - toLowest;
  const leftDrop = Math.hypot(toLowest, aMm) - aMm;
  return {
    xMm: lowestAtMm + aMm * Math.asinh(s / aMm),
    yMm: leftDrop - (Math.hypot(s, aMm) - aMm),
    slope: -Math.atan2(s, aMm),
  };
}

/** A swag made of balloons. */
export interface SwagCount {
  count: number;
  /** As it hangs with a whole number of balloons. */
  hung: Swag;
  /** How much lower than asked for it then hangs, mm. */
  lowerMm: number;
}

/**
 * How many balloons hang in a swag, and how deep it then really is: the nearest whole number whose chain, tied by a
 * neck at both ends, still reaches. `widthsMm`: a repeat of widths along it, one where all are alike.
 */
export function swagCount({
  wanted,
  widthsMm,
  jointMm,
}: {
  wanted: Swag;
  widthsMm: readonly number[];
  jointMm: number;
}): Result<SwagCount, SwagProblemCode> {
  const pitchMm = meanOf(widthsMm) + jointMm;
  if (!(widthsMm.every((widthMm) => widthMm > 0) && pitchMm > 0)) return problem('bad-length', { field: 'widthsMm' });
  const { spanMm, riseMm, dropMm, lengthMm } = wanted;
  const fewest = Math.ceil((Math.hypot(spanMm, riseMm) * (1 + 1e-9) - jointMm) / pitchMm);
  let count = Math.max(1, fewest, Math.round((lengthMm - jointMm) / pitchMm));
  for (let tries = 0; tries < 3; tries += 1, count += 1) {
    const hung = swag({ spanMm, riseMm, lengthMm: repeatLength({ count, widthsMm, jointMm }) + 2 * jointMm });
    if (hung.ok) return ok({ count, hung: hung.value, lowerMm: hung.value.dropMm - dropMm });
  }
  return problem('no-drop', { field: 'dropMm' });
}

/** Swags side by side between fixings, in rows one below the other. */
export interface SwagRow {
  row: number;
  bays: SwagCount[];
  balloons: number;
}

export type SwagRowsProblemCode = SwagProblemCode | 'too-few-fixings' | 'bad-rows';

/**
 * Rows of swags from fixing to fixing: each row hangs `rowDropMm` deeper than the one above, from the same fixings.
 *
 * Problems: those of `swag`; `too-few-fixings` (two at least, from left to right); `bad-rows` (1 to 12).
 */
export function swagRows({
  fixingsMm,
  dropMm,
  rows,
  rowDropMm,
  widthsMm,
  jointMm,
}: {
  /** Places along the wall, from left to right, mm. */
  fixingsMm: readonly number[];
  dropMm: number;
  rows: number;
  rowDropMm: number;
  widthsMm: readonly number[];
  jointMm: number;
}): Result<SwagRow[], SwagRowsProblemCode> {
  if (fixingsMm.length < 2) return problem('too-few-fixings', { field: 'fixingsMm' });
  if (!(Number.isInteger(rows) && rows >= 1 && rows <= 12)) return problem('bad-rows', { field: 'rows' });
  const made: SwagRow[] = [];
  for (let row = 0; row < rows; row += 1) {
    const bays: SwagCount[] = [];
    for (let i = 1; i < fixingsMm.length; i += 1) {
      const wanted = swag({ spanMm: fixingsMm[i]! - fixingsMm[i - 1]!, dropMm: dropMm + row * rowDropMm });
      if (!wanted.ok) return wanted;
      const counted = swagCount({ wanted: wanted.value, widthsMm, jointMm });
      if (!counted.ok) return counted;
      bays.push(counted.value);
    }
    made.push({ row, bays, balloons: bays.reduce((sum, { count }) => sum + count, 0) });
  }
  return ok(made);
}
