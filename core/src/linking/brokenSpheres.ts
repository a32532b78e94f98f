import type { OneWrong } from './oneWrong';
import type { Sphere } from './spheres';

/** Where a ring stands open: between two balloons, mm. */
export interface RingGap {
  from: { xMm: number; yMm: number; zMm: number };
  to: { xMm: number; yMm: number; zMm: number };
}

/**
 * A piece with one balloon off its size: it has its own width; where its ring buckles it is pushed outwards and up by
 * the lift, where the ring stays open it keeps to one neighbour, and the gap is towards the other.
 */
export function brokenSpheres({
  spheres,
  at,
  offMm,
  wrong,
}: {
  spheres: readonly Sphere[];
  /** Which balloon. */
  at: number;
  offMm: number;
  wrong: OneWrong;
}): { spheres: Sphere[]; gap: RingGap | null } {
  const balloon = spheres[at]!;
  const ring = spheres.filter(({ layer, tie }) => layer === balloon.layer && tie === balloon.tie);
  const radius = Math.hypot(balloon.xMm, balloon.yMm);
  const moved: Sphere = { ...balloon, widthMm: balloon.widthMm + offMm };
  if (wrong.state === 'buckles' && radius > 0) {
    const out = wrong.liftMm * Math.SQRT1_2;
    Object.assign(moved, {
      xMm: balloon.xMm * (1 + out / radius),
      yMm: balloon.yMm * (1 + out / radius),
      zMm: balloon.zMm + out,
    });
  }
  let gap: RingGap | null = null;
  if (wrong.state === 'opens' && radius > 0 && ring.length > 2) {
    // Its pitch to the neighbour before it is shorter by half of what it is off, so it and its far joint draw back by
    // that.
    const angle = Math.atan2(balloon.yMm, balloon.xMm) + offMm / 2 / radius;
    Object.assign(moved, { xMm: radius * Math.cos(angle), yMm: radius * Math.sin(angle) });
    const next = ring[(ring.indexOf(balloon) + 1) % ring.length]!;
    const apart = Math.hypot(next.xMm - moved.xMm, next.yMm - moved.yMm);
    const between = (share: number) => ({
      xMm: moved.xMm + (next.xMm - moved.xMm) * share,
      yMm: moved.yMm + (next.yMm - moved.yMm) * share,
      zMm: moved.zMm,
    });
    gap = { from: between(moved.widthMm / 2 / apart), to: between(1 - next.widthMm / 2 / apart) };
  }
  return { spheres: spheres.map((sphere, i) => (i === at ? moved : sphere)), gap };
}
