import jstat from 'jstat';

import { normalFrom, pairMismatch, randomFrom } from '../src';
import { compareEyes, judgeEye, shareWithin } from '../src/consistency/eye';

import { problemOf, value } from './results';

/** Everything here is worked out again from its textbook formula, with the distributions of jStat. */
const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
const squares = (values: readonly number[]) => values.reduce((sum, each) => sum + (each - mean(values)) ** 2, 0);
const variance = (values: readonly number[]) => squares(values) / (values.length - 1);

function drawn(count: number, { centre = 254, sd, seed }: { centre?: number; sd: number; seed: number }): number[] {
  const random = randomFrom(seed);
  return Array.from({ length: count }, () => centre + sd * normalFrom(random));
}

describe('two eyes', () => {
  it.each([
    [5, 6, 14, 2],
    [12, 1.5, 4, 7],
    [9, 3, 9, 3],
    [3, 8, 30, 2],
  ])('of %d balloons (%d mm) and %d (%d mm): Welch’s interval and the F ratio', (n1, sd1, n2, sd2) => {
    for (let seed = 1; seed <= 6; seed += 1) {
      const first = drawn(n1, { centre: 256, sd: sd1, seed });
      const second = drawn(n2, { sd: sd2, seed: seed + 100 });
      const [v1, v2] = [variance(first) / n1, variance(second) / n2];
      // Welch and Satterthwaite.
      const degrees = (v1 + v2) ** 2 / (v1 ** 2 / (n1 - 1) + v2 ** 2 / (n2 - 1));
      const half = jstat.studentt.inv(0.975, degrees) * Math.sqrt(v1 + v2);
      const off = mean(first) - mean(second);
      const { differenceMm, differ, spreadRatio, spreadsDiffer } = compareEyes(first, second);
      expect(differenceMm.value).toBeCloseTo(off, 9);
      expect(differenceMm.low).toBeCloseTo(off - half, 3);
      expect(differenceMm.high).toBeCloseTo(off + half, 3);
      expect(differ).toBe(Math.abs(off) > half);
      expect(spreadRatio).toBeCloseTo(Math.sqrt(variance(first) / variance(second)), 9);
      const below = jstat.centralF.cdf(variance(first) / variance(second), n1 - 1, n2 - 1);
      expect(spreadsDiffer).toBe(2 * Math.min(below, 1 - below) < 0.05);
    }
  });

  it('that fill all alike differ by just what they differ by', () => {
    const same = compareEyes([250, 250, 250], [250, 250]);
    expect(same).toEqual({
      differenceMm: { value: 0, low: 0, high: 0 },
      differ: false,
      spreadRatio: 1,
      spreadsDiffer: false,
    });
    expect(compareEyes([251, 251], [250, 250])).toMatchObject({ differenceMm: { low: 1, high: 1 }, differ: true });
    expect(compareEyes([250, 252, 251], [250, 250])).toMatchObject({ spreadRatio: Infinity, spreadsDiffer: true });
  });
});

describe('the share within a tolerance', () => {
  it.each([
    [4, 1, 3],
    [9, 4, 2],
    [25, 3, 5],
  ])('of %d balloons, %d mm spread: drawn from the laws that they leave possible', (count, sd, seed) => {
    const offs = drawn(count, { centre: 1.5, sd, seed });
    const random = randomFrom(seed + 50);
    const toleranceMm = 5;
    const shares = Array.from({ length: 20_000 }, () => {
      // Variance: scaled inverse chi-square; mean: normal given it.
      let chi = 0;
      for (let i = 1; i < count; i += 1) chi += normalFrom(random) ** 2;
      const sigma = Math.sqrt(squares(offs) / chi);
      const centre = mean(offs) + (sigma * normalFrom(random)) / Math.sqrt(count);
      return jstat.normal.cdf(toleranceMm, centre, sigma) - jstat.normal.cdf(-toleranceMm, centre, sigma);
    }).sort((a, b) => a - b);
    const sigma = Math.sqrt(variance(offs));
    const within = shareWithin({ offs, toleranceMm });
    expect(within.value).toBeCloseTo(
      jstat.normal.cdf(toleranceMm, mean(offs), sigma) - jstat.normal.cdf(-toleranceMm, mean(offs), sigma),
      6,
    );
    expect(Math.abs(within.low - shares[1000]!)).toBeLessThan(0.02);
    expect(Math.abs(within.high - shares[19_000]!)).toBeLessThan(0.02);
  });

  it('of balloons that are all alike is all or nothing', () => {
    expect(shareWithin({ offs: [3, 3, 3], toleranceMm: 3 })).toEqual({ value: 1, low: 1, high: 1 });
    expect(shareWithin({ offs: [3, 3, 3], toleranceMm: 2.9 })).toEqual({ value: 0, low: 0, high: 0 });
  });
});

