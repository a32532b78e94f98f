import { TRADE, type Trade } from '../trade';
import type { Closing } from './closing';
import type { Form, FormLayer } from './form';
import { oneWrong, type OneWrong } from './oneWrong';
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
function brokenSpheres({
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

/**
 * One balloon of a closed form off its size: in a ring it breaks the ring, with what is wrong there; elsewhere, where
 * nothing closes through it, it only has its own width.
 */
export function pullOne({
  spheres,
  closing,
  form,
  at,
  offMm,
  trade = TRADE,
}: {
  spheres: readonly Sphere[];
  closing: Closing;
  form: Pick<Form, 'layers'>;
  at: number;
  offMm: number;
  trade?: Trade | undefined;
}): { spheres: Sphere[]; gap: RingGap | null; wrong: OneWrong | null } {
  const sphere = spheres[at]!;
  const closes = ({ role }: FormLayer) => role === 'ring' || role === 'inner-spokes';
  const layer = form.layers[sphere.layer];
  if (sphere.tie || !layer || !closes(layer)) {
    const moved = spheres.map((each, i) => (i === at ? { ...each, widthMm: each.widthMm + offMm } : each));
    return { spheres: moved, gap: null, wrong: null };
  }
  const ring = form.layers.slice(0, sphere.layer).filter(closes).length;
  const wrong = oneWrong({ closing, ring, offMm, trade });
  return { ...brokenSpheres({ spheres, at, offMm, wrong }), wrong };
}
