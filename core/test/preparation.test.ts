import { predictWidth, type CalibrationFit, type ShapeLaw } from '../src';
import { comparePreparations } from '../src/calibration/calibrating';

import { value } from './results';
import { sureFit } from './sureCurve';

/* What preparing a balloon otherwise changes: only where both were seen, and only of equal air. */

const lawOf = (knots: readonly [number, number][], seen = true): ShapeLaw => ({
  knots: knots.map(([widthMm, aspect]) => ({ widthMm, aspect, sd: 0.01 })),
  seen,
  roundLimit: { kind: 'no-shapes-seen' },
});
const FLAT = lawOf([[200, 1]]);
const RISING = lawOf([
  [200, 1],
  [300, 1.2],
]);
const seen = (smallestWidthMm: number, largestWidthMm: number, shape: ShapeLaw): CalibrationFit =>
  sureFit({ smallestWidthMm, largestWidthMm, shape });
const compare = (first: CalibrationFit, second: CalibrationFit, sameInflator = true) =>
  comparePreparations({ first, second, sameInflator });

describe('what preparing a balloon changes', () => {
  it('is told of the widths that both were seen at', () => {
    expect(compare(seen(150, 250, FLAT), seen(200, 300, RISING)).aspect!.mean).toBeCloseTo(0.05, 9);
    expect(compare(seen(200, 300, FLAT), seen(150, 250, RISING)).aspect!.mean).toBeCloseTo(0.05, 9);
    expect(compare(seen(200, 300, RISING), seen(150, 250, FLAT)).aspect!.mean).toBeCloseTo(-0.05, 9);
    expect(compare(seen(150, 199, FLAT), seen(200, 300, RISING)).aspect).toBeNull();
  });

  it('is not told of a shape that one of them was never seen in', () => {
    const unseen = lawOf([[200, 1.1]], false);
    expect(compare(seen(150, 250, FLAT), seen(150, 250, unseen)).aspect).toBeNull();
    expect(compare(seen(150, 250, unseen), seen(150, 250, FLAT)).aspect).toBeNull();
  });

  it('is told of the doses that both were given, by one inflator alone', () => {
    const first = sureFit({ lowestDose: 4, highestDose: 12 });
    const second = sureFit({ lowestDose: 8, highestDose: 20, deadVolumeL: 0.6 });
    const widthAt = (fit: CalibrationFit, dose: number) => value(predictWidth({ fit, dose })).widthMm;
    const doses = Array.from({ length: 9 }, (_, i) => 8 + i / 2);
    const mean = doses.reduce((sum, dose) => sum + widthAt(second, dose) - widthAt(first, dose), 0) / 9;
    expect(mean).toBeGreaterThan(2);
    expect(compare(first, second).widthMm!.mean).toBeCloseTo(mean, 9);
    expect(compare(second, first).widthMm!.mean).toBeCloseTo(-mean, 9);
    expect(compare(first, second, false).widthMm).toBeNull();
    expect(compare(first, sureFit({ lowestDose: 13, highestDose: 20 })).widthMm).toBeNull();
  });
});
