import { dot } from '../numeric/space';
import type { KnotLine } from './knotLine';
import { readLine } from './soft';

/** A line that turns by more than this within `NEAR_MM` has a corner there, radians. */
const CORNER = 0.6;
const NEAR_MM = 60;
/** It is looked at so often. */
const STEP_MM = 20;

/**
 * How far along a line so many hooks are: at its ends, at its corners, the sharpest first where there are too few for all,
 * and evenly between: each of the others goes where hooks are farthest apart.
 *
 * Source: common practice (hooks low, at the bend, and at the top).
 */
export function hookPlaces(line: KnotLine, count: number): number[] {
  const { lengthMm } = line;
  const corners = cornersOf(line)
    .sort((a, b) => b.turn - a.turn)
    .slice(0, Math.max(0, count - 2))
    .map(({ alongMm }) => alongMm);
  const fixed = [0, ...corners, lengthMm].sort((a, b) => a - b);
  const stretches = fixed.slice(1).map((toMm, i) => ({ fromMm: fixed[i]!, toMm, parts: 1 }));
  for (let left = count - fixed.length; left > 0; left -= 1) {
    const apart = ({ fromMm, toMm, parts }: (typeof stretches)[number]) => (toMm - fromMm) / parts;
    stretches.reduce((most, each) => (apart(each) > apart(most) + 1e-9 ? each : most)).parts += 1;
  }
  return [
    0,
    ...stretches.flatMap(({ fromMm, toMm, parts }) =>
      Array.from({ length: parts }, (_, i) => fromMm + ((i + 1) * (toMm - fromMm)) / parts),
    ),
  ];
}

/** Corners of a line, and by how much it turns at each, radians. */
function cornersOf(line: KnotLine): { alongMm: number; turn: number }[] {
  const turnAt = (alongMm: number) => {
    const [before, after] = [-1, 1].map((way) => readLine(line, alongMm + (way * NEAR_MM) / 2).along);
    return Math.acos(Math.max(-1, Math.min(1, dot(before!, after!))));
  };
  const corners: { alongMm: number; turn: number; untilMm: number }[] = [];
  for (let alongMm = NEAR_MM; alongMm < line.lengthMm - NEAR_MM; alongMm += STEP_MM) {
    const turn = turnAt(alongMm);
    if (turn < CORNER) continue;
    const last = corners.at(-1);
    // One corner is seen from several places near it: it lies in the middle of them.
    if (last && alongMm - last.untilMm < 2 * STEP_MM) {
      last.alongMm += (alongMm - last.untilMm) / 2;
      last.untilMm = alongMm;
      last.turn = Math.max(last.turn, turn);
    } else corners.push({ alongMm, turn, untilMm: alongMm });
  }
  return corners;
}
