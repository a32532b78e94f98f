import fc from 'fast-check';

import { TRADE } from '../src';
import { archBalloons, solveArch, type ArchAsked } from '../src/building';
import { inch, problemOf, value } from './results';

const ARCH: ArchAsked = {
  ...{ shape: 'ellipse', open: 'layers', count: 4, layers: 1, widthMm: inch(10) },
  ...{ spanMm: inch(96), highMm: inch(84) },
};
const asked = (by: Partial<ArchAsked> = {}) => solveArch({ arch: { ...ARCH, ...by }, stepMm: inch(1 / 8) });
const arch = (by: Partial<ArchAsked> = {}) => value(asked(by));

describe('the curve of an arch', () => {
  /** Elementary geometry: half a circle. */
  it('on a frame as high as half its feet is half a circle', () => {
    const { curveMm, tightestMm } = arch({ spanMm: inch(100), highMm: inch(50) });
    expect(curveMm).toBeCloseTo(Math.PI * inch(50), 6);
    expect(tightestMm).toBeCloseTo(inch(50), 9);
  });

  /** Ramanujan, 1914: perimeter of an ellipse, exact to 3 e-17 h^5 (h = ((a - b) / (a + b))²) for flat ones. */
  it('on a frame is as long as half an ellipse', () => {
    const size = fc.double({ min: inch(60), max: inch(140), noNaN: true });
    fc.assert(
      fc.property(size, size, (spanMm, highMm) => {
        const [a, b] = [spanMm / 2, highMm];
        const h = ((a - b) / (a + b)) ** 2;
        const half = (Math.PI / 2) * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
        expect(arch({ spanMm, highMm, widthMm: inch(5) }).curveMm / half).toBeCloseTo(1, 5);
      }),
    );
  });

  /** Any handbook of mechanics: s = 2 a sinh(span / 2a), height = a (cosh(span / 2a) - 1). */
  it('that stands free is a catenary', () => {
    const a = inch(40);
    const spanMm = inch(96);
    const highMm = a * (Math.cosh(spanMm / 2 / a) - 1);
    const { curveMm, tightestMm, places, layers } = arch({ shape: 'catenary', spanMm, highMm });
    expect(curveMm).toBeCloseTo(2 * a * Math.sinh(spanMm / 2 / a), 4);
    expect(tightestMm).toBeCloseTo(a, 4);
    for (const { xMm, zMm, angle } of places) {
      expect(zMm).toBeCloseTo(highMm - a * (Math.cosh(xMm / a) - 1), 3);
      expect(Math.tan(angle)).toBeCloseTo(-Math.sinh(xMm / a), 3);
    }
    expect(places).toHaveLength(layers);
  });
});

