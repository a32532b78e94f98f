import { TRADE, type Trade } from '../trade';

/** What stands on a piece: a balloon that rests on the topmost layer, or a figure or a spray of a height of its own. */
export type Topper =
  { kind: 'balloon'; widthMm: number; aspect?: number | undefined } | { kind: 'figure'; heightMm: number };

/**
 * How large a topper must be at least so as not to look lost on balloons of a width, mm; null where it is so large.
 *
 * `widthMm`: of the balloons that it stands on.
 *
 * Source: common practice: 30 in or more on 11 in balloons.
 */
export function leastTopperMm({
  topper,
  widthMm,
  trade = TRADE,
}: {
  topper: Topper | null;
  widthMm: number;
  trade?: Trade | undefined;
}): number | null {
  if (topper === null) return null;
  const leastMm = trade.topperShare * widthMm;
  return (topper.kind === 'balloon' ? topper.widthMm : topper.heightMm) < leastMm ? leastMm : null;
}

/** Modelling balloons of a spray by the nominal width they are sold as, inches (common practice). */
const SPRAYS = [
  { widthIn: 2, many: 40 },
  { widthIn: 3, many: 10 },
] as const;
const MM_PER_IN = 25.4;

/** How many modelling balloons make a full spray: forty of the 260, ten of the 350 and of wider ones (common practice). */
export function sprayOf(widthMm: number): number {
  return SPRAYS.findLast(({ widthIn }) => widthMm >= widthIn * MM_PER_IN - 1e-6)?.many ?? SPRAYS[0].many;
}
