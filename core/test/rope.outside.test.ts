import { ropeFor, ropeLength, ropeRiseMm } from '../src/linking';

const INCH = 25.4;

describe('a rope of crossed duplets', () => {
  it('rises by w / √2: each balloon touches both of the duplet below, measured from centre to centre', () => {
    const widthMm = 101.6;
    const rise = ropeRiseMm({ widthMm });
    for (const [x, y] of [
      [widthMm / 2, 0],
      [-widthMm / 2, 0],
    ] as const) {
      for (const other of [widthMm / 2, -widthMm / 2]) {
        expect(Math.hypot(x, y - other, rise)).toBeCloseTo(widthMm, 9);
      }
    }
    expect(rise / widthMm).toBeCloseTo(0.70710678, 8);
  });

  /** Common practice: sixty 5 in balloons at exactly 4 in, joined by a single stretched 260 of some five feet. */
  it('of sixty balloons at 4 in is a little over seven feet before it is pushed together', () => {
    const feet = ropeLength({ duplets: 30, widthMm: 4 * INCH }) / INCH / 12;
    expect(feet).toBeCloseTo((29 * 4 * Math.SQRT1_2 + 4) / 12, 9);
    expect(feet).toBeGreaterThan(7);
    expect(feet).toBeLessThan(7.3);
  });

  it('is planned for a length: whole duplets, the width that lands on it, and what the step leaves', () => {
    const plan = ropeFor({ lengthMm: 2000, widthMm: 100, stepMm: INCH / 8 });
    if (!plan.ok) throw new Error(plan.problem.code);
    const { duplets, balloons, exactMm, widthMm, offMm } = plan.value;
    expect(balloons).toBe(2 * duplets);
    expect(ropeLength({ duplets, widthMm: exactMm })).toBeCloseTo(2000, 9);
    expect(Math.abs(exactMm - 100)).toBeLessThan(2);
    expect(ropeLength({ duplets, widthMm }) - 2000).toBeCloseTo(offMm, 9);
    // One duplet more or less would need a width further from what was asked.
    for (const other of [duplets - 1, duplets + 1]) {
      expect(Math.abs(2000 / ((other - 1) / Math.SQRT2 + 1) - 100)).toBeGreaterThan(Math.abs(exactMm - 100));
    }
  });

  it('of one duplet is one balloon high, and what cannot be is refused', () => {
    expect(ropeLength({ duplets: 1, widthMm: 100 })).toBe(100);
    expect(ropeFor({ lengthMm: 90, widthMm: 100, stepMm: 1 })).toMatchObject({
      ok: false,
      problem: { code: 'bad-length' },
    });
    expect(ropeFor({ lengthMm: Infinity, widthMm: 100, stepMm: 1 })).toMatchObject({ problem: { code: 'bad-length' } });
    expect(ropeFor({ lengthMm: 900, widthMm: 0, stepMm: 1 })).toMatchObject({ problem: { code: 'bad-width' } });
    expect(ropeFor({ lengthMm: 900, widthMm: 100, stepMm: 0 })).toMatchObject({ problem: { code: 'bad-step' } });
  });
});