describe('an arch of layers', () => {
  it('has as many as its curve is long, and the width with which nothing is left', () => {
    const plan = arch();
    const rise = plan.stack[1]!.riseMm;
    expect(Math.abs(plan.offMm)).toBeLessThanOrEqual(rise / 2 + 1e-6);
    expect(plan.balloons).toBe(4 * plan.layers);
    const exact = (plan.layers - 1) * (rise / plan.widthMm) * plan.exactMm + plan.exactMm;
    expect(exact).toBeCloseTo(plan.curveMm, 6);
    // Foot to foot, alike on both sides.
    const [first, last] = [plan.places[0]!, plan.places.at(-1)!];
    expect(first.xMm).toBeCloseTo(-last.xMm, 3);
    expect(first.zMm).toBeCloseTo(last.zMm, 3);
    expect(Math.max(...plan.places.map(({ zMm }) => zMm)) / plan.highMm).toBeCloseTo(1, 2);
  });

  it('stands so high with so many layers, and so many are worked out for that height again', () => {
    for (const shape of ['ellipse', 'catenary'] as const) {
      const high = arch({ shape, open: 'height', layers: 28 });
      expect(Math.abs(high.offMm)).toBeLessThan(0.01);
      const again = arch({ shape, highMm: high.highMm });
      expect(again.layers).toBe(28);
      expect(arch({ shape, open: 'size', highMm: high.highMm, layers: 28 }).widthMm).toBeCloseTo(ARCH.widthMm, 0);
    }
  });

  it('has each balloon half a ring from the curve, neighbours touching, and lets people through', () => {
    const plan = arch();
    const all = archBalloons(plan);
    for (const { layer, place, xMm, yMm, zMm, neck } of all) {
      const { radiusMm } = plan.stack[layer]!;
      const at = plan.places[layer]!;
      expect(xMm + radiusMm * neck[0]).toBeCloseTo(at.xMm, 6);
      expect(yMm + radiusMm * neck[1]).toBeCloseTo(0, 6);
      expect(zMm + radiusMm * neck[2]).toBeCloseTo(at.zMm, 6);
      const next = all.find((each) => each.layer === layer && each.place === (place + 1) % 4)!;
      expect(Math.hypot(xMm - next.xMm, yMm - next.yMm, zMm - next.zMm)).toBeCloseTo(plan.widthMm, 6);
    }
    const under = all.filter(({ xMm }) => Math.abs(xMm) < inch(10)).map(({ zMm }) => zMm - plan.widthMm / 2);
    expect(Math.min(...under)).toBeGreaterThan(plan.clearHighMm - inch(1));
    expect(plan.clearWideMm).toBeCloseTo(
      plan.highMm - plan.clearHighMm > 0 ? inch(96) - 2 * (plan.highMm - plan.clearHighMm) : 0,
      6,
    );
  });

  /** On a circle the ring's inner side is shorter by the ring over the radius: elementary geometry. */
  it('says by how much its inner side is shorter, and what evens that out where latex does not', () => {
    const wide = arch({ spanMm: inch(168), highMm: inch(84) });
    const ringMm = inch(10) * Math.SQRT1_2;
    expect(wide.inner).toBeCloseTo(ringMm / inch(84), 9);
    expect(wide.takenUp).toBe(wide.inner <= 1 - TRADE.packing);
    const tight = arch({ spanMm: inch(48), highMm: inch(30), widthMm: inch(9) });
    expect(tight.takenUp).toBe(false);
    // What is left once the inner balloons are smaller is what latex takes up.
    const left = tight.inner - (1 - tight.innerMm / inch(9));
    expect(Math.abs(left - (1 - TRADE.packing))).toBeLessThan(1 / 8 / 9);
    expect(tight.innerMm).toBeLessThan(inch(9));
    expect(tight.outerMm - inch(9)).toBeCloseTo(inch(9) - tight.innerMm, 6);
  });

  it('or by one size, with as few inner balloons left out as leave latex to take up the rest', () => {
    expect(arch({ spanMm: inch(168), highMm: inch(84) }).leftOutOf).toBeNull();
    const tight = arch({ spanMm: inch(48), highMm: inch(30), widthMm: inch(9) });
    const over = (outOf: number) => tight.inner - 1 / outOf - (1 - TRADE.packing);
    expect(over(tight.leftOutOf!)).toBeLessThanOrEqual(0);
    expect(over(tight.leftOutOf! + 1)).toBeGreaterThan(0);
    // So tight that every other layer or more would lack one: only sizes even it out.
    const tightest = arch({ count: 8, spanMm: inch(34), highMm: inch(17), widthMm: inch(9) });
    expect(tightest.inner - (1 - TRADE.packing)).toBeGreaterThan(1 / 2);
    expect(tightest.leftOutOf).toBeNull();
  });

  it('says what is wrong', () => {
    expect(problemOf(asked({ open: 'height', layers: 10, spanMm: inch(96) }))).toMatchObject({
      code: 'feet-too-wide',
      field: 'spanMm',
    });
    expect(problemOf(asked({ spanMm: 0 }))).toMatchObject({ code: 'bad-span', field: 'spanMm' });
    expect(problemOf(asked({ highMm: -1 }))).toMatchObject({ code: 'bad-height', field: 'highMm' });
    expect(problemOf(asked({ spanMm: inch(30), highMm: inch(90) }))).toMatchObject({
      code: 'bends-too-tight',
      field: 'highMm',
    });
    expect(problemOf(asked({ open: 'height', layers: 0 }))).toMatchObject({ code: 'no-layers', field: 'layers' });
    expect(problemOf(asked({ widthMm: 1 }))).toMatchObject({ code: 'too-many-layers', field: 'highMm' });
    expect(problemOf(asked({ widthMm: -1 }))).toMatchObject({ code: 'bad-width', field: 'widthMm' });
    expect(problemOf(asked({ count: 0 }))).toMatchObject({ code: 'bad-count', field: 'count' });
    expect(problemOf(solveArch({ arch: ARCH, stepMm: 0 }))).toMatchObject({ code: 'bad-step' });
  });
});
