import type { Trade } from '../trade';
import { layUneven, roomFor, type Laid } from './layUneven';
import { openingBetween } from './openingBetween';
import type { UnevenPlan } from './unevenPlan';

/** What of a piece can be seen to be wrong. */
export const PIECE_FAULTS = ['height', 'mismatch', 'lean', 'gap', 'opening', 'drift'] as const;
export type PieceFault = (typeof PIECE_FAULTS)[number];

/** How one fault is measured on a piece, mm. */
export interface FaultMeter {
  fault: PieceFault;
  of: (laid: Laid) => number;
  /** What it is while no balloon is off. */
  evenMm: number;
  /** So far from that it is seen. */
  seenMm: number;
}

/**
 * What is measured on a stack, each against what the eye lets pass (`trade.seen`). Gaps, openings and drifts are taken
 * as shares of the widths of their own layers, and told as they are on balloons of the piece's mean width.
 */
export function faultMeters(
  plan: UnevenPlan,
  { fixedMm, twin = false, trade }: { fixedMm: number; twin?: boolean | undefined; trade: Trade },
): FaultMeter[] {
  const { layers, widthsMm, stack, heldBy } = plan;
  const { seen } = trade;
  const meanMm = widthsMm.reduce((sum, widthMm) => sum + widthMm, 0) / widthsMm.length;
  const heightMm = stack.heightMm + fixedMm;
  // Of a low piece nobody sees so small a share as of a high one.
  const leastMm = seen.low * meanMm;
  const of = (laid: Laid) => laid.heightMm + fixedMm;
  const seenMm = (ofMm: number) => Math.max(leastMm, seen.height * ofMm);
  const meters: FaultMeter[] = [
    twin
      ? { fault: 'mismatch', of: halvesOff, evenMm: 0, seenMm: seenMm(heightMm / 2) }
      : { fault: 'height', of, evenMm: heightMm, seenMm: seenMm(heightMm) },
  ];
  if (heldBy === 'line' && layers.length > 1) {
    const top = layers.length - 1;
    const of = ({ xMm, yMm }: Laid) => Math.hypot(xMm[top]!, yMm[top]!);
    meters.push({ fault: 'lean', of, evenMm: 0, seenMm: Math.max(leastMm, seen.lean * heightMm) });
  }
  if (plan.contacts > 0)
    meters.push({ fault: 'gap', of: (laid) => meanMm * widestGap(plan, laid), evenMm: 0, seenMm: seen.gap * meanMm });
  // What is seen through an opening is the pole.
  if (heldBy === 'pole' && layers.some(({ openings }) => openings.length > 0)) {
    const even = openingsOf(plan);
    const of = (laid: Laid) => meanMm * widestOpening(plan, laid, even);
    meters.push({ fault: 'opening', of, evenMm: 0, seenMm: seen.opening * meanMm });
  }
  if (layers.some(({ count }) => count > 2))
    meters.push({
      fault: 'drift',
      of: (laid) => meanMm * farthestDrift(plan, laid),
      evenMm: 0,
      seenMm: seen.drift * meanMm,
    });
  return meters;
}

/** How much longer one half of a rope is than the other, mm: each from its first duplet to its last. */
function halvesOff({ zMm }: Laid): number {
  const half = zMm.length / 2;
  return Math.abs(zMm[half - 1]! - zMm[0]! - (zMm[2 * half - 1]! - zMm[half]!));
}

/** The widest gap between balloons that should touch, as a share of their layer's width. */
function widestGap({ layers }: UnevenPlan, { gapsMm }: Laid): number {
  let widest = 0;
  for (const { firstContact, uppers, widthMm } of layers) {
    for (let m = firstContact; m < firstContact + uppers.length; m += 1)
      if (gapsMm[m]! > widest * widthMm) widest = gapsMm[m]! / widthMm;
  }
  return widest;
}

/** The openings of an even stack, by layer: all of a layer are alike, mm across. */
function openingsOf(plan: UnevenPlan): Float64Array {
  const laid = roomFor(plan);
  layUneven(plan, laid);
  return Float64Array.from(plan.layers, (layer, i) => (layer.openings.length > 0 ? openingMm(plan, laid, i, 0) : 0));
}

/** How much wider than in an even stack an opening is at most, as a share of its layer's width. */
function widestOpening(plan: UnevenPlan, laid: Laid, even: Float64Array): number {
  let widest = 0;
  for (let i = 0; i < plan.layers.length; i += 1) {
    const { openings, widthMm } = plan.layers[i]!;
    for (let o = 0; o < openings.length; o += 2) {
      const wider = (openingMm(plan, laid, i, o) - even[i]!) / widthMm;
      if (wider > widest) widest = wider;
    }
  }
  return widest;
}

/** The opening between the balloons of two contacts of a layer, mm across: the two below touch, the third is as far off as its gaps say. */
function openingMm({ layers }: UnevenPlan, { widthsMm, gapsMm }: Laid, i: number, o: number): number {
  const { openings, uppers, lowers, firstContact } = layers[i]!;
  const m = openings[o]!;
  const n = openings[o + 1]!;
  const a = widthsMm[lowers[m - firstContact]!]! / 2;
  const b = widthsMm[lowers[n - firstContact]!]! / 2;
  const c = widthsMm[uppers[m - firstContact]!]! / 2;
  return openingBetween({ radii: { a, b, c }, apart: { ab: a + b, ac: a + c + gapsMm[m]!, bc: b + c + gapsMm[n]! } });
}

/** How far a balloon is beside its place around the layer at most, as a share of its layer's width. */
function farthestDrift({ layers }: UnevenPlan, { angles, radiiMm }: Laid): number {
  let farthest = 0;
  for (let i = 0; i < layers.length; i += 1) {
    const { first, count, turn, widthMm } = layers[i]!;
    for (let k = 0; k < count; k += 1) {
      const off = Math.abs(angles[first + k]! - turn - (2 * Math.PI * k) / count);
      farthest = Math.max(farthest, (off * radiiMm[i]!) / widthMm);
    }
  }
  return farthest;
}