describe('a session', () => {
  const judged = (widthsMm: readonly number[]) => value(judgeEye({ targetMm: 254, nominalMm: 279.4, widthsMm }));

  it.each([0, 0.8, -0.8])('that moves by %d mm a balloon: its slope by the straight line', (drift) => {
    for (let seed = 1; seed <= 6; seed += 1) {
      const widths = drawn(15, { sd: 1.5, seed }).map((width, i) => width + drift * i);
      const places = widths.map((_, i) => i);
      const [n, sxx] = [widths.length, squares(places)];
      const slope = places.reduce((sum, at) => sum + (at - mean(places)) * (widths[at]! - mean(widths)), 0) / sxx;
      const residuals = widths.map((width, at) => width - mean(widths) - slope * (at - mean(places)));
      const left = residuals.reduce((sum, each) => sum + each ** 2, 0) / (n - 2);
      const half = jstat.studentt.inv(0.975, n - 2) * Math.sqrt(left / sxx);
      const { perBalloonMm, drifting, spreadRatio, tiring } = judged(widths).trend!;
      expect(perBalloonMm.low).toBeCloseTo(slope - half, 4);
      expect(perBalloonMm.high).toBeCloseTo(slope + half, 4);
      expect(drifting).toBe(slope - half > 0 ? 'larger' : slope + half < 0 ? 'smaller' : null);
      // The one in the middle is in neither half.
      const [early, late] = [residuals.slice(0, 7), residuals.slice(8)];
      expect(spreadRatio).toBeCloseTo(Math.sqrt(variance(late) / variance(early)), 9);
      expect(tiring).toBe(1 - jstat.centralF.cdf(variance(late) / variance(early), 5, 5) < 0.05);
    }
  });

  it('of five has no trend and no odd ones, of six it has', () => {
    expect(judged([254, 255, 253, 254, 290])).toMatchObject({ trend: null, oddOnes: [] });
    expect(judged([254, 255, 253, 254, 255, 253]).trend).not.toBeNull();
    // Moving ranges of 1, one of 60 each way: far beyond 2.66 times their mean on either side.
    const steady = Array.from({ length: 20 }, (_, i) => 254 + (i % 2));
    expect(judged(steady.with(9, 315)).oddOnes).toEqual([9]);
    expect(judged(steady.with(12, 194)).oddOnes).toEqual([12]);
  });

  it.each([
    [{ targetMm: 0 }, 'bad-target', 'targetMm', undefined],
    [{ nominalMm: 0 }, 'bad-target', 'targetMm', undefined],
    [{ nominalMm: NaN }, 'bad-target', 'targetMm', undefined],
    [{ widthsMm: [254] }, 'too-few-balloons', 'widthsMm', { least: 2 }],
    [{ widthsMm: [0, 254] }, 'bad-width', 'widthsMm.0', undefined],
    [{ widthsMm: [254, 762] }, 'bad-width', 'widthsMm.1', undefined],
  ])('is refused with %j', (change, code, field, detail) => {
    const session = { targetMm: 254, nominalMm: 279.4, widthsMm: [254, 761.9] };
    expect(judgeEye(session).ok).toBe(true);
    expect(problemOf(judgeEye({ ...session, ...change }))).toEqual({ code, field, ...(detail ? { detail } : {}) });
  });
});

describe('pairs of nozzles', () => {
  const exact = (left: number, right: number) => ({
    left: { lowMm: left, highMm: left },
    right: { lowMm: right, highMm: right },
  });

  it('that give alike lean to neither side; the right one is named when it gives more', () => {
    const even = [exact(255, 250), exact(250, 255), exact(252, 252)];
    expect(value(pairMismatch({ pairs: even, toleranceMm: 5 }))).toMatchObject({ uneven: null, matched: 1 });
    const right = [exact(250, 254), exact(251, 255), exact(250, 255)];
    const { uneven, leanMm, matched } = value(pairMismatch({ pairs: right, toleranceMm: 4 }));
    const [middle, spread] = [-13 / 3, Math.sqrt(1 / 3)];
    expect(uneven).toBe('right');
    expect(leanMm.high).toBeCloseTo(middle + (jstat.studentt.inv(0.975, 2) * spread) / Math.sqrt(3), 4);
    expect(matched).toBeCloseTo(2 / 3, 12);
  });

  it('are refused without a tolerance, from one pair alone, and where holes tell nothing of them', () => {
    const pair = exact(254, 250);
    expect(problemOf(pairMismatch({ pairs: [pair, pair], toleranceMm: 0 }))).toEqual({
      code: 'bad-tolerance',
      field: 'toleranceMm',
    });
    expect(problemOf(pairMismatch({ pairs: [pair], toleranceMm: 5 }))).toEqual({
      ...{ code: 'too-few-pairs', field: 'pairs' },
      detail: { least: 2 },
    });
    expect(pairMismatch({ pairs: [pair, pair], toleranceMm: 5 }).ok).toBe(true);
    const open = { lowMm: -Infinity, highMm: Infinity };
    const unseen = { left: open, right: open };
    expect(problemOf(pairMismatch({ pairs: [unseen, unseen], toleranceMm: 5 }))).toEqual({
      code: 'unseen',
      field: 'pairs',
    });
  });
});
