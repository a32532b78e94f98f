import { fitCalibration, normalFrom, randomFrom, TRADE, type Reading } from '../src';

import { ELEVEN, trueWidth } from './physicalBalloon';
import { inch, value } from './results';

/** Fresh balloons of one law, read by a tape, and which of them were misread, by how much, mm. */
function read(count: number, misread: Readonly<Record<number, number>> = {}, seed = 1): Reading[] {
  const random = randomFrom(seed);
  return Array.from({ length: count }, (_, i): Reading => {
    const dose = 2 + (i % 7);
    const offMm = 1.5 * normalFrom(random) + (misread[i] ?? 0);
    return { dose, balloon: i + 1, widthMm: trueWidth(ELEVEN, dose) + offMm, outcome: 'ok' };
  });
}
const slipsIn = (readings: readonly Reading[]) => value(fitCalibration({ nominalMm: inch(11), readings })).outliers;
const found = (readings: readonly Reading[]) =>
  slipsIn(readings)
    .map(({ index }) => index)
    .sort((a, b) => a - b);

describe('slips among readings', () => {
  it.each([
    ['one of eight', 8, { 3: 45 }],
    ['one of the least that have any', 4, { 2: 90 }],
    ['two of twelve, one each way', 12, { 3: 45, 8: -45 }],
    ['a wild one and a mild one', 14, { 4: 150, 9: 40 }],
    ['four of twenty-four', 24, { 1: -45, 6: 48, 13: 50, 20: -48 }],
  ])('%s', (_, count, misread) => {
    for (let seed = 1; seed <= 5; seed += 1) {
      expect([seed, found(read(count, misread, seed))]).toEqual([seed, Object.keys(misread).map(Number)]);
      expect(found(read(count, {}, seed))).toEqual([]);
    }
  });

  it('are at most one in five', () => {
    const five = { 1: -45, 6: 48, 13: 50, 16: -70, 20: -48 };
    const slips = found(read(24, five));
    expect(slips).toHaveLength(4);
    expect(slips.every((index) => index in five)).toBe(true);
  });

  it('are none of three readings: nobody can say which of them it was', () => {
    expect(found(read(3, { 1: 90 }))).toEqual([]);
  });

  it('that are called so lie beyond the limit, all others within it', () => {
    const outliers = slipsIn(read(24, { 1: -45, 6: 48, 13: 50 }));
    expect(outliers.every(({ deviations }) => deviations > TRADE.outlierLimit)).toBe(true);
  });

  it('of a burst: one whose width cannot be that of its dose, and not one that can', () => {
    const burst = (offMm: number): Reading => {
      return { dose: 9, balloon: 99, widthMm: trueWidth(ELEVEN, 9) + offMm, outcome: 'burst' };
    };
    const readings = read(9);
    expect(found([...readings, burst(0)])).toEqual([]);
    expect(found([...readings, burst(-90)])).toEqual([9]);
  });
});
