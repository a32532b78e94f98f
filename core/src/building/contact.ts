import type { HalfAxes } from './layer';

/** A balloon of a ring: how large, how far from the middle, and in which direction, radians. */
export interface PlacedBalloon {
  axes: HalfAxes;
  radiusMm: number;
  angle: number;
}

/** Halvings of golden section: from 1 to 1e-10. */
const SECTIONS = 48;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * How far above the centre of one balloon that of another stands when it comes down on it, mm; null where it passes
 * beside it. Both lie level. Two ellipsoids with shape matrices A and B (squared half axes) and r between their centres
 * are apart while some s in (0, 1) has s (1 - s) r' [(1 - s) A + s B]^-1 r > 1, so they touch at the least height for
 * which none has more: z^2 = min over s of m(s) (1 / (s (1 - s)) - q(s)), with m the upward part of the bracket and q
 * the level one. For spheres that is z^2 = (r1 + r2)^2 - d^2.
 *
 * Source: contact function of Perram and Wertheim (J. Comput. Phys. 58, 1985).
 */
export function restsAtMm(lower: PlacedBalloon, upper: PlacedBalloon): number | null {
  const x = upper.radiusMm * Math.cos(upper.angle) - lower.radiusMm * Math.cos(lower.angle);
  const y = upper.radiusMm * Math.sin(upper.angle) - lower.radiusMm * Math.sin(lower.angle);
  const squared = isBall(lower.axes) && isBall(upper.axes) ? ballsApart(lower, upper, x, y) : apart(lower, upper, x, y);
  return squared > 0 ? Math.sqrt(squared) : null;
}

const isBall = ({ outMm, acrossMm, upMm }: HalfAxes) => outMm === acrossMm && outMm === upMm;

const ballsApart = (lower: PlacedBalloon, upper: PlacedBalloon, x: number, y: number) =>
  (lower.axes.upMm + upper.axes.upMm) ** 2 - x * x - y * y;

/** The level part of a shape matrix: of a balloon that points outwards at an angle. */
function levelPart({ axes: { outMm, acrossMm }, angle }: PlacedBalloon): [xx: number, xy: number, yy: number] {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const [a, b] = [outMm * outMm, acrossMm * acrossMm];
  return [a * c * c + b * s * s, (a - b) * c * s, a * s * s + b * c * c];
}

function apart(lower: PlacedBalloon, upper: PlacedBalloon, x: number, y: number): number {
  const [ax, axy, ay] = levelPart(lower);
  const [bx, bxy, by] = levelPart(upper);
  const [au, bu] = [lower.axes.upMm ** 2, upper.axes.upMm ** 2];
  const squaredAt = (s: number) => {
    const [xx, xy, yy] = [(1 - s) * ax + s * bx, (1 - s) * axy + s * bxy, (1 - s) * ay + s * by];
    const level = (yy * x * x - 2 * xy * x * y + xx * y * y) / (xx * yy - xy * xy);
    return ((1 - s) * au + s * bu) * (1 / (s * (1 - s)) - level);
  };
  // What is below any height is one stretch of s: the function has a single valley.
  let [low, high] = [0, 1];
  let [left, right] = [1 - GOLDEN, GOLDEN];
  let [atLeft, atRight] = [squaredAt(left), squaredAt(right)];
  for (let i = 0; i < SECTIONS; i += 1) {
    if (atLeft < atRight) {
      [high, right, atRight] = [right, left, atLeft];
      left = high - GOLDEN * (high - low);
      atLeft = squaredAt(left);
    } else {
      [low, left, atLeft] = [left, right, atRight];
      right = low + GOLDEN * (high - low);
      atRight = squaredAt(right);
    }
  }
  return Math.min(atLeft, atRight);
}
