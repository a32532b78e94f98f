import { swag, swagPoint } from '../linking/swag';
import { ok, problem, type Result } from '../result';
import type { GarlandPathKind } from './kinds';
import type { Place } from './knotLine';

/** Where a garland runs, from left to right before a wall. */
export interface GarlandPath {
  kind: GarlandPathKind;
  /** From its left end to its right one, mm. */
  wideMm: number;
  /** Of what is level, of the fixings, or of its top, above the floor, mm. */
  highMm: number;
  /** How far it hangs down between its fixings, mm; only of one that does. */
  dropMm: number;
}

export type GarlandPathProblemCode = 'bad-path' | 'drop-too-deep';

const MOST_MM = 30_000;
/** Pieces of a bend: each some hand's breadths long. */
const PIECES = 96;

/**
 * The places that a garland runs through, x from the middle between its ends, z up from the floor, all in one plane: a
 * level line; a catenary between fixings; half an ellipse from floor to floor; a quarter of one from the floor up and over;
 * a straight rise and a level line from its top.
 *
 * Problems: `bad-path` with `wideMm` or `highMm` (above 0, up to 30 m) as its field; `drop-too-deep` (`mostMm`: to the
 * floor) with `dropMm`.
 *
 * Source: `swag` for the catenary; an ellipse by its angle.
 */
export function garlandPath({ kind, wideMm, highMm, dropMm }: GarlandPath): Result<Place[], GarlandPathProblemCode> {
  if (!(wideMm > 0 && wideMm <= MOST_MM)) return problem('bad-path', { field: 'path.wideMm' });
  if (!(highMm > 0 && highMm <= MOST_MM)) return problem('bad-path', { field: 'path.highMm' });
  const half = wideMm / 2;
  const bend = (from: number, to: number, at: (angle: number) => Place) =>
    Array.from({ length: PIECES + 1 }, (_, i) => at(from + ((to - from) * i) / PIECES));
  switch (kind) {
    case 'straight':
      return ok([
        [-half, 0, highMm],
        [half, 0, highMm],
      ]);
    case 'droop': {
      if (!(dropMm >= 0 && dropMm < highMm))
        return problem('drop-too-deep', { field: 'path.dropMm', detail: { mostMm: highMm } });
      const hung = swag({ spanMm: wideMm, dropMm });
      // So flat that no string hangs so, it is level.
      if (!hung.ok) return garlandPath({ kind: 'straight', wideMm, highMm, dropMm });
      const { lengthMm } = hung.value;
      return ok(
        bend(0, lengthMm, (along) => {
          const { xMm, yMm } = swagPoint(hung.value, along);
          return [xMm - half, 0, highMm - yMm];
        }),
      );
    }
    case 'arch':
      return ok(bend(Math.PI, 0, (angle) => [half * Math.cos(angle), 0, highMm * Math.sin(angle)]));
    case 'half-arch':
      return ok(bend(Math.PI, Math.PI / 2, (angle) => [half + wideMm * Math.cos(angle), 0, highMm * Math.sin(angle)]));
    case 'corner':
      return ok([
        [-half, 0, 0],
        [-half, 0, highMm],
        [half, 0, highMm],
      ]);
  }
}
