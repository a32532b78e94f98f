import fc from 'fast-check';
import { mean, sampleStandardDeviation } from 'simple-statistics';

import { distributionOf, quantile } from '../src/building';

const values = fc.array(fc.double({ min: -1e3, max: 1e3, noNaN: true }), { minLength: 2, maxLength: 60 });

describe('what many values are like', () => {
  it('has the mean and the deviation of a reference library', () => {
    fc.assert(
      fc.property(values, (all) => {
        const found = distributionOf(Float64Array.from(all));
        expect(found.mean).toBeCloseTo(mean(all), 8);
        expect(found.sd).toBeCloseTo(sampleStandardDeviation(all), 6);
      }),
    );
  });

  /** R, `quantile(c(1:10), c(0.05, 0.5, 0.95))`, type 7: 1.45, 5.5 and 9.55. */
  it('has the quantiles of definition 7', () => {
    const { low, median, high } = distributionOf(Float64Array.from([7, 2, 9, 4, 1, 10, 5, 3, 8, 6]));
    expect([low, median, high].map((each) => each.toFixed(9))).toEqual(['1.450000000', '5.500000000', '9.550000000']);
    expect([0, 1].map((share) => quantile(Float64Array.from([2, 3, 5]), share))).toEqual([2, 5]);
  });

  it('counts every value once, between the smallest and the largest', () => {
    fc.assert(
      fc.property(values, (all) => {
        const { counts, from, step } = distributionOf(Float64Array.from(all));
        expect(counts.reduce((sum, count) => sum + count, 0)).toBe(all.length);
        expect(from + counts.length * step).toBeCloseTo(Math.max(...all), 8);
      }),
    );
    expect(distributionOf(Float64Array.from([3, 3, 3])).counts[0]).toBe(3);
  });
});
