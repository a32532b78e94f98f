import fc from 'fast-check';
import jstat from 'jstat';

import {
  chiSquareQuantile,
  incompleteBeta,
  incompleteGamma,
  intervalMoments,
  monotoneRegression,
  normalCdf,
  normalQuantile,
  poolEstimates,
  sdInterval,
  shareInterval,
  t95,
} from '../src';
import { simulated } from './simulated';

/** Reference library: jStat. Printed table: Student's t, two-sided 5 %, as in any handbook of statistics. */
const T_TABLE: [degrees: number, t: number][] = [
  [1, 12.706],
  [2, 4.303],
  [3, 3.182],
  [4, 2.776],
  [5, 2.571],
  [10, 2.228],
  [20, 2.086],
  [30, 2.042],
  [120, 1.98],
];

describe('distributions', () => {
  it.each(T_TABLE)('t95 with %d degrees of freedom is %d by the printed table', (degrees, t) => {
    expect(t95(degrees)).toBeCloseTo(t, 3);
  });

  it('agrees with the reference library on the normal quantile', () => {
    for (const p of [1e-6, 0.001, 0.01, 0.025, 0.2, 0.5, 0.81, 0.975, 0.999]) {
      expect(normalQuantile(p)).toBeCloseTo(jstat.normal.inv(p, 0, 1), 6);
    }
  });

  it('agrees with the reference library on the normal law, and with its own quantile far out', () => {
    for (const x of [-6, -3.3, -1.96, -0.4, 0, 0.7, 1.645, 2.8, 5]) {
      expect(normalCdf(x)).toBeCloseTo(jstat.normal.cdf(x, 0, 1), 12);
    }
    for (const p of [1e-6, 0.025, 0.5, 0.9]) expect(normalCdf(normalQuantile(p)) / p).toBeCloseTo(1, 6);
    // Printed tables: 6.22096e-16 lies below -8, 2.753624e-89 below -20.
    expect(normalCdf(-8) / 6.22096e-16).toBeCloseTo(1, 5);
    expect(normalCdf(-20) / 2.753624e-89).toBeCloseTo(1, 5);
    expect([normalCdf(40), normalCdf(-40)]).toEqual([1, 0]);
  });

  it('agrees with the reference library on Student’s t for the degrees calibrations have', () => {
    for (const degrees of [4, 5, 7, 11, 26]) expect(t95(degrees)).toBeCloseTo(jstat.studentt.inv(0.975, degrees), 6);
  });

  it.each([
    [0.95, 1, 3.841],
    [0.95, 10, 18.307],
    [0.05, 10, 3.94],
    [0.975, 20, 34.17],
    [0.025, 20, 9.591],
    [0.99, 100, 135.807],
  ])('chi-square at %d with %d degrees is %d by the printed table', (p, degreesOfFreedom, value) => {
    expect(chiSquareQuantile({ p, degreesOfFreedom })).toBeCloseTo(value, 3);
    expect(chiSquareQuantile({ p, degreesOfFreedom })).toBeCloseTo(jstat.chisquare.inv(p, degreesOfFreedom), 5);
  });

  it('agrees with the reference library on the incomplete gamma function, in both its forms', () => {
    for (const [x, degrees] of [
      [0.2, 3],
      [2, 3],
      [9, 3],
      [40, 30],
      [22, 30],
    ] as const) {
      expect(incompleteGamma({ a: degrees / 2, x: x / 2 })).toBeCloseTo(jstat.chisquare.cdf(x, degrees), 10);
    }
  });

  it('gives the interval of a standard deviation between the chi-square bounds', () => {
    // Handbook formula with printed quantiles: s = 2, 10 degrees: 2 sqrt(10 / 20.483), 2 sqrt(10 / 3.247).
    const { low, high } = sdInterval({ sd: 2, degreesOfFreedom: 10 });
    expect(low).toBeCloseTo(2 * Math.sqrt(10 / 20.483), 3);
    expect(high).toBeCloseTo(2 * Math.sqrt(10 / 3.247), 3);
  });

  it('takes the derivatives of an interval’s probability right, near and far', () => {
    const log = (mean: number, [low, high]: readonly [number, number]) =>
      intervalMoments({ low: low - mean, high: high - mean }).logProbability;
    for (const bounds of [
      [-1, 1],
      [0.5, 0.6],
      [2, Infinity],
      [-Infinity, -4],
      [6, 7],
      [-9, -8],
    ] as const) {
      const h = 1e-4;
      const { score, information } = intervalMoments({ low: bounds[0], high: bounds[1] });
      expect(score).toBeCloseTo((log(h, bounds) - log(-h, bounds)) / (2 * h), 4);
      expect(information).toBeCloseTo(-(log(h, bounds) - 2 * log(0, bounds) + log(-h, bounds)) / h ** 2, 3);
    }
    expect(intervalMoments({ low: 50, high: 60 })).toEqual({ logProbability: -1250, score: 50, information: 1 });
  });

  it('agrees with the reference library on the incomplete beta function', () => {
    for (const [x, a, b] of [
      [0.1, 0.5, 0.5],
      [0.3, 2, 7],
      [0.9, 12, 1],
      [0.5, 40, 40],
      [0.02, 1, 60],
    ] as const) {
      expect(incompleteBeta({ x, a, b })).toBeCloseTo(jstat.ibeta(x, a, b) as number, 8);
    }
  });
});

