import type { Vec } from '../numeric/space';
import { ok, problem, type Result } from '../result';

/** A place in space, mm. */
export type Place = Vec;

/** What the knots of a garland lie along. */
export interface KnotLine {
  lengthMm: number;
  /** Writes x, y, z of the place so far along, then the direction there of length 1, into `out`. */
  read: (alongMm: number, out: Float64Array) => void;
}

/** A line that goes straight on: where only the length of a garland is asked. */
export const STRAIGHT: KnotLine = { lengthMm: 1000, read: (alongMm, out) => out.set([alongMm, 0, 0, 1, 0, 0]) };

export type KnotLineProblemCode = 'too-few-points' | 'line-too-short' | 'line-too-long';

const SHORTEST_MM = 50;
const LONGEST_MM = 100_000;

/**
 * A line through places, straight from one to the next; before its beginning and behind its end it goes straight on.
 *
 * Problems: `too-few-points` (two at least), `line-too-short` (50 mm), `line-too-long` (100 m), with `points` as their field.
 */
export function knotLine(points: readonly Place[]): Result<KnotLine, KnotLineProblemCode> {
  const own = points.filter((point, i) => i === 0 || distance(point, points[i - 1]!) > 1e-9);
  if (own.length < 2) return problem('too-few-points', { field: 'points', detail: { least: 2 } });
  const parts = own.length - 1;
  const starts = new Float64Array(parts + 1);
  for (let i = 0; i < parts; i += 1) starts[i + 1] = starts[i]! + distance(own[i]!, own[i + 1]!);
  const lengthMm = starts[parts]!;
  if (lengthMm < SHORTEST_MM) return problem('line-too-short', { field: 'points', detail: { leastMm: SHORTEST_MM } });
  if (!(lengthMm <= LONGEST_MM)) return problem('line-too-long', { field: 'points', detail: { mostMm: LONGEST_MM } });
  const read = (alongMm: number, out: Float64Array) => {
    let [low, high] = [0, parts];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (starts[middle]! <= alongMm) low = middle;
      else high = middle;
    }
    const [from, to] = [own[low]!, own[low + 1]!];
    const longMm = starts[low + 1]! - starts[low]!;
    const on = alongMm - starts[low]!;
    for (let axis = 0; axis < 3; axis += 1) {
      const way = (to[axis]! - from[axis]!) / longMm;
      out[axis] = from[axis]! + way * on;
      out[axis + 3] = way;
    }
  };
  return ok({ lengthMm, read });
}

const distance = (a: Place, b: Place) => Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
