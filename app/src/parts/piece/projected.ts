interface Place {
  xMm: number;
  yMm: number;
  zMm: number;
}

/** A still is seen from the side and a little from above, turned so that a handle lies across; radians. */
const TURN = -0.42;
const TILT = 0.3;
const [COS, SIN] = [Math.cos(TURN), Math.sin(TURN)];
const [UP, DOWN] = [Math.cos(TILT), Math.sin(TILT)];

/** Where a point of a still stands, mm, y downwards; nearer points have a larger depth. */
export function projected({ xMm, yMm, zMm }: Place): { x: number; y: number; depth: number } {
  const back = xMm * SIN + yMm * COS;
  return { x: xMm * COS - yMm * SIN, y: -zMm * UP - back * DOWN, depth: zMm * DOWN - back * UP };
}

/** The half of a line across a piece, such as a handle's, whose foot is nearer. */
export function nearerHalf<Point extends { depth: number }>(line: readonly Point[]): Point[] {
  const middle = Math.floor(line.length / 2);
  const halves = [line.slice(0, middle + 1), line.slice(middle)];
  const nearness = (half: readonly Point[]) => Math.min(half[0]?.depth ?? 0, half.at(-1)?.depth ?? 0);
  return halves.sort((p, q) => nearness(q) - nearness(p))[0]!;
}
