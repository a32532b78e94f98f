import { swag, swagPoint } from '../linking/swag';
import { ok, problem, type Result } from '../result';
import { PATH_POINTS, type GarlandPathKind } from './kinds';
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
  /** What it runs through, in order, only of one that is drawn. */
  points?: readonly PathPoint[] | undefined;
}

/** A place on a wall: from its middle to the right, and above the floor, mm. */
export interface PathPoint {
  xMm: number;
  zMm: number;
}

export type GarlandPathProblemCode = 'bad-path' | 'drop-too-deep' | 'bad-points' | 'path-crosses' | 'hoop-in-floor';

const MOST_MM = 30_000;
/** Pieces of a bend: each some hand's breadths long. */
const PIECES = 96;
/** Of what is drawn, from one place to the next. */
const PIECES_BETWEEN = 12;
/** Places that are nearer to each other than this are one, mm. */
const ONE_MM = 1;

/**
 * The places that a garland runs through, x from the middle between its ends, z up from the floor, all in one plane: a
 * level line; a catenary between fixings; half an ellipse from floor to floor; a quarter of one from the floor up and over;
 * a straight rise and a level line from its top; up, along and down the edge of a backdrop; once around a ring whose top is
 * so high, from its lowest place on; a smooth line through places that are drawn.
 *
 * Problems: `bad-path` with `wideMm` or `highMm` (above 0, up to 30 m) as its field; `hoop-in-floor` (`leastMm`: its top)
 * with `highMm`; `drop-too-deep` (`mostMm`: to the floor) with `dropMm`; `bad-points` (2 to 12, above the floor, within
 * 30 m) and `path-crosses` (itself, or the floor) with `points`.
 *
 * Source: `swag` for the catenary; an ellipse by its angle; centripetal Catmull-Rom splines, which have no loops between
 * their places (Yuksel, Schaefer and Keyser, Computer-Aided Design 43, 747, 2011).
 */
export function garlandPath(path: GarlandPath): Result<Place[], GarlandPathProblemCode> {
  const { kind, wideMm, highMm, dropMm } = path;
  if (kind === 'own') return drawnPath(path.points ?? []);
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
    case 'backdrop':
      return ok([
        [-half, 0, 0],
        [-half, 0, highMm],
        [half, 0, highMm],
        [half, 0, 0],
      ]);
    case 'hoop':
      if (highMm < wideMm) return problem('hoop-in-floor', { field: 'path.highMm', detail: { leastMm: wideMm } });
      return ok(
        bend(-Math.PI / 2, (-5 * Math.PI) / 2, (angle) => {
          return [half * Math.cos(angle), 0, highMm - half + half * Math.sin(angle)];
        }),
      );
  }
}

function drawnPath(points: readonly PathPoint[]): Result<Place[], GarlandPathProblemCode> {
  const { least, most } = PATH_POINTS;
  const own = points.filter(
    ({ xMm, zMm }, i) => i === 0 || Math.hypot(xMm - points[i - 1]!.xMm, zMm - points[i - 1]!.zMm) > ONE_MM,
  );
  const possible = ({ xMm, zMm }: PathPoint) => Math.abs(xMm) <= MOST_MM && zMm >= 0 && zMm <= MOST_MM;
  if (own.length < least || points.length > most || !own.every(possible))
    return problem('bad-points', { field: 'path.points', detail: { least, most } });
  const line = smoothThrough(own);
  if (line.some(([, , z]) => z < -ONE_MM) || crossesItself(line))
    return problem('path-crosses', { field: 'path.points' });
  return ok(line);
}

/** A smooth line through places in a plane: straight on beyond the first and the last. */
function smoothThrough(points: readonly PathPoint[]): Place[] {
  const at = points.map(({ xMm, zMm }): [number, number] => [xMm, zMm]);
  const beyond = ([x, z]: [number, number], [fromX, fromZ]: [number, number]): [number, number] => [
    2 * x - fromX,
    2 * z - fromZ,
  ];
  const all = [beyond(at[0]!, at[1]!), ...at, beyond(at.at(-1)!, at.at(-2)!)];
  const line: Place[] = [[at[0]![0], 0, at[0]![1]]];
  for (let i = 1; i + 2 < all.length; i += 1) {
    const four = [all[i - 1]!, all[i]!, all[i + 1]!, all[i + 2]!] as const;
    const knots = [0, 0, 0, 0];
    for (let k = 1; k < 4; k += 1)
      knots[k] = knots[k - 1]! + Math.sqrt(Math.hypot(four[k]![0] - four[k - 1]![0], four[k]![1] - four[k - 1]![1]));
    for (let piece = 1; piece <= PIECES_BETWEEN; piece += 1) {
      const t = knots[1]! + ((knots[2]! - knots[1]!) * piece) / PIECES_BETWEEN;
      const [x, z] = [0, 1].map((axis) =>
        blended(
          four.map((each) => each[axis]!),
          knots,
          t,
        ),
      );
      line.push([x!, 0, z!]);
    }
  }
  return line;
}

/** Barry and Goldman's pyramid: lines between values, lines between those, and between those. */
function blended(values: number[], knots: readonly number[], t: number): number {
  let row = values;
  for (let level = 1; level < values.length; level += 1)
    row = Array.from({ length: row.length - 1 }, (_, i) => {
      // The last two are blended between the middle knots alone.
      const [from, to] = level === 3 ? [knots[1]!, knots[2]!] : [knots[i]!, knots[i + level]!];
      return (row[i]! * (to - t) + row[i + 1]! * (t - from)) / (to - from);
    });
  return row[0]!;
}

/** Whether a line in the plane of x and z meets itself. */
function crossesItself(line: readonly Place[]): boolean {
  const side = (a: Place, b: Place, c: Place) => (b[0] - a[0]) * (c[2] - a[2]) - (b[2] - a[2]) * (c[0] - a[0]);
  for (let i = 0; i + 1 < line.length; i += 1)
    for (let j = i + 2; j + 1 < line.length; j += 1) {
      const [a, b, c, d] = [line[i]!, line[i + 1]!, line[j]!, line[j + 1]!];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return true;
    }
  return false;
}
