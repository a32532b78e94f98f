import fc from 'fast-check';

import { fitTaper, stackLayers, type ProfilePoint } from '../src/building';
import { monotoneCurve } from '../src/numeric';
import { inch, value } from './results';

const STEP = inch(1 / 4);
const cone = (from: number, to: number): ProfilePoint[] => [
  { at: 0, widthMm: from },
  { at: 1, widthMm: to },
];

describe('a curve through points', () => {
  /** The data of Akima (1970) with which Fritsch and Carlson show that their curve does not overshoot. */
  const AKIMA = [0, 2, 3, 5, 6, 8, 9, 11, 12, 14, 15].map((x, i) => ({
    x,
    y: [10, 10, 10, 10, 10, 10, 10.5, 15, 50, 60, 85][i]!,
  }));

  it('goes through them, rises where they rise and stays level where they are', () => {
    const curve = monotoneCurve(AKIMA);
    for (const { x, y } of AKIMA) expect(curve(x)).toBeCloseTo(y, 9);
    let before = 10;
    for (let x = 0; x <= 15; x += 0.01) {
      expect(curve(x)).toBeGreaterThanOrEqual(before - 1e-9);
      before = curve(x);
      if (x <= 8) expect(curve(x)).toBeCloseTo(10, 9);
    }
  });

  it('is the straight line through points on one, has no corner, and stays within two neighbours', () => {
    const line = monotoneCurve([0, 0.2, 0.7, 1].map((x) => ({ x, y: 3 + 2 * x })));
    for (const x of [0.05, 0.33, 0.9]) expect(line(x)).toBeCloseTo(3 + 2 * x, 12);
    const points = fc.array(fc.double({ min: 0, max: 10, noNaN: true }), { minLength: 2, maxLength: 8 });
    fc.assert(
      fc.property(points, fc.double({ min: 0, max: 1, noNaN: true }), (ys, share) => {
        const curve = monotoneCurve(ys.map((y, x) => ({ x, y })));
        const at = share * (ys.length - 1);
        const [left, right] = [ys[Math.floor(at)]!, ys[Math.ceil(at)]!];
        expect(curve(at)).toBeGreaterThanOrEqual(Math.min(left, right) - 1e-9);
        expect(curve(at)).toBeLessThanOrEqual(Math.max(left, right) + 1e-9);
        ys.slice(1, -1).forEach((_, i) => {
          const slope = (side: number) => (curve(i + 1 + side * 1e-6) - ys[i + 1]!) / (side * 1e-6);
          expect(slope(1)).toBeCloseTo(slope(-1), 3);
        });
      }),
      { seed: 18 },
    );
  });
});

