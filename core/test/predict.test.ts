import { doseForWidth, predictWidth } from '../src';
import { problemOf, value } from './results';
import { sphereL, sure } from './sureCurve';

const widthOf = (litres: number) => Math.cbrt((6e6 * litres) / Math.PI);

describe('where readings end', () => {
  const curve = sure({ lowestDose: 4, highestDose: 16 });

  it.each([
    [3.9, true],
    [4, false],
    [10, false],
    [16, false],
    [16.1, true],
  ])('a width by %p strokes and the strokes for it are past them: %p', (dose, past) => {
    expect(value(predictWidth({ fit: curve, dose })).extrapolated).toBe(past);
    const ends = sure({ lowestDose: 4 - 1e-9, highestDose: 16 + 1e-9 });
    expect(value(doseForWidth({ fit: ends, widthMm: widthOf(0.5 * dose) })).extrapolated).toBe(past);
  });
});

describe('what cannot be said', () => {
  it.each([0, -1, NaN, Infinity])('the width of %p strokes', (dose) => {
    expect(problemOf(predictWidth({ fit: sure(), dose }))).toMatchObject({ code: 'bad-dose', field: 'dose' });
  });

  it.each([0, -1, NaN, Infinity])('the strokes for a width of %p', (widthMm) => {
    expect(problemOf(doseForWidth({ fit: sure(), widthMm }))).toMatchObject({ code: 'bad-width', field: 'widthMm' });
  });

  it('the strokes for a width that the first one passes, or the empty balloon has', () => {
    const full = sure({ deadVolumeL: 1 });
    for (const widthMm of [widthOf(0.5), widthOf(1)])
      expect(problemOf(doseForWidth({ fit: full, widthMm }))).toMatchObject({
        code: 'below-first-stroke',
        field: 'widthMm',
      });
    expect(value(doseForWidth({ fit: full, widthMm: widthOf(2) })).dose).toBeCloseTo(2, 9);
  });

  it('the strokes for any width where it is open whether one adds air', () => {
    const open = sure({
      covariance: [
        [0, 0],
        [0, 0.09],
      ],
    });
    expect(problemOf(doseForWidth({ fit: open, widthMm: 200 }))).toMatchObject({
      code: 'slope-unknown',
      field: 'widthMm',
    });
  });
});

describe('an interval of strokes', () => {
  it('has no end through a nozzle that is hardly known to give anything', () => {
    const terms = ['dead', 'dose', 'nozzle'] as const;
    const covariance = [
      [0, 0, 0],
      [0, 0, 0],
      [0, 0, 0.0025],
    ];
    // It gives 0.1 L a second, give or take 0.05: Fieller's inequality holds for every long time.
    const curve = sure({ inflator: 'twin', terms, covariance, nozzleVolumeL: -0.4, lowestDose: 0, highestDose: 99 });
    const weak = value(doseForWidth({ fit: curve, widthMm: 200, nozzle: 'left' }));
    expect(weak).toEqual({ dose: expect.closeTo(sphereL(200) / 0.1, 9), low: 0, high: Infinity, extrapolated: false });
    const strong = value(doseForWidth({ fit: curve, widthMm: 200, nozzle: 'right' }));
    expect(strong.dose).toBeCloseTo(sphereL(200) / 0.9, 9);
    expect(strong.high).toBeLessThan(1.2 * strong.dose);
  });
});
