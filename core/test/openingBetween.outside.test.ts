import fc from 'fast-check';

import { openingBetween } from '../src/building/openingBetween';

const touching = (a: number, b: number, c: number) =>
  openingBetween({ radii: { a, b, c }, apart: { ab: a + b, ac: a + c, bc: b + c } });

describe('the opening between three balls', () => {
  /** Elementary geometry: between three equal circles that touch, (2 / sqrt 3 - 1) of one. */
  it('is 15.5 % of one where three equal ones touch', () => {
    expect(touching(1, 1, 1)).toBeCloseTo(2 * (2 / Math.sqrt(3) - 1), 12);
  });

  /** Descartes: curvatures of four circles that touch, k4 = k1 + k2 + k3 + 2 sqrt(k1 k2 + k2 k3 + k3 k1). */
  it('is that of the fourth circle of three that touch', () => {
    const radius = fc.double({ min: 50, max: 100, noNaN: true });
    fc.assert(
      fc.property(radius, radius, radius, (a, b, c) => {
        const [k1, k2, k3] = [1 / a, 1 / b, 1 / c];
        const k4 = k1 + k2 + k3 + 2 * Math.sqrt(k1 * k2 + k2 * k3 + k3 * k1);
        expect(touching(a, b, c)).toBeCloseTo(2 / k4, 8);
      }),
    );
  });

  it('touches all three also where they stand apart', () => {
    const [a, b, c] = [60, 70, 80];
    const mm = openingBetween({ radii: { a, b, c }, apart: { ab: 130, ac: 150, bc: 165 } });
    // Its middle, found from the first two alone, is as far from the third.
    const r = mm / 2;
    const x = (130 ** 2 + (r + a) ** 2 - (r + b) ** 2) / 260;
    const y = Math.sqrt((r + a) ** 2 - x * x);
    const cx = (130 ** 2 + 150 ** 2 - 165 ** 2) / 260;
    expect(Math.hypot(x - cx, y - Math.sqrt(150 ** 2 - cx * cx))).toBeCloseTo(r + c, 6);
    expect(mm).toBeGreaterThan(touching(a, b, c));
  });

  it('is none where they are pressed into one another', () => {
    expect(openingBetween({ radii: { a: 1, b: 1, c: 1 }, apart: { ab: 1.5, ac: 1.5, bc: 1.5 } })).toBe(0);
  });
});
