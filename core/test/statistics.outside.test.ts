import fc from 'fast-check';
import jstat from 'jstat';

import { incompleteBeta, monotoneRegression, normalQuantile, shareInterval, t95 } from '../src';

/** Reference library: jStat. Printed table: Student's t, two-sided 5 %, as in any handbook of statistics. */
const T_TABLE: [degrees: number, t: number][] = [
  [1, 12.706], [2, 4.303], [3, 3.182], [4, 2.776], [5, 2.571], [10, 2.228], [20, 2.086], [30, 2.042], [120, 1.98],
]; // prettier-ignore

describe('distributions', () => {
  it.each(T_TABLE)('t95 with %d degrees of freedom is %d by the printed table', (degrees, t) => {
    expect(t95(degrees)).toBeCloseTo(t, 3);
  });

  it('agrees with the reference library on the normal quantile', () => {
    for (const p of [1e-6, 0.001, 0.01, 0.025, 0.2, 0.5, 0.81, 0.975, 0.999]) {
      expect(normalQuantile(p)).toBeCloseTo(jstat.normal.inv(p, 0, 1), 6);
    }
  });

  it('agrees with the reference library on the incomplete beta function', () => {
    for (const [x, a, b] of [[0.1, 0.5, 0.5], [0.3, 2, 7], [0.9, 12, 1], [0.5, 40, 40], [0.02, 1, 60]] as const) {
      expect(incompleteBeta({ x, a, b })).toBeCloseTo(jstat.ibeta(x, a, b) as number, 8);
    }
  }); // prettier-ignore
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

  it('is never beaten by a rising law on a fine grid (brute force, three points)', () => {
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
