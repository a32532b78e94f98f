import { ok, problem, type Result } from '../result';
import { ringOf, type Ring, type RingProblemCode } from './ring';

/** One ring of a stack. */
export interface StackedRingAsked {
  /** Widths of its balloons, mm. */
  widthMm: number;
  /** Centre to centre of neighbours, mm. */
  pitchMm: number;
}

export interface StackedRing extends Ring, StackedRingAsked {
  /** Height of its centres above those of the lowest ring, mm. */
  heightMm: number;
  /** Above the ring below, mm; 0 for the lowest. */
  riseMm: number;
  /** How far the wall leans out from the ring below, degrees from upright; below 0: inwards. */
  leanDeg: number;
  /** Turned by half a step against the lowest ring. */
  turned: boolean;
}

export type StackProblemCode =
  | RingProblemCode
  | 'no-rings'
  /** The ring is so much larger or smaller that it finds no hold: it falls around or through the one below. */
  | 'no-hold';

/**
 * Rings of equal count upon each other, each turned by half a step, so that every balloon sits between two of the
 * ring below and touches both. With c = (w1 + w2) / 2 the distance of touching balloons, rise^2 = c^2 - (R1^2 + R2^2
 * - 2 R1 R2 cos(pi / n)). Equal rings whose pitch is their width are the bands of a uniform antiprism; of three, an
 * octahedron.
 *
 * Source: distance of two points in space; published heights of uniform antiprisms (Cromwell, Polyhedra, 1997).
 *
 * Problems: those of `ringOf` and `no-hold`, with `rings.<index>` as their field; `no-rings`.
 */
export function ringStack({
  count,
  rings,
}: {
  count: number;
  rings: readonly StackedRingAsked[];
}): Result<StackedRing[], StackProblemCode> {
  if (rings.length === 0) return problem('no-rings', { field: 'rings' });
  const stack: StackedRing[] = [];
  for (const [i, { widthMm, pitchMm }] of rings.entries()) {
    const ring = ringOf({ count, widthMm, pitchMm });
    if (!ring.ok) {
      const { code, field, ...rest } = ring.problem;
      return problem(code, { ...rest, field: field === 'count' ? field : `rings.${i}.${field}` });
    }
    const base = { ...ring.value, widthMm, pitchMm, turned: i % 2 === 1 };
    const below = stack.at(-1);
    if (!below) {
      stack.push({ ...base, heightMm: 0, riseMm: 0, leanDeg: 0 });
      continue;
    }
    const [r1, r2] = [below.centreRadiusMm, ring.value.centreRadiusMm];
    const level2 = r1 * r1 + r2 * r2 - 2 * r1 * r2 * Math.cos(Math.PI / count);
    const touching = (below.widthMm + widthMm) / 2;
    if (!(touching * touching > level2))
      return problem('no-hold', { field: `rings.${i}.widthMm`, detail: { ring: i + 1 } });
    const riseMm = Math.sqrt(touching * touching - level2);
    const leanDeg = (Math.atan2(r2 - r1, riseMm) * 180) / Math.PI;
    stack.push({ ...base, heightMm: below.heightMm + riseMm, riseMm, leanDeg });
  }
  return ok(stack);
}
