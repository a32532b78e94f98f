import type { BatchJudgement } from '../consistency';

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

/**
 * What to add to a dose so that a batch that leans comes back to its target. Where only answers at a hole are known they
 * say that balloons lie beyond the tolerance, hardly how far: then no more is changed than the tolerance, and the next
 * check tells the rest.
 */
export function doseAgainstLean({
  dose,
  timed,
  targetMm,
  toleranceMm,
  lately: { meanMm, basis },
}: {
  dose: number;
  timed: boolean;
  targetMm: number;
  toleranceMm: number;
  lately: Pick<BatchJudgement, 'meanMm' | 'basis'>;
}): number {
  if (meanMm === null) return 0;
  const most = basis === 'answers' ? toleranceMm : Infinity;
  const byMm = Math.max(-most, Math.min(most, targetMm - meanMm));
  return doseChange({ dose, widthMm: targetMm, byMm, timed });
}
