/** What can be given: half a stroke, a tenth of a second. */
const STEP = { strokes: 0.5, seconds: 0.1 } as const;

/**
 * What to add to a dose (strokes, or seconds where `timed`) so that balloons come out `byMm` wider than they do, below 0
 * to let out, in steps that can be given; 0 where it is less than half of one. Air goes with the cube of the
 * width: a dose of d fills to w, so w + by takes d (w + by)^3 / w^3.
 *
 * Source: volume of similar bodies; common practice has width grow with the cube root of strokes.
 */
export function doseChange({
  dose,
  widthMm,
  byMm,
  timed,
}: {
  dose: number;
  widthMm: number;
  byMm: number;
  timed: boolean;
}): number {
  const step = timed ? STEP.seconds : STEP.strokes;
  const exact = dose * ((1 + byMm / widthMm) ** 3 - 1);
  return Math.round(exact / step) * step + 0;
}
