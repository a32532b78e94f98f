import type { CalibrationFit } from './fitCalibration';
import { predictWidth } from './predict';
import { aspectAt } from './shapeLaw';

/** A mean difference with its standard uncertainty. */
export interface Difference {
  mean: number;
  sd: number;
  /** Whether it is more than the readings' uncertainty could make: two deviations or more from zero. */
  shown: boolean;
}

/** What preparing a balloon another way changes. */
export interface PreparationEffect {
  /** Aspect of the second less that of the first, over the widths both saw; `null` when there are none. */
  aspect: Difference | null;
  /**
   * Width of the second less that of the first at equal dose, mm; `null` with different inflators or no common doses.
   */
  widthMm: Difference | null;
}

const PLACES = 9;

/**
 * Compares two calibrations of one model: pre-stretched against not, rounded off against not. Differences are taken
 * at evenly spaced widths (or doses) that both calibrations reach and averaged; their uncertainty is taken as shared
 * along the curve, which errs on the wide side.
 */
export function comparePreparations({
  first,
  second,
  sameInflator,
}: {
  first: CalibrationFit;
  second: CalibrationFit;
  /** Only then do equal doses mean equal air. */
  sameInflator: boolean;
}): PreparationEffect {
  const shaped = first.shape.seen && second.shape.seen;
  const widths = places(
    Math.max(first.smallestWidthMm, second.smallestWidthMm),
    Math.min(first.largestWidthMm, second.largestWidthMm),
  );
  const doses = sameInflator
    ? places(Math.max(first.lowestDose, second.lowestDose), Math.min(first.highestDose, second.highestDose))
    : [];
  return {
    aspect: shaped ? averaged(widths.map((widthMm) => aspectDifference(first, second, widthMm))) : null,
    widthMm: averaged(doses.flatMap((dose) => widthDifference(first, second, dose) ?? [])),
  };
}

interface OneDifference {
  value: number;
  sd: number;
}

function aspectDifference(a: CalibrationFit, b: CalibrationFit, widthMm: number): OneDifference {
  const of = ({ shape }: CalibrationFit) => aspectAt({ law: shape, widthMm });
  return { value: of(b).aspect - of(a).aspect, sd: Math.hypot(of(a).seenSd, of(b).seenSd) };
}

function widthDifference(a: CalibrationFit, b: CalibrationFit, dose: number): OneDifference | null {
  const of = (fit: CalibrationFit) => predictWidth({ fit, dose });
  const [one, two] = [of(a), of(b)];
  if (!one.ok || !two.ok) return null;
  const sdOf = ({ lowMm, highMm }: { lowMm: number; highMm: number }) => (highMm - lowMm) / (2 * 1.96);
  return { value: two.value.widthMm - one.value.widthMm, sd: Math.hypot(sdOf(one.value), sdOf(two.value)) };
}

function averaged(differences: readonly OneDifference[]): Difference | null {
  if (differences.length === 0) return null;
  const meanOf = (pick: (one: OneDifference) => number) =>
    differences.reduce((sum, one) => sum + pick(one), 0) / differences.length;
  const mean = meanOf(({ value }) => value);
  const sd = meanOf((one) => one.sd);
  return { mean, sd, shown: Math.abs(mean) >= 2 * sd };
}

/** Evenly spaced places from one end to the other; none when the ends cross. */
function places(from: number, to: number): number[] {
  if (!(to >= from)) return [];
  return Array.from({ length: PLACES }, (_, i) => from + ((to - from) * i) / (PLACES - 1));
}
