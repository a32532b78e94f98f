import { TRADE } from '../trade';

/** The three shapes a balloon goes through as it fills. Pear is over-filled. */
export const SHAPES = ['round', 'oval', 'pear'] as const;
export type Shape = (typeof SHAPES)[number];

/** The shape of a body with this aspect (height / width). Slightly flat counts as round. */
function shapeOfAspect(aspect: number): Shape {
  if (aspect <= TRADE.roundAspect) return 'round';
  return aspect <= TRADE.ovalAspect ? 'oval' : 'pear';
}

/**
 * The shape of a body `widthMm` across and `heightMm` from crown to neck. Limits: `TRADE.roundAspect`, `ovalAspect`.
 */
export function shapeOf({ widthMm, heightMm }: { widthMm: number; heightMm: number }): Shape {
  return shapeOfAspect(heightMm / widthMm);
}
