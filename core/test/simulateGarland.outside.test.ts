import { simulateGarland } from '../src/garland';
import { part, QUAD, times } from './clusters';
import { problemOf, value } from './results';

const QUADS = times(QUAD, 5);
const MIXED = QUADS.map((kind, i) => (i % 2 ? kind : [part(18, 16, 1), part(11, 9, 3)]));

describe('a garland made again and again', () => {
  /** A garland scaled as a whole is scaled in its length: Euler's theorem on homogeneous functions has the shares add to 1. */
  it('has sizes whose shares in its length add up to all of it', () => {
    for (const clusters of [QUADS, MIXED]) {
      const { sizes } = value(simulateGarland({ clusters, seed: 7 }));
      const all = sizes.reduce((sum, { share }) => sum + share, 0);
      expect(Math.abs(all - 1)).toBeLessThan(0.08);
      const counts = sizes.reduce((sum, { count }) => sum + count, 0);
      expect(counts).toBe(clusters.flat().reduce((sum, { count }) => sum + count, 0));
      sizes.slice(1).forEach(({ share }, i) => expect(share).toBeLessThanOrEqual(sizes[i]!.share));
    }
  });

  it('is as much wider as hands lean, and no more spread than chance and hands together', () => {
    const spread = { eye: { lean: 0.05, sd: 0.001 }, sizer: { lean: 0, sd: 0.001 } };
    const { planned, ways } = value(simulateGarland({ clusters: QUADS, own: spread, seed: 3 }));
    expect(ways.eye.spread).toEqual(spread.eye);
    expect(ways.eye.lengthMm.mean / planned.mean).toBeCloseTo(1.05, 2);
    expect(ways.sizer.lengthMm.mean / planned.mean).toBeCloseTo(1, 2);
  });

  /** What single balloons are off by evens out along it, so that by eye length is off by less than one of them is. */
  it('evens out along it what single balloons are off by', () => {
    const own = { eye: { lean: 0, sd: 0.06 }, sizer: { lean: 0, sd: 0.01 } };
    const { planned, ways } = value(simulateGarland({ clusters: QUADS, own, seed: 11 }));
    const by = (way: 'eye' | 'sizer') => ways[way].lengthMm.sd / ways[way].lengthMm.mean;
    expect(by('eye')).toBeLessThan(0.06 / 2);
    expect(by('eye')).toBeGreaterThan(by('sizer') / 2);
    expect(Math.abs(ways.eye.lengthMm.mean / planned.mean - 1)).toBeLessThan(0.03);
  });

  it('is the same for the same seed, and says how far it is', () => {
    const told: number[] = [];
    const made = (seed: number) =>
      value(simulateGarland({ clusters: QUADS.slice(0, 3), seed, onDone: (packed, of) => told.push(packed / of) }));
    const once = made(5);
    expect(told.at(-1)).toBe(1);
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(made(5)).toEqual(once);
    expect(made(6).planned.mean).not.toBe(once.planned.mean);
  });

  it('says what is wrong', () => {
    expect(problemOf(simulateGarland({ clusters: [], seed: 1 }))).toMatchObject({ code: 'no-clusters' });
    expect(problemOf(simulateGarland({ clusters: [[part(11, 0, 4)]], seed: 1 }))).toMatchObject({ code: 'bad-width' });
  });
});
