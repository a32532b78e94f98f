import { TRADE } from '../src';
import { knotLine, learnGarland, packGarland, type ClusterKind } from '../src/garland';
import { normalFrom, randomFrom } from '../src/statistics';
import { part, QUAD, times } from './clusters';
import { inch, problemOf, value } from './results';

const QUADS = times(QUAD, 8);
const SIXES = times([part(18, 16, 2), part(11, 10, 4)], 8);
const line = value(
  knotLine([
    [0, 0, 0],
    [8000, 0, 0],
  ]),
);
const made = (clusters: readonly ClusterKind[], garlandPress: number, seed: number) =>
  value(packGarland({ clusters, line, seed, trade: { ...TRADE, garlandPress } })).lengthMm;

describe('what finished garlands teach', () => {
  /** Studios of known softness, their garlands packed with turns of their own and misread by hands and tape. */
  it('is the softness they were made with, as often as its interval says', () => {
    const studios = 7;
    let held = 0;
    let off = 0;
    for (let studio = 0; studio < studios; studio += 1) {
      const random = randomFrom(300 + studio);
      const press = Math.max(0.001, TRADE.garlandPress + TRADE.garlandPressSd * normalFrom(random));
      const garlands = [0, 1, 2].map((i) => ({
        clusters: QUADS,
        lengthMm: made(QUADS, press, 40 + 10 * studio + i) * (1 + 0.02 * normalFrom(random)),
      }));
      const learned = value(learnGarland({ garlands }));
      const [least, most] = learned.interval;
      if (press >= least && press <= most) held += 1;
      off += Math.abs(learned.press - press) / studios;
      expect(least).toBeLessThan(learned.press);
      expect(most).toBeGreaterThan(learned.press);
    }
    // 95 of 100: of 7 fewer than 5 would be a chance of under one in two hundred.
    expect(held).toBeGreaterThanOrEqual(5);
    expect(off).toBeLessThan(TRADE.garlandPressSd / 2);
  });

  it('comes out again: packed as learned, a garland is as long as it was', () => {
    const press = 0.05;
    const lengthMm = [1, 2, 3, 4].reduce((sum, seed) => sum + made(QUADS, press, seed) / 4, 0);
    const { press: learned, expectedMm } = value(
      learnGarland({ garlands: Array.from({ length: 6 }, () => ({ clusters: QUADS, lengthMm })) }),
    );
    expect(lengthMm / expectedMm[0]!).toBeLessThan(0.93);
    const again = [5, 6, 7, 8].reduce((sum, seed) => sum + made(QUADS, learned, seed) / 4, 0);
    expect(Math.abs(again / lengthMm - 1)).toBeLessThan(0.02);
  });

  it('is more the more there are, and less where length hardly follows from softness', () => {
    const wide = (clusters: readonly ClusterKind[], many: number) => {
      const lengthMm = made(clusters, TRADE.garlandPress, 9);
      const { interval } = value(
        learnGarland({ garlands: Array.from({ length: many }, () => ({ clusters, lengthMm })) }),
      );
      return interval[1] - interval[0];
    };
    const prior = 2 * 1.96 * TRADE.garlandPressSd;
    expect(wide(QUADS, 1)).toBeLessThan(prior);
    expect(wide(QUADS, 4)).toBeLessThan(wide(QUADS, 1));
    expect(wide(SIXES, 1)).toBeGreaterThan(1.3 * wide(QUADS, 1));
  });

  it('is the same of a long one as of its beginning', () => {
    const long = times(QUADS[0]!, 60);
    const { press } = value(learnGarland({ garlands: [{ clusters: long, lengthMm: 60 * inch(11.5) }] }));
    const beginning = times(QUADS[0]!, 40);
    const { press: same } = value(learnGarland({ garlands: [{ clusters: beginning, lengthMm: 40 * inch(11.5) }] }));
    expect(press).toBeCloseTo(same, 9);
  });

  it('says what is wrong', () => {
    expect(problemOf(learnGarland({ garlands: [] }))).toMatchObject({ code: 'no-garlands', field: 'garlands' });
    const short = problemOf(learnGarland({ garlands: [{ clusters: QUADS, lengthMm: inch(20) }] }));
    expect(short).toMatchObject({ code: 'implausible-length', field: 'garlands.0.lengthMm' });
    const long = problemOf(learnGarland({ garlands: [{ clusters: QUADS, lengthMm: inch(400) }] }));
    expect(long).toMatchObject({ code: 'implausible-length' });
    expect(problemOf(learnGarland({ garlands: [{ clusters: [], lengthMm: 1000 }] }))).toMatchObject({
      code: 'no-clusters',
      field: 'garlands.0.clusters',
    });
  });
});
