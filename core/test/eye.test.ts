import { normalFrom, pairMismatch, randomFrom, workToleranceMm, type FilledPair } from '../src';
import { compareEyes, judgeEye, shareWithin } from '../src/consistency/eye';
import { simulated } from './simulated';

const TARGET = 254;
const NOMINAL = 279.4;
function session(count: number, { bias = 0, sd = 4, drift = 0, seed = 1 }): number[] {
  const random = randomFrom(seed);
  return Array.from({ length: count }, (_, i) => TARGET + bias + drift * i + sd * normalFrom(random));
}
function judged(widthsMm: number[]) {
  const result = judgeEye({ targetMm: TARGET, nominalMm: NOMINAL, widthsMm });
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
}

describe('judgeEye', () => {
  simulated('holds the true bias and spread in about 95 of 100 sessions', () => {
    const runs = 400;
    let bias = 0;
    let spread = 0;
    for (let run = 0; run < runs; run += 1) {
      const { biasMm, spreadMm } = judged(session(12, { bias: 3, sd: 5, seed: run + 1 }));
      bias += Number(biasMm.low <= 3 && biasMm.high >= 3);
      spread += Number(spreadMm.low <= 5 && spreadMm.high >= 5);
    }
    expect(bias / runs).toBeGreaterThan(0.92);
    expect(bias / runs).toBeLessThan(0.98);
    expect(spread / runs).toBeGreaterThan(0.92);
    expect(spread / runs).toBeLessThan(0.98);
  });

  it('calls a steady eye enough for classic work, a wide one only for organic work', () => {
    const verdicts = (widths: number[]) =>
      Object.fromEntries(judged(widths).work.map(({ work, verdict }) => [work, verdict]));
    expect(verdicts(session(30, { sd: 1.2 }))).toEqual({
      linking: 'enough',
      classic: 'enough',
      garland: 'enough',
      organic: 'enough',
    });
    expect(verdicts(session(30, { sd: 9, seed: 5 }))).toMatchObject({
      linking: 'not-enough',
      classic: 'not-enough',
      organic: 'enough',
    });
  });

  it('says unclear rather than guess from three balloons', () => {
    const { work, trend } = judged([251, 255, 257]);
    expect(work.find((each) => each.work === 'classic')?.verdict).toBe('unclear');
    expect(trend).toBeNull();
  });

  it('sees an eye that drifts, and one that tires', () => {
    expect(judged(session(14, { sd: 2, drift: 1 })).trend).toMatchObject({
      drifting: 'larger',
      tiring: false,
    });
    const steady = session(10, { sd: 1, seed: 7 });
    const tired = session(10, { sd: 7, seed: 8 });
    expect(judged([...steady, ...tired]).trend?.tiring).toBe(true);
    expect(judged(session(14, { sd: 2, seed: 3 })).trend).toMatchObject({ drifting: null, tiring: false });
  });

  it('names a balloon far outside its neighbours', () => {
    const widths = [254, 255, 253, 254, 255, 254, 253, 275, 254, 255];
    expect(judged(widths).oddOnes).toEqual([7]);
  });

  it('refuses an eye check with one balloon, and a width of another world', () => {
    const of = (widthsMm: number[]) => judgeEye({ targetMm: TARGET, nominalMm: NOMINAL, widthsMm });
    expect(of([254])).toMatchObject({ ok: false, problem: { code: 'too-few-balloons' } });
    expect(of([254, 2540])).toMatchObject({ ok: false, problem: { code: 'bad-width', field: 'widthsMm.1' } });
  });

  it('knows common practice: a quarter inch on an 11 in in classic work, an eighth in linking work', () => {
    expect(workToleranceMm({ work: 'classic', nominalMm: NOMINAL })).toBeCloseTo(6.35, 6);
    expect(workToleranceMm({ work: 'linking', nominalMm: 152.4 })).toBeCloseTo(3.175, 6);
  });
});

