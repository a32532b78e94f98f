import { fitCalibration, normalFrom, randomFrom, TRADE, type Reading } from '../src';

import { ELEVEN, trueWidth } from './physicalBalloon';
import { inch, value } from './results';

/** Fresh balloons of one law, read by a tape, and which of them were misread, by how much, mm. */
function read(count: number, misread: Readonly<Record<number, number>> = {}, seed = 1, tapeMm = 1.5): Reading[] {
  const random = randomFrom(seed);
  return Array.from({ length: count }, (_, i): Reading => {
    const dose = 2 + (i % 7);
    const offMm = tapeMm * normalFrom(random) + (misread[i] ?? 0);
    return { dose, balloon: i + 1, widthMm: trueWidth(ELEVEN, dose) + offMm, outcome: 'ok' };
  });
}
const slipsIn = (readings: readonly Reading[]) => value(fitCalibration({ nominalMm: inch(11), readings })).outliers;
const found = (readings: readonly Reading[]) =>
  slipsIn(readings)
    .map(({ index }) => index)
    .sort((a, b) => a - b);

/** The two readings without which a straight line of volume over dose leaves the least squares, of all pairs. */
function worstPair(readings: readonly Reading[]): number[] {
  let [least, pair] = [Infinity, [] as number[]];
  for (let a = 0; a < readings.length; a += 1) {
    for (let b = a + 1; b < readings.length; b += 1) {
      const left = readings
        .filter((_, i) => i !== a && i !== b)
        .map(({ dose, widthMm }) => [dose, widthMm! ** 3] as const);
      const mean = (of: 0 | 1) => left.reduce((sum, point) => sum + point[of], 0) / left.length;
      const [x, y] = [mean(0), mean(1)];
      const moment = (p: 0 | 1, q: 0 | 1) =>
        left.reduce((sum, point) => sum + (point[p] - [x, y][p]!) * (point[q] - [x, y][q]!), 0);
      const squares = moment(1, 1) - moment(0, 1) ** 2 / moment(0, 0);
      if (squares < least) [least, pair] = [squares, [a, b]];
    }
  }
  return pair;
}

describe('slips among readings', () => {
  it.each([
    ['one of eight', 8, { 3: 45 }],
    ['one of the least that have any', 4, { 2: 90 }],
    ['two of twelve, one each way', 12, { 3: 45, 8: -45 }],
    ['two of ten, which hide one another', 10, { 2: 45, 7: 45 }],
    ['two of ten, at the ends', 10, { 0: -45, 6: 45 }],
    ['three of fifteen, all the same way', 15, { 1: 45, 5: 45, 12: 45 }],
    ['a wild one and a mild one', 14, { 4: 150, 9: 40 }],
    ['four of twenty-four', 24, { 1: -45, 6: 48, 13: 50, 20: -48 }],
  ])('%s', (_, count, misread) => {
    for (let seed = 1; seed <= 5; seed += 1) {
      expect([seed, found(read(count, misread, seed))]).toEqual([seed, Object.keys(misread).map(Number)]);
      expect(found(read(count, {}, seed))).toEqual([]);
    }
  });

  it('are the pair without which a plain line lies best (least trimmed squares: Rousseeuw, JASA 79, 1984)', () => {
    const random = randomFrom(3);
    const other = (than: number) => (than + 1 + Math.floor(random() * 9)) % 10;
    for (let seed = 1; seed <= 20; seed += 1) {
      const one = Math.floor(random() * 10);
      const readings = read(10, { [one]: 45, [other(one)]: random() < 0.5 ? 45 : -45 }, seed);
      expect([seed, found(readings)]).toEqual([seed, worstPair(readings)]);
    }
  });

  it('are hardly ever honest readings, though a tape errs twice as much as assumed', () => {
    const called = Array.from({ length: 100 }, (_, seed) => found(read(10, {}, seed + 1, 3.2)).length);
    expect(called.filter((count) => count > 0).length).toBeLessThanOrEqual(2);
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
