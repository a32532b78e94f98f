import { TRADE, type Trade } from '../trade';

/** The three shapes a balloon goes through as it fills. Pear is over-filled. */
export const SHAPES = ['round', 'oval', 'pear'] as const;
export type Shape = (typeof SHAPES)[number];

/** The shape of a body with this aspect (height / width). Slightly flat counts as round. */
function shapeOfAspect(aspect: number, trade: Trade): Shape {
  if (aspect <= trade.roundAspect) return 'round';
  return aspect <= trade.ovalAspect ? 'oval' : 'pear';
}

/**
 * The shape of a body `widthMm` across and `heightMm` from crown to neck. Limits: `TRADE.roundAspect`, `ovalAspect`.
 */
export function shapeOf({
  widthMm,
  heightMm,
  trade = TRADE,
}: {
  widthMm: number;
  heightMm: number;
  trade?: Trade | undefined;
}): Shape {
  return shapeOfAspect(heightMm / widthMm, trade);
}
