import { dot, type Vec } from '../numeric/space';

/**
 * How far along a direction of length 1 a ball has to go until it has left another behind that it then just touches, mm;
 * null where it passes it by.
 *
 * `to`: from its middle to that of the other, mm. `apartMm`: of their middles when they touch.
 */
export function leavesAt(to: Vec, along: Vec, apartMm: number): number | null {
  const on = dot(to, along);
  const asideSquare = dot(to, to) - on * on;
  return asideSquare < apartMm * apartMm ? on + Math.sqrt(apartMm * apartMm - asideSquare) : null;
}
