import { ok, problem, type Result } from '../result';

/** A hole of a sizer. */
export interface Hole {
  /** Clear width, mm. */
  widthMm: number;
  /**
   * Width of the balloon that just passes it, mm, where that is known to be more than the hole: a soft one squeezes
   * through.
   */
  passesMm?: number;
}

/** The hole to size with, and how. */
export type HoleChoice<H extends Hole> =
  | { hole: H; how: 'just-passes' }
  /** Leave `gapMm` in all between balloon and rim. */
  | { hole: H; how: 'gap'; gapMm: number };

export type HoleProblemCode = 'no-holes' | 'none-large-enough';

/**
 * A hole within this of the target counts as the target's own: a saw, a knife and a tape do no better (from memory).
 */
const SAME_HOLE_MM = 1;

/**
 * The hole for a target: the one whose balloon is of its size, where that just passes, or else the next larger one
 * with the difference left as a gap (common practice: 5.5 in is the 6 in hole with half an inch of gap in all). A
 * balloon held in a gap touches nothing, so it is not squeezed. A balloon within `ownMm` of the target is of its
 * size.
 *
 * Problems: `no-holes`; `none-large-enough`, with the largest there is.
 */
export function chooseHole<H extends Hole>({
  targetMm,
  holes,
  ownMm = SAME_HOLE_MM,
}: {
  targetMm: number;
  holes: readonly H[];
  ownMm?: number;
}): Result<HoleChoice<H>, HoleProblemCode> {
  if (holes.length === 0) return problem('no-holes', { field: 'holes' });
  const near = nearestHole(holes, targetMm);
  if (near && Math.abs(near.offMm) <= ownMm) return ok({ hole: near.hole, how: 'just-passes' });
  const sorted = [...holes].sort((a, b) => a.widthMm - b.widthMm);
  const hole = sorted.find(({ widthMm }) => widthMm > targetMm);
  if (!hole) {
    const largestMm = sorted.at(-1)!.widthMm;
    return problem('none-large-enough', { field: 'targetMm', detail: { largestMm } });
  }
  return ok({ hole, how: 'gap', gapMm: hole.widthMm - targetMm });
}

/** The hole whose balloon comes nearest to a target when it just passes, and how much larger that balloon is, mm. */
export function nearestHole<H extends Hole>(holes: readonly H[], targetMm: number): { hole: H; offMm: number } | null {
  let best: { hole: H; offMm: number } | null = null;
  for (const hole of holes) {
    const offMm = (hole.passesMm ?? hole.widthMm) - targetMm;
    if (!best || Math.abs(offMm) < Math.abs(best.offMm)) best = { hole, offMm };
  }
  return best;
}

/** What working at another width than the target costs, in the balloon and in pieces made of it. */
export interface WidthCost {
  /** Width against the target, mm. */
  offMm: number;
  /** Air against the target's, as a ratio: the cube of the widths. */
  airRatio: number;
  /** Height of a column of eight layers of quads against the target's, mm. */
  columnMm: number;
  /** Length of a chain of twenty against the target's, mm. */
  chainMm: number;
}

/** Height of eight layers of quads for each mm of balloon width: 5 ft of 10 in balloons (common practice). */
const COLUMN_PER_WIDTH = 1524 / 254;
const COST_CHAIN = 20;

/**
 * The cost of a balloon of `widthMm` where `targetMm` was wanted; a piece scales with its balloons (common practice).
 */
export function widthCost({ targetMm, widthMm }: { targetMm: number; widthMm: number }): WidthCost {
  const offMm = widthMm - targetMm;
  return {
    offMm,
    airRatio: (widthMm / targetMm) ** 3,
    columnMm: COLUMN_PER_WIDTH * offMm,
    chainMm: COST_CHAIN * offMm,
  };
}
