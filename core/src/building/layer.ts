/** One layer of a stack: balloons tied by their necks around one point, so that each lies with its neck inwards. */
export interface Layer {
  count: number;
  /** Width of its balloons, mm. */
  widthMm: number;
  /** Crown to neck over width; 1 where nothing is said. A single balloon stands on its neck, the others lie. */
  aspect?: number | undefined;
}

/** Half of what a balloon of a layer takes up outwards from the middle, along the ring, and upwards, mm. */
export interface HalfAxes {
  outMm: number;
  acrossMm: number;
  upMm: number;
}

export function halfAxes({ count, widthMm, aspect = 1 }: Layer): HalfAxes {
  const [short, long] = [widthMm / 2, (widthMm * aspect) / 2];
  return count === 1 ? { outMm: short, acrossMm: short, upMm: long } : { outMm: long, acrossMm: short, upMm: short };
}

/**
 * How far from the middle the centres of a ring of touching balloons lie, mm. Neighbours are mirror images in the upright
 * plane between them, so they touch where each touches that plane: R sin(pi / n) is what a spheroid reaches towards it,
 * R^2 = a^2 + b^2 cot^2(pi / n). Spheres give R = w / (2 sin(pi / n)); two lie end to end.
 *
 * Source: support function of an ellipsoid (any handbook of convex geometry).
 */
export function ringRadiusMm(layer: Layer): number {
  if (layer.count === 1) return 0;
  const { outMm, acrossMm } = halfAxes(layer);
  return Math.hypot(outMm, layer.count === 2 ? 0 : acrossMm / Math.tan(Math.PI / layer.count));
}
