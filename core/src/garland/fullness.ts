import { ok, problem, type Result } from '../result';
import { FULLNESS } from './kinds';

export type FullnessProblemCode = 'bad-fullness';

/**
 * How full a garland is so far along it, by places evenly from its beginning to its end, straight from one to the next.
 *
 * `share`: 0 at its beginning to 1 at its end.
 */
export function fullnessAt(curve: readonly number[], share: number): number {
  if (curve.length < 2) return curve[0] ?? FULLNESS.least;
  const at = Math.min(Math.max(share, 0), 1) * (curve.length - 1);
  const from = Math.min(Math.floor(at), curve.length - 2);
  return curve[from]! + (at - from) * (curve[from + 1]! - curve[from]!);
}

/**
 * How many times as wide balloons are that take as much room as `full` times as many of them.
 *
 * Source: volume grows with the cube of the width.
 */
export const widerBy = (full: number): number => Math.cbrt(full);

/**
 * How many clusters are tied over each of those along the line so that there are `fullness` times as many balloons there:
 * what is over a whole one is carried on to the next, so that in all there are as many as the curve asks for.
 *
 * Problems: `bad-fullness` (1 to 3) with `fullness.<i>` as its field.
 */
export function layersOver(curve: readonly number[], clusters: number): Result<number[], FullnessProblemCode> {
  const bad = curve.findIndex((full) => !(full >= FULLNESS.least && full <= FULLNESS.most));
  if (bad >= 0) return problem('bad-fullness', { field: `fullness.${bad}`, detail: FULLNESS });
  let asked = 0;
  let put = 0;
  return ok(
    Array.from({ length: clusters }, (_, k) => {
      asked += fullnessAt(curve, (k + 0.5) / clusters) - 1;
      const here = Math.round(asked) - put;
      put += here;
      return here;
    }),
  );
}
