import { ok, problem, type Result } from '../result';

/** A hole of a sizer. */
export interface Hole {
  /** Clear width, mm. */
  widthMm: number;
}

/** The hole to size with, and how. */
export type HoleChoice<H extends Hole> =
  | { hole: H; how: 'just-passes' }
  /** Leave `gapMm` in all between balloon and rim. */
  | { hole: H; how: 'gap'; gapMm: number };

/** A hole within this of the target counts as the target's own: a saw, a knife and a tape do no better (from memory). */
const SAME_HOLE_MM = 1;

/**
 * The hole for a target: the one of its size, where the balloon just passes, or else the next larger one with the
 * difference left as a gap (common practice: 5.5 in is the 6 in hole with half an inch of gap in all).
 *
 * Problems: `no-holes`; `none-large-enough`, with the largest there is.
 */
export function chooseHole<H extends Hole>({
  targetMm,
  holes,
}: {
  targetMm: number;
  holes: readonly H[];
}): Result<HoleChoice<H>, 'no-holes' | 'none-large-enough'> {
  const sorted = [...holes].sort((a, b) => a.widthMm - b.widthMm);
  const largest = sorted.at(-1);
  if (!largest) return problem('no-holes', { field: 'holes' });
  const near = sorted.filter((hole) => Math.abs(hole.widthMm - targetMm) <= SAME_HOLE_MM);
  if (near.length > 0) {
    const hole = near.reduce((a, b) =>
      Math.abs(b.widthMm - targetMm) < Math.abs(a.widthMm - targetMm) ? b : a,
    );
    return ok({ hole, how: 'just-passes' });
  }
  const hole = sorted.find((candidate) => candidate.widthMm > targetMm);
  if (!hole) {
    return problem('none-large-enough', { field: 'targetMm', detail: { largestMm: largest.widthMm } });
  }
  return ok({ hole, how: 'gap', gapMm: hole.widthMm - targetMm });
}
