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
