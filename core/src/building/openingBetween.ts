/**
 * Across the largest ball that passes between three balls, in the plane of their centres: twice the radius of the circle
 * that touches all three from outside; 0 where nothing passes. Any one unit of length.
 *
 * Source: the problem of Apollonius; of three that touch, Descartes' circle theorem (any handbook of geometry).
 */
export function openingBetween({
  radii: { a, b, c },
  apart: { ab, ac, bc },
}: {
  radii: { a: number; b: number; c: number };
  /** From centre to centre. */
  apart: { ab: number; ac: number; bc: number };
}): number {
  const cx = (ab * ab + ac * ac - bc * bc) / (2 * ab);
  const cy = Math.sqrt(Math.max(0, ac * ac - cx * cx));
  if (cy === 0) return 0;
  // What is r farther from all three centres than their radii lies on a straight line in r: x0 + x1 r, y0 + y1 r.
  const x0 = (ab * ab + a * a - b * b) / (2 * ab);
  const x1 = (a - b) / ab;
  const y0 = (ac * ac + a * a - c * c - 2 * cx * x0) / (2 * cy);
  const y1 = (a - c - cx * x1) / cy;
  const square = x1 * x1 + y1 * y1 - 1;
  const half = x0 * x1 + y0 * y1 - a;
  const still = x0 * x0 + y0 * y0 - a * a;
  const root = half * half - square * still;
  if (root < 0 || square === 0) return 0;
  return Math.max(0, (2 * (-half - Math.sqrt(root))) / square);
}