describe('a taper', () => {
  /** Common practice: quints from 3½ in, by half inches, twelve layers on a 5 ft pole. */
  it('of quints on a 5 ft pole from 3½ to 9 in has about twelve layers, half an inch from one to the next', () => {
    const taper = value(
      fitTaper({ count: 5, profile: cone(inch(3.5), inch(9.5)), heightMm: inch(60), stepMm: inch(1 / 2) }),
    );
    expect(taper.widthsMm.length).toBeGreaterThanOrEqual(11);
    expect(taper.widthsMm.length).toBeLessThanOrEqual(13);
    const rises = taper.widthsMm.slice(1).map((width, i) => (width - taper.widthsMm[i]!) / inch(1));
    for (const rise of rises) expect([0, 0.5, 1]).toContain(Math.round(2 * rise) / 2);
    expect(Math.abs(taper.offMm)).toBeLessThan(inch(0.5));
  });

  it('is on steps, meets its height, follows its silhouette, and its exact sizes meet it to a hair', () => {
    const profiles = fc.tuple(
      fc.array(fc.double({ min: inch(4), max: inch(12), noNaN: true }), { minLength: 2, maxLength: 5 }),
      fc.double({ min: inch(40), max: inch(90), noNaN: true }),
      fc.constantFrom(3, 4, 5, 6),
    );
    fc.assert(
      fc.property(profiles, ([widths, heightMm, count]) => {
        const profile = widths.map((widthMm, i) => ({ at: i / (widths.length - 1), widthMm }));
        const made = fitTaper({ count, profile, heightMm, stepMm: STEP, leastMm: inch(2), mostMm: inch(16) });
        if (!made.ok) {
          // Sizes that turn too steeply find no hold on one another.
          expect(['no-hold', 'outside-useful']).toContain(made.problem.code);
          return;
        }
        const { widthsMm, exactMm, offMm, stack, jumpMm } = made.value;
        for (const width of widthsMm) expect(Math.abs(width / STEP - Math.round(width / STEP))).toBeLessThan(1e-9);
        const exact = value(stackLayers({ layers: exactMm.map((widthMm) => ({ count, widthMm })) }));
        expect(exact.heightMm).toBeCloseTo(heightMm, 3);
        expect(stack.heightMm - heightMm).toBeCloseTo(offMm, 9);
        expect(Math.abs(offMm)).toBeLessThan(STEP);
        expect(jumpMm).toBeLessThan(1.5 * STEP);
        widthsMm.forEach((width, i) => expect(Math.abs(width - exactMm[i]!)).toBeLessThan(1.5 * STEP));
      }),
      { numRuns: 80, seed: 18 },
    );
  });

  it('comes nearer to its height than sizes rounded one by one', () => {
    let [together, alone] = [0, 0];
    for (let heightMm = 1200; heightMm < 1800; heightMm += 37) {
      const { exactMm, offMm } = value(
        fitTaper({ count: 5, profile: cone(inch(4), inch(10)), heightMm, stepMm: inch(1 / 2) }),
      );
      const layers = exactMm.map((width) => ({ count: 5, widthMm: Math.round(width / inch(1 / 2)) * inch(1 / 2) }));
      alone += Math.abs(value(stackLayers({ layers })).heightMm - heightMm);
      together += Math.abs(offMm);
    }
    expect(together).toBeLessThan(0.6 * alone);
  });

  it('is the best of all sets of steps, by a search that tries every one', () => {
    for (const heightMm of [500, 560, 640]) {
      const [count, stepMm] = [5, inch(1 / 2)];
      const { exactMm, widthsMm } = value(fitTaper({ count, profile: cone(inch(5), inch(10)), heightMm, stepMm }));
      const cost = (widths: readonly number[]) => {
        const off = value(stackLayers({ layers: widths.map((widthMm) => ({ count, widthMm })) })).heightMm - heightMm;
        const alone = widths.map((width, i) => ((width - exactMm[i]!) / stepMm) ** 2);
        const apart = widths
          .slice(1)
          .map((width, i) => ((width - widths[i]! - exactMm[i + 1]! + exactMm[i]!) / stepMm) ** 2);
        return [...alone, ...apart].reduce((sum, each) => sum + each, 0) + (off / (stepMm / 2)) ** 2;
      };
      let best = Infinity;
      const tryAll = (widths: number[]) => {
        if (widths.length === exactMm.length) {
          best = Math.min(best, cost(widths));
          return;
        }
        const middle = Math.round(exactMm[widths.length]! / stepMm);
        for (let by = -2; by <= 2; by += 1) {
          const next = (middle + by) * stepMm;
          if (widths.length === 0 || next >= widths.at(-1)! - 1e-9) tryAll([...widths, next]);
        }
      };
      tryAll([]);
      // Heights within half a millimetre of one another are not told apart.
      expect(cost(widthsMm)).toBeLessThan(best + 0.2);
    }
  });

  it('is refused with the field to blame', () => {
    const code = (by: object) => {
      const made = fitTaper({ count: 5, profile: cone(100, 250), heightMm: 1500, stepMm: STEP, ...by });
      return made.ok ? 'fits' : `${made.problem.code} ${made.problem.field}`;
    };
    expect(code({})).toBe('fits');
    expect(code({ mostMm: inch(7) })).toMatch(/^outside-useful layers\.\d+\.widthMm$/);
    expect(code({ profile: [{ at: 0, widthMm: 100 }] })).toBe('bad-profile profile');
    expect(code({ profile: [...cone(100, 200), { at: 0.5, widthMm: 90 }] })).toBe('bad-profile profile');
    expect(code({ profile: cone(100, NaN) })).toBe('bad-profile profile');
    expect(code({ heightMm: 0 })).toBe('bad-height heightMm');
    expect(code({ heightMm: 29_000, profile: cone(30, 40) })).toBe('too-many-layers heightMm');
    expect(code({ stepMm: 120 })).toBe('bad-step stepMm');
    expect(code({ count: 0 })).toBe('bad-count count');
  });
});
