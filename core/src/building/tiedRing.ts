import type { Vec } from '../numeric/space';

/** One balloon that is tied to something by its neck. */
export interface TiedPlace {
  /** Its place in the ring. */
  place: number;
  xMm: number;
  yMm: number;
  zMm: number;
  /** From its middle to its neck, of length 1. */
  neck: Vec;
}

/**
 * A ring of balloons around something that runs from left to right: their middles on a circle about a point of it, square
 * to it, their necks towards that point.
 *
 * `turn`: of the first balloon about the point, radians, from `out` towards the back. `out`: a direction of length 1 across
 * what it is tied to, in the plane from left to right and up.
 */
export function tiedRing({
  count,
  turn,
  radiusMm,
  at: [xMm, zMm],
  out: [outX, outZ],
}: {
  count: number;
  turn: number;
  radiusMm: number;
  at: readonly [xMm: number, zMm: number];
  out: readonly [x: number, z: number];
}): TiedPlace[] {
  return Array.from({ length: count }, (_, place) => {
    const around = turn + (2 * Math.PI * place) / count;
    const [along, back] = [Math.cos(around), Math.sin(around)];
    return {
      place,
      xMm: xMm + radiusMm * along * outX,
      yMm: radiusMm * back,
      zMm: zMm + radiusMm * along * outZ,
      neck: [-along * outX, -back, -along * outZ],
    };
  });
}
