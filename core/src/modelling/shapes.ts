import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { tailFor } from './length';
import type { ModellingSize } from './code';
import { mostInSpray } from './spray';

export type ShapeProblemCode =
  | 'bad-length'
  /** Longer than the balloon gives; `mostMm` is the longest it does. */
  | 'longer-than-balloon'
  /** Shorter than the balloon can bend; `leastMm` is the shortest. */
  | 'too-tight'
  | 'bad-count'
  /** More than hold together; `most` is how many do. */
  | 'too-many';

/** A loop leaf: two sides side by side, bent at the tip, twisted at the stem. */
export interface Leaf {
  /** Stem to tip, and across both sides, mm. */
  longMm: number;
  acrossMm: number;
  /** Inflated length it takes, mm; and the empty tail to leave for its one twist. */
  bodyMm: number;
  tailMm: number;
}

/**
 * A leaf of a wanted length. Its middle line is two straight sides and half a circle one width across at the tip:
 * body = 2 (long - width) + pi width / 2.
 *
 * Problems: `bad-length`; `too-tight` (under twice the width); `longer-than-balloon`, with the longest leaf.
 */
export function leafOf({
  size,
  longMm,
  trade = TRADE,
}: {
  size: ModellingSize;
  longMm: number;
  trade?: Trade | undefined;
}): Result<Leaf, ShapeProblemCode> {
  const { widthMm } = size;
  if (!(longMm > 0 && Number.isFinite(longMm))) return problem('bad-length', { field: 'longMm' });
  const leastMm = 2 * widthMm;
  if (longMm < leastMm) return problem('too-tight', { field: 'longMm', detail: { leastMm } });
  const { tailMm, fillMm } = oneTwist(size, trade);
  const bodyMm = 2 * (longMm - widthMm) + (Math.PI * widthMm) / 2;
  if (bodyMm > fillMm) {
    const mostMm = (fillMm - (Math.PI * widthMm) / 2) / 2 + widthMm;
    return problem('longer-than-balloon', { field: 'longMm', detail: { mostMm } });
  }
  return ok({ longMm, acrossMm: 2 * widthMm, bodyMm, tailMm });
}

/** A round loop, its ends twisted together. */
export interface Loop {
  /** Over everything, and clear inside, mm. */
  outsideMm: number;
  insideMm: number;
  bodyMm: number;
  tailMm: number;
}

/**
 * A loop of a wanted outside width: its middle line is a circle, body = pi (outside - width).
 *
 * Problems: `bad-length`; `too-tight` (under three widths); `longer-than-balloon`, with the widest loop.
 */
export function loopOf({
  size,
  outsideMm,
  trade = TRADE,
}: {
  size: ModellingSize;
  outsideMm: number;
  trade?: Trade | undefined;
}): Result<Loop, ShapeProblemCode> {
  const { widthMm } = size;
  if (!(outsideMm > 0 && Number.isFinite(outsideMm))) return problem('bad-length', { field: 'outsideMm' });
  const leastMm = 3 * widthMm;
  if (outsideMm < leastMm) return problem('too-tight', { field: 'outsideMm', detail: { leastMm } });
  const { tailMm, fillMm } = oneTwist(size, trade);
  const bodyMm = Math.PI * (outsideMm - widthMm);
  if (bodyMm > fillMm)
    return problem('longer-than-balloon', {
      field: 'outsideMm',
      detail: { mostMm: fillMm / Math.PI + widthMm },
    });
  return ok({ outsideMm, insideMm: outsideMm - 2 * widthMm, bodyMm, tailMm });
}

function oneTwist(size: ModellingSize, trade: Trade): { tailMm: number; fillMm: number } {
  const tail = tailFor({ size, twists: 1, trade });
  return tail.ok ? tail.value : { tailMm: 0, fillMm: size.lengthMm };
}

/** Balloons twisted at their middles into a star of rays. */
export interface Spray {
  balloons: number;
  rays: number;
  /** From the middle to the tip, and across, mm. */
  rayMm: number;
  acrossMm: number;
}

/**
 * A spray of `count` balloons twisted together at their middles. How many hold together: `TRADE.sprayMost` (common
 * practice), by their width.
 *
 * Problems: `bad-count` (not a whole number from 2); `too-many`, with the most.
 */
export function sprayOf({
  size,
  count,
  trade = TRADE,
}: {
  size: ModellingSize;
  count: number;
  trade?: Trade | undefined;
}): Result<Spray, ShapeProblemCode> {
  if (!(Number.isInteger(count) && count >= 2)) return problem('bad-count', { field: 'count', detail: { least: 2 } });
  const most = mostInSpray(size, trade);
  if (count > most) return problem('too-many', { field: 'count', detail: { most } });
  const { fillMm } = oneTwist(size, trade);
  return ok({ balloons: count, rays: 2 * count, rayMm: fillMm / 2, acrossMm: fillMm });
}

/** A curl: wound around something, filled, and slipped off. */
export interface Curl {
  turns: number;
  /** Across over everything, and along its axis when the turns touch, mm. */
  acrossMm: number;
  alongMm: number;
}

/**
 * The curl that a balloon takes around a former: a helix of turns that touch, its middle line one width wider than
 * the former. Length of one turn: sqrt((pi D)^2 + width^2). Pre-inflated ones curl more easily (common practice).
 *
 * Problems: `bad-length` (a former of no width).
 */
export function curlOf({
  size,
  formerMm,
  trade = TRADE,
}: {
  size: ModellingSize;
  formerMm: number;
  trade?: Trade | undefined;
}): Result<Curl, ShapeProblemCode> {
  if (!(formerMm > 0 && Number.isFinite(formerMm))) return problem('bad-length', { field: 'formerMm' });
  const { widthMm } = size;
  const { fillMm } = oneTwist(size, trade);
  const turns = fillMm / Math.hypot(Math.PI * (formerMm + widthMm), widthMm);
  return ok({ turns, acrossMm: formerMm + 2 * widthMm, alongMm: (turns + 1) * widthMm });
}
