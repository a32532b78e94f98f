import type { InflatorKind, Nozzle } from '../inflator';
import { quadraticForm, t95 } from '../statistics';
import type { ReadingErrors } from './readingErrors';
import { growthAt } from './lengthening';
import type { ShapeLaw } from './shapeLaw';

/**
 * What a curve is made of, in the order of its covariance: the dead volume, what a dose adds, half of what the left
 * nozzle adds more than the right, and how fast a shape nobody measured grows longer.
 */
export type CurveTerm = 'dead' | 'dose' | 'nozzle' | 'growth';

/** How width follows from dose: what every prediction needs, measured or estimated. */
export interface DoseCurve {
  nominalMm: number;
  inflator: InflatorKind;
  /** Volume at no dose, litres; below zero when the first stroke or second is partly lost. */
  deadVolumeL: number;
  /** Volume one stroke or second adds, litres. */
  doseVolumeL: number;
  /** Half of what the left nozzle adds more than the right in one second, litres; 0 for one nozzle. */
  nozzleVolumeL: number;
  terms: readonly CurveTerm[];
  /** Covariance of the terms: litres, litres per dose, and for growth the aspect it adds at nominal width. */
  covariance: number[][];
  /** Degrees of freedom of the intervals: readings less coefficients, plus what the assumed uncertainty counts for. */
  degreesOfFreedom: number;
  /** Variance of the readings over the variance expected from their uncertainties. */
  varianceRatio: number;
  /** What makes one balloon differ from the next, before the variance ratio. */
  errors: ReadingErrors;
  /** What its widths are read to, mm; 0 for no marks that show. */
  marksMm: number;
  /** The doses read; from Infinity to -Infinity for none. */
  lowestDose: number;
  highestDose: number;
  shape: ShapeLaw;
}

/** Where a curve is asked: a dose through a nozzle, at about a width. */
interface Place {
  dose: number;
  nozzle?: Nozzle | undefined;
  widthMm: number;
  nominalMm: number;
}

/** The row of the design at a place: what one unit of each term adds to the volume there. */
export function designRow(terms: readonly CurveTerm[], { dose, nozzle, widthMm, nominalMm }: Place): number[] {
  return terms.map((term) => {
    if (term === 'dead') return 1;
    if (term === 'dose') return dose;
    if (term === 'nozzle') return nozzle === undefined ? 0 : nozzle === 'left' ? dose : -dose;
    return -growthVolumeL({ widthMm, nominalMm });
  });
}

/** Litres that a unit of growth adds to a body of that width. */
function growthVolumeL({ widthMm, nominalMm }: { widthMm: number; nominalMm: number }): number {
  return ((Math.PI / 6) * widthMm ** 3 * growthAt(widthMm / nominalMm)) / 1e6;
}

/** Volume (litres) that a dose gives; between both nozzles when none is named. */
export function volumeAtDoseL(
  curve: Pick<DoseCurve, 'deadVolumeL' | 'doseVolumeL' | 'nozzleVolumeL'>,
  dose: number,
  nozzle?: Nozzle,
): number {
  return curve.deadVolumeL + nozzleRateL(curve, nozzle) * dose;
}

/** Litres that one stroke or second adds at a nozzle. */
export function nozzleRateL(
  { doseVolumeL, nozzleVolumeL }: Pick<DoseCurve, 'doseVolumeL' | 'nozzleVolumeL'>,
  nozzle?: Nozzle,
): number {
  return doseVolumeL + (nozzle === undefined ? 0 : nozzle === 'left' ? nozzleVolumeL : -nozzleVolumeL);
}

/** Variance of the curve's volume at a place, litre^2: x' C x. */
export function volumeVariance(
  { terms, covariance, nominalMm }: Pick<DoseCurve, 'terms' | 'covariance' | 'nominalMm'>,
  place: Omit<Place, 'nominalMm'>,
): number {
  const x = designRow(terms, { ...place, nominalMm });
  return quadraticForm(x, covariance, x);
}

/** Whether a dose surely adds air: the 95 % interval of its volume leaves out zero. */
export function slopeKnown({
  doseVolumeL,
  covariance,
  degreesOfFreedom,
}: Pick<DoseCurve, 'doseVolumeL' | 'covariance' | 'degreesOfFreedom'>): boolean {
  return doseVolumeL > t95(degreesOfFreedom) * Math.sqrt(covariance[1]![1]!);
}
