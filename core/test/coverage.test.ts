import { fitCalibration, normalFrom, predictWidth, randomFrom, type Reading } from '../src';
import { ELEVEN, readingsOf, trueWidth } from './physicalBalloon';

const CALIBRATIONS = 1000;
const HALF_INCH_MM = 12.7;

/**
 * 1,000 artists whose hands are as uncertain as the assumed law says they may be: the true standard deviation of each
 * is drawn from the scaled inverse chi-square law that stands for four readings of 2 mm. How often does the interval
 * hold the truth, at a dose anywhere in the range read?
 */
function coverage(prepare: (reading: Reading, index: number) => Reading): number {
  let inside = 0;
  for (let seed = 1; seed <= CALIBRATIONS; seed += 1) {
    const random = randomFrom(seed + 77_777);
    const chiSquare = [1, 2, 3, 4].reduce((sum) => sum + normalFrom(random) ** 2, 0);
    const sdMm = 2 * Math.sqrt(4 / chiSquare);
    const dose = 2 + 6 * random();
    const readings = readingsOf({ balloon: ELEVEN, doses: [1, 2, 3, 4, 5, 6, 7, 8], seed, sdMm }).map(prepare);
    const fit = fitCalibration({ nominalMm: 279.4, readings });
    const width = fit.ok && predictWidth({ fit: fit.value, dose });
    if (!width || !width.ok) throw new Error('no curve');
    const truth = trueWidth(ELEVEN, dose);
    if (width.value.lowMm <= truth && truth <= width.value.highMm) inside += 1;
  }
  return inside / CALIBRATIONS;
}

describe('the 95 % interval of a width, over 1,000 simulated calibrations', () => {
  it('holds the truth 93 to 97 times in 100 with widths and heights', () => {
    const share = coverage((reading) => reading);
    expect(share).toBeGreaterThan(0.93);
    expect(share).toBeLessThan(0.97);
  });

  it('holds the truth 93 to 97 times in 100 when every second width is only known between two holes', () => {
    const share = coverage((reading, i) => {
      if (i % 2 === 1) return reading;
      const stopsMm = Math.floor(reading.widthMm! / HALF_INCH_MM) * HALF_INCH_MM;
      return { dose: reading.dose, outcome: 'ok', bracket: { stopsMm, passesMm: stopsMm + HALF_INCH_MM } };
    });
    expect(share).toBeGreaterThan(0.93);
    expect(share).toBeLessThan(0.97);
  });
});
