import jstat from 'jstat';

import { estimateCurve, normalFrom, predictWidth, randomFrom, type InflatorKnowledge } from '../src';

import { value } from './results';
import { ROUND, sphereL } from './sureCurve';

/*
 * The volume that a dose gives where stroke and lost strokes are known only so far: s (d - lost), drawn many times
 * (Monte Carlo propagation of uncertainty: JCGM 101:2008), against the estimated curve and its band.
 */

const KNOWN: InflatorKnowledge = {
  kind: 'hand',
  doseVolumeL: 0.5,
  doseSdL: 0.03,
  lostDoses: 0.8,
  lostSd: 0.25,
  calibrations: 3,
};
const DRAWS = 200_000;
const NOMINAL_MM = 279.4;

const curveOf = (known: { line: InflatorKnowledge | null; all: InflatorKnowledge | null }) =>
  estimateCurve({ nominalMm: NOMINAL_MM, siblings: [], ...known })!;

describe('a curve that nobody measured', () => {
  it.each([2, 8, 16])('gives what stroke and lost strokes leave of %d strokes', (dose) => {
    const random = randomFrom(dose);
    let [mean, square] = [0, 0];
    for (let i = 0; i < DRAWS; i += 1) {
      const strokeL = KNOWN.doseVolumeL + KNOWN.doseSdL * normalFrom(random);
      const volumeL = strokeL * (dose - KNOWN.lostDoses - KNOWN.lostSd * normalFrom(random));
      mean += volumeL / DRAWS;
      square += volumeL ** 2 / DRAWS;
    }
    // A sphere that is known for one, so that volume alone is unsure.
    const fit = { ...curveOf({ line: null, all: KNOWN }), shape: ROUND };
    const { widthMm, lowMm, highMm } = value(predictWidth({ fit, dose }));
    expect(sphereL(widthMm) / mean).toBeCloseTo(1, 2);
    const half = jstat.studentt.inv(0.975, 8 + KNOWN.calibrations) * Math.sqrt(square - mean ** 2);
    expect((sphereL(highMm) - sphereL(lowMm)) / 2 / half).toBeCloseTo(1, 1);
    expect(((sphereL(highMm) - sphereL(lowMm)) / 2 / half - 1) ** 2).toBeLessThan(0.02 ** 2);
  });

  it('goes by its line where any of it was calibrated, else by all that the inflator filled, else by its record', () => {
    const none = { ...KNOWN, calibrations: 0, doseVolumeL: 0.7 };
    const all = { ...KNOWN, doseVolumeL: 0.4 };
    expect(curveOf({ line: KNOWN, all })).toMatchObject({ dosesFrom: 'line', doseVolumeL: 0.5, doseCalibrations: 3 });
    expect(curveOf({ line: none, all })).toMatchObject({ dosesFrom: 'inflator', doseVolumeL: 0.4 });
    expect(curveOf({ line: null, all: none })).toMatchObject({ dosesFrom: 'record', doseVolumeL: 0.7 });
    expect(estimateCurve({ nominalMm: NOMINAL_MM, siblings: [], line: null, all: null })).toBeNull();
  });
});
