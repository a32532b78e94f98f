import type { InflatorKind, Nozzle } from '../inflator';
import type { ShapeLaw } from './shapeLaw';

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
  /** Covariance of dead volume (L), dose volume (L per dose) and, with two nozzles read, their half difference. */
  covariance: number[][];
  /** Degrees of freedom of the intervals: readings less coefficients, plus what the assumed uncertainty counts for. */
  degreesOfFreedom: number;
  /** Variance of the readings over the variance expected from their uncertainties. */
  varianceRatio: number;
  /** The doses read; from Infinity to -Infinity for none. */
  lowestDose: number;
  highestDose: number;
  shape: ShapeLaw;
}

/** The row of the design for a dose: 1, dose and, where two nozzles are told apart, the dose with the nozzle's sign. */
export function designRow({ dose, nozzle }: { dose: number; nozzle?: Nozzle | undefined }): number[] {
  return [1, dose, nozzle === undefined ? 0 : nozzle === 'left' ? dose : -dose];
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

/** Variance of the curve's volume at a dose, litre^2: x' C x. */
export function volumeVariance({
  covariance,
  dose,
  nozzle,
}: {
  covariance: DoseCurve['covariance'];
  dose: number;
  nozzle?: Nozzle | undefined;
}): number {
  const x = designRow({ dose, nozzle });
  let sum = 0;
  for (let i = 0; i < covariance.length; i += 1) {
    for (let j = 0; j < covariance.length; j += 1) sum += x[i]! * covariance[i]![j]! * x[j]!;
  }
  return sum;
}
