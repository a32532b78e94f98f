const MM3_PER_LITRE = 1e6;

/**
 * Volume of a sphere `widthMm` across, in litres: V = pi d^3 / 6.
 *
 * Source: any handbook of mathematical formulas (volume of a sphere).
 */
export function sphereVolumeL({ widthMm }: { widthMm: number }): number {
  return bodyVolumeL({ widthMm, heightMm: widthMm });
}

/**
 * Volume of a balloon's body in litres, taken as a spheroid with two axes of `widthMm` and one of `heightMm`:
 * V = pi w^2 h / 6. The neck is left out.
 *
 * Source: any handbook of mathematical formulas (volume of an ellipsoid).
 */
export function bodyVolumeL({ widthMm, heightMm }: { widthMm: number; heightMm: number }): number {
  return ((Math.PI / 6) * widthMm * widthMm * heightMm) / MM3_PER_LITRE;
}

/**
 * The width (mm) of a body that holds `volumeL` litres at `aspect` (height / width): the inverse of `bodyVolumeL`.
 * 0 for a volume of 0 or less.
 */
export function widthForVolumeMm({ volumeL, aspect = 1 }: { volumeL: number; aspect?: number }): number {
  if (!(volumeL > 0)) return 0;
  return Math.cbrt((6 * volumeL * MM3_PER_LITRE) / (Math.PI * aspect));
}
