import jstat from 'jstat';

import { acceptedShare, samplingPlan, type QualityLimit } from '../src/gauge/samplingPlan';
import { controlConstants } from '../src/statistics/controlConstants';
import { fQuantile, fTail } from '../src/statistics/fRatio';

/**
 * MIL-STD-105E (1989), table I (letters of the general levels) and table II-A (single plans, normal inspection);
 * entries from memory. Each is lot size, level, limit -> sample size, acceptance and rejection number.
 */
const ENTRIES: [number, 'I' | 'II' | 'III', QualityLimit, number, number][] = [
  [96, 'I', 0.04, 13, 1],
  [96, 'II', 0.04, 20, 2],
  [96, 'II', 0.025, 20, 1],
  [96, 'II', 0.01, 13, 0],
  [200, 'II', 0.01, 50, 1],
  [200, 'II', 0.025, 32, 2],
  [500, 'II', 0.01, 50, 1],
  [500, 'II', 0.04, 50, 5],
  [1000, 'II', 0.01, 80, 2],
  [1000, 'II', 0.015, 80, 3],
  [1000, 'II', 0.025, 80, 5],
  [1000, 'III', 0.065, 125, 14],
  [1200, 'I', 0.065, 32, 5],
  [3000, 'II', 0.065, 125, 14],
  [40, 'II', 0.065, 8, 1],
  [40, 'III', 0.1, 13, 3],
  [60, 'II', 0.015, 8, 0],
  [10000, 'II', 0.01, 200, 5],
  [10000, 'II', 0.1, 125, 21],
];

describe('samplingPlan against MIL-STD-105E, tables I and II-A', () => {
  it.each(ENTRIES)('a lot of %i at level %s, limit %d: check %i, accept %i', (lotSize, level, limit, n, c) => {
    const plan = samplingPlan({ lotSize, level, limit });
    expect(plan).toMatchObject({ ok: true, value: { sampleSize: n, acceptMost: c, rejectFrom: c + 1 } });
  });

  it('gives the letters of table I for lots at both ends of its rows', () => {
    const letter = (lotSize: number, level: 'I' | 'II' | 'III') => {
      const plan = samplingPlan({ lotSize, level });
      return plan.ok ? plan.value.letter : '';
    };
    expect([8, 9, 15, 16, 25, 26, 50, 51, 90, 91, 150, 151].map((lot) => letter(lot, 'II')).join('')).toBe(
      'ABBCCDDEEFFG',
    );
    expect([280, 281, 501, 1201, 3201, 10001, 35001].map((lot) => letter(lot, 'III')).join('')).toBe('HJKLMNP');
    expect([90, 91, 151, 281, 501, 1201].map((lot) => letter(lot, 'I')).join('')).toBe('CDEFGH');
  });

  it('checks a lot whole where the sample would be no smaller', () => {
    expect(samplingPlan({ lotSize: 4, limit: 0.01, level: 'II' })).toMatchObject({
      ok: true,
      value: { sampleSize: 4, all: true },
    });
  });

  it('refuses a lot of one', () => {
    expect(samplingPlan({ lotSize: 1 })).toMatchObject({
      ok: false,
      problem: { code: 'bad-lot', field: 'lotSize' },
    });
  });

  it('accepts as often as the standard’s tables X say: n = 20, c = 1 (from memory) and a binomial reference', () => {
    const plan = { sampleSize: 20, acceptMost: 1 };
    expect(acceptedShare({ plan, shareOff: 0.0181 })).toBeCloseTo(0.95, 2);
    expect(acceptedShare({ plan, shareOff: 0.181 })).toBeCloseTo(0.1, 2);
    for (const shareOff of [0.01, 0.04, 0.2, 0.5]) {
      const wanted = [0, 1, 2].reduce((sum, k) => sum + jstat.binomial.pdf(k, 13, shareOff), 0);
      expect(acceptedShare({ plan: { sampleSize: 13, acceptMost: 2 }, shareOff })).toBeCloseTo(wanted, 10);
    }
    expect(acceptedShare({ plan, shareOff: 0 })).toBe(1);
    expect(acceptedShare({ plan, shareOff: 1 })).toBe(0);
  });
});

describe('controlConstants against the table of ASTM MNL 7 (from memory)', () => {
  it.each([
    [2, 0.7979, 1.128, 0.853, 1.88, 2.659, 0, 3.267, 0, 3.267],
    [3, 0.8862, 1.693, 0.888, 1.023, 1.954, 0, 2.568, 0, 2.575],
    [5, 0.94, 2.326, 0.864, 0.577, 1.427, 0, 2.089, 0, 2.114],
    [7, 0.9594, 2.704, 0.833, 0.419, 1.182, 0.118, 1.882, 0.076, 1.924],
    [10, 0.9727, 3.078, 0.797, 0.308, 0.975, 0.284, 1.716, 0.223, 1.777],
  ])('n = %i', (n, c4, d2, d3, A2, A3, B3, B4, D3, D4) => {
    const constants = controlConstants(n);
    Object.entries({ c4, d2, d3, A2, A3, B3, B4, D3, D4 }).forEach(([name, value]) => {
      expect(Math.abs(constants[name as keyof typeof constants] - value)).toBeLessThan(0.0012);
    });
  });
});

describe('fTail and fQuantile against jStat', () => {
  it.each([
    [2.5, 3, 12],
    [0.4, 10, 7],
    [1, 5, 5],
    [6, 1, 30],
  ])('ratio %d with %i and %i degrees', (ratio, above, below) => {
    const tail = 1 - jstat.centralF.cdf(ratio, above, below);
    expect(fTail({ ratio, above, below })).toBeCloseTo(tail, 8);
    expect(fQuantile({ p: 1 - tail, above, below })).toBeCloseTo(ratio, 5);
  });
});
