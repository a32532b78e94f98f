import type { CalibrationFit, DoseCurve, ReadingErrors, ShapeLaw } from '../src';
import { INCH } from './simulatedCalibrations';

const nominalMm = 11 * INCH;

export const ROUND: ShapeLaw = {
  knots: [{ widthMm: 200, aspect: 1, sd: 0 }],
  seen: true,
  roundLimit: { kind: 'no-shapes-seen' },
};
export const sphereL = (widthMm: number) => ((Math.PI / 6) * widthMm ** 3) / 1e6;
export const NO_ERRORS: ReadingErrors = {
  ways: { tape: 0, caliper: 0, hole: 0, bracket: 0, reference: 0 },
  heightMm: 0,
  balloonShare: 0,
  doseShare: 0,
  worth: 6,
};
/** A curve that is known for sure, but for what a test makes unsure: 0.5 L a stroke, spheres. */
export const sure = (more: Partial<DoseCurve> = {}): DoseCurve => ({
  nominalMm,
  inflator: 'hand',
  deadVolumeL: 0,
  doseVolumeL: 0.5,
  nozzleVolumeL: 0,
  terms: ['dead', 'dose'],
  covariance: [
    [0, 0],
    [0, 0],
  ],
  degreesOfFreedom: 10,
  varianceRatio: 1,
  errors: NO_ERRORS,
  marksMm: 0,
  lowestDose: 1,
  highestDose: 20,
  shape: ROUND,
  ...more,
});

/** The same as a calibration's own fit, of readings from 150 mm to 250 mm. */
export const sureFit = (more: Partial<CalibrationFit> = {}): CalibrationFit => ({
  ...sure(),
  readingsUsed: 8,
  distinctDoses: 8,
  lastDose: 16,
  smallestWidthMm: 150,
  largestWidthMm: 250,
  limits: { hardMm: null, burstMm: null, hardsMm: [], burstsMm: [], hardMargin: 0.97, burstMargin: 0.9 },
  outliers: [],
  notes: [],
  ...more,
});