describe('shareWithin', () => {
  simulated('agrees with a simulation of the laws a session leaves possible', () => {
    const offs = session(10, { bias: 2, sd: 4, seed: 11 }).map((width) => width - TARGET);
    const random = randomFrom(99);
    const n = offs.length;
    const mean = offs.reduce((a, b) => a + b, 0) / n;
    const squares = offs.reduce((sum, off) => sum + (off - mean) ** 2, 0);
    const simulated = Array.from({ length: 4000 }, () => {
      let chi = 0;
      for (let i = 0; i < n - 1; i += 1) chi += normalFrom(random) ** 2;
      const sd = Math.sqrt(squares / chi);
      const centre = mean + (sd / Math.sqrt(n)) * normalFrom(random);
      let inside = 0;
      for (let i = 0; i < 200; i += 1) inside += Number(Math.abs(centre + sd * normalFrom(random)) <= 6.35);
      return inside / 200;
    }).sort((a, b) => a - b);
    const { low, high } = shareWithin({ offs, toleranceMm: 6.35 });
    expect(Math.abs(low - simulated[200]!)).toBeLessThan(0.04);
    expect(Math.abs(high - simulated[3800]!)).toBeLessThan(0.03);
  });
});

describe('compareEyes', () => {
  it('tells two people apart who fill differently, and not two alike', () => {
    const steady = session(12, { sd: 2, seed: 21 });
    const large = session(12, { bias: 6, sd: 2, seed: 22 });
    expect(compareEyes(large, steady)).toMatchObject({ differ: true, spreadsDiffer: false });
    expect(compareEyes(session(12, { sd: 2, seed: 23 }), steady).differ).toBe(false);
    expect(compareEyes(session(12, { sd: 12, seed: 24 }), steady).spreadsDiffer).toBe(true);
  });

  it('has Welch’s interval: equal sizes and spreads give the pooled t interval', () => {
    const { differenceMm } = compareEyes([1, 2, 3], [4, 5, 6]);
    // Difference -3, standard error sqrt(2 / 3), t with 4 degrees 2.776 (any table).
    expect(differenceMm.value).toBeCloseTo(-3, 12);
    expect(differenceMm.high).toBeCloseTo(-3 + 2.7764 * Math.sqrt(2 / 3), 3);
  });
});

describe('pairMismatch', () => {
  const exact = (left: number, right: number): FilledPair => ({
    left: { lowMm: left, highMm: left },
    right: { lowMm: right, highMm: right },
  });

  it('finds the nozzle that gives more', () => {
    const pairs = [exact(256, 252), exact(255, 251), exact(257, 252), exact(254, 251)];
    const result = pairMismatch({ pairs, toleranceMm: 3.2 });
    expect(result).toMatchObject({ ok: true, value: { uneven: 'left', matched: 0.25, pairs: 4 } });
    expect(result.ok && result.value.leanMm.value).toBeCloseTo(4, 12);
  });

  it('estimates from holes what widths would tell, within its interval', () => {
    const random = randomFrom(12);
    const holes = [246, 249, 252, 255, 258, 261];
    const bounds = (width: number) => ({
      lowMm: holes.filter((hole) => hole < width).at(-1) ?? -Infinity,
      highMm: holes.find((hole) => hole >= width) ?? Infinity,
    });
    const pairs = Array.from({ length: 40 }, () => {
      const both = 253 + 2 * normalFrom(random);
      return {
        left: bounds(both + 3 + 1.5 * normalFrom(random)),
        right: bounds(both + 1.5 * normalFrom(random)),
      };
    });
    const result = pairMismatch({ pairs, toleranceMm: 3 });
    if (!result.ok) throw new Error(result.problem.code);
    expect(result.value.uneven).toBe('left');
    expect(Math.abs(result.value.leanMm.value - 3)).toBeLessThan(1.2);
  });

  it('asks for a second pair', () => {
    expect(pairMismatch({ pairs: [exact(1, 2)], toleranceMm: 1 })).toMatchObject({
      ok: false,
      problem: { code: 'too-few-pairs' },
    });
  });
});
