/**
 * Length of a helix of `turns` turns on a cylinder `diameterMm` across, `pitchMm` along for each turn: turns x
 * sqrt((pi D)^2 + pitch^2).
 *
 * Source: any handbook of geometry (cylindrical helix).
 */
export function helixLengthMm({
  diameterMm,
  pitchMm,
  turns,
}: {
  diameterMm: number;
  pitchMm: number;
  turns: number;
}): number {
  return turns * Math.hypot(Math.PI * diameterMm, pitchMm);
}
