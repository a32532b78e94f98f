import { TRADE, type Trade } from '../trade';
import type { ModellingSize } from './code';

/** Up to two inches and a half across they go like the thin ones. */
const THIN_MM = 63.5;

/** How many of a size twist together at their middles. */
export function mostInSpray({ widthMm }: Pick<ModellingSize, 'widthMm'>, trade: Trade = TRADE): number {
  const { wide, thin } = trade.sprayMost;
  return widthMm <= THIN_MM ? thin : wide;
}
