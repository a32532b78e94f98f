/** From the side, a little from above; or straight from above. */
export type Seen = 'side' | 'above';

export interface Place {
  xMm: number;
  yMm: number;
  zMm: number;
}

/** A handle then lies across; turns are radians. */
export const FIRST_TURN = -0.42;
/** How far from above the side view looks down. */
const TILT = 0.3;

/** Where a point stands on the screen, mm, y downwards; nearer points have a larger depth. */
export function projector(seen: Seen, turn: number): (place: Place) => { x: number; y: number; depth: number } {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [up, down] = seen === 'above' ? [0, 1] : [Math.cos(TILT), Math.sin(TILT)];
  return ({ xMm, yMm, zMm }) => {
    const x = xMm * cos - yMm * sin;
    const back = xMm * sin + yMm * cos;
    return { x, y: -zMm * up - back * down, depth: zMm * down - back * up };
  };
}

/** The half of a line across a piece, such as a handle's, whose foot is nearer. */
export function nearerHalf<Point extends { depth: number }>(line: readonly Point[]): Point[] {
  const middle = Math.floor(line.length / 2);
  const halves = [line.slice(0, middle + 1), line.slice(middle)];
  const nearness = (half: readonly Point[]) => Math.min(half[0]?.depth ?? 0, half.at(-1)?.depth ?? 0);
  return halves.sort((p, q) => nearness(q) - nearness(p))[0]!;
}