describe('shareInterval', () => {
  it('matches the printed exact limits for 0, 1 and 2 of 12 (tables of binomial confidence limits)', () => {
    expect(shareInterval({ count: 0, of: 12 }).high).toBeCloseTo(0.2646, 3);
    expect(shareInterval({ count: 1, of: 12 }).low).toBeCloseTo(0.0021, 4);
    expect(shareInterval({ count: 1, of: 12 }).high).toBeCloseTo(0.3848, 4);
    expect(shareInterval({ count: 2, of: 12 }).high).toBeCloseTo(0.4841, 4);
  });

  it('has limits at which the seen count is just at the 2.5 % tail, by summing the binomial law', () => {
    const { low, high } = shareInterval({ count: 3, of: 20 });
    const tail = (p: number, from: number, to: number) => {
      let sum = 0;
      for (let k = from; k <= to; k += 1) sum += jstat.binomial.pdf(k, 20, p) as number;
      return sum;
    };
    expect(tail(low, 3, 20)).toBeCloseTo(0.025, 6);
    expect(tail(high, 0, 3)).toBeCloseTo(0.025, 6);
  });
});

describe('monotoneRegression', () => {
  it('solves the worked case 1, 3, 2, 4, 3, 5 by pooling (common textbook case)', () => {
    const points = [1, 3, 2, 4, 3, 5].map((value, x) => ({ x, value, weight: 1 }));
    expect(monotoneRegression(points).map(({ value, count }) => [value, count])).toEqual([
      [1, 1],
      [2.5, 2],
      [3.5, 2],
      [5, 1],
    ]);
  });

  simulated('is never beaten by a rising law on a fine grid (brute force, three points)', () => {
    const value = fc.integer({ min: 0, max: 8 });
    fc.assert(
      fc.property(
        fc.tuple(value, value, value),
        fc.tuple(...[1, 2, 3].map(() => fc.integer({ min: 1, max: 4 }))),
        (ys, ws) => {
          const blocks = monotoneRegression(ys.map((y, x) => ({ x, value: y, weight: ws[x]! })));
          const fitted = blocks.flatMap((block) => Array.from({ length: block.count }, () => block.value));
          const cost = (law: number[]) => law.reduce((sum, v, i) => sum + ws[i]! * (v - ys[i]!) ** 2, 0);
          const best = cost(fitted);
          for (let a = 0; a <= 8; a += 0.5) {
            for (let b = a; b <= 8; b += 0.5) {
              for (let c = b; c <= 8; c += 0.5) expect(cost([a, b, c])).toBeGreaterThanOrEqual(best - 1e-9);
            }
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});

/**
 * Borenstein, Hedges, Higgins and Rothstein, Introduction to Meta-Analysis (2009), the worked example of table 14.1:
 * means, standard deviations and sizes of two groups in six studies (from memory), and Hedges' g of each as chapter 4
 * has it.
 */
describe('poolEstimates', () => {
  const STUDIES = [
    [94, 22, 60, 92, 20, 60],
    [98, 21, 65, 92, 22, 65],
    [98, 28, 40, 88, 26, 40],
    [94, 19, 200, 82, 17, 200],
    [98, 21, 50, 88, 22, 45],
    [96, 21, 85, 92, 22, 85],
  ] as const;
  const estimates = STUDIES.map(([mean1, sd1, n1, mean2, sd2, n2]) => {
    const free = n1 + n2 - 2;
    const d = (mean1 - mean2) / Math.sqrt(((n1 - 1) * sd1 ** 2 + (n2 - 1) * sd2 ** 2) / free);
    const j = 1 - 3 / (4 * free - 1);
    return { value: j * d, variance: j ** 2 * ((n1 + n2) / (n1 * n2) + d ** 2 / (2 * (n1 + n2))) };
  });

  it('gives the published worked example: Q 12.0, between 0.037, mean 0.358, variance 0.0111', () => {
    const pooled = poolEstimates({ estimates })!;
    expect(pooled.q).toBeCloseTo(12.0033, 1);
    expect(pooled.between).toBeCloseTo(0.0372, 3);
    expect(pooled.mean).toBeCloseTo(0.3582, 3);
    expect(pooled.variance).toBeCloseTo(0.0111, 4);
    const half = 1.96 * Math.sqrt(pooled.variance);
    expect([pooled.mean - half, pooled.mean + half].map((x) => Math.round(1000 * x) / 1000)).toEqual([0.152, 0.565]);
  });

  it('gives the published mean without spread, 0.4142, when the estimates agree as their variances allow', () => {
    const wide = estimates.map(({ value, variance }) => ({ value, variance: 10 * variance }));
    const pooled = poolEstimates({ estimates: wide })!;
    expect(pooled.between).toBe(0);
    expect(pooled.mean).toBeCloseTo(0.4142, 3);
  });

  it('leans on the expected spread while there are few, and is wider for the next than for the mean', () => {
    const expected = { variance: 0.04, worth: 3 };
    const one = poolEstimates({ estimates: estimates.slice(0, 1), expected })!;
    expect(one.between).toBeCloseTo(0.04, 12);
    expect(one.predictive).toBeGreaterThan(one.variance);
    expect(poolEstimates({ estimates: [] })).toBeNull();
  });
});
