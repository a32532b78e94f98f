import { balloonsOf, stackLayers, touchingRing, unevenStack } from '@leggero/core/building';
import fc from 'fast-check';

const inch = (inches: number) => 25.4 * inches;
const quads = (layers: number, widthMm = inch(10)) => Array.from({ length: layers }, () => ({ count: 4, widthMm }));
const EVEN = { lean: 0, sd: 0 };

describe('a ring of circles that are not alike', () => {
  /** Elementary geometry: circles of radii 1, 2 and 3 that touch have their centres on a right triangle 3, 4, 5. */
  it('of three goes round the right triangle of 3, 4 and 5', () => {
    const { radiusMm, angles } = touchingRing([2, 4, 6]);
    expect(radiusMm).toBeCloseTo(5 / 2, 9);
    const [p, q, r] = angles.map((angle) => [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)] as const);
    const apart = ([a, b]: readonly [number, number], [c, d]: readonly [number, number]) => Math.hypot(a - c, b - d);
    expect([apart(p!, q!), apart(q!, r!), apart(r!, p!)].map((mm) => mm.toFixed(9))).toEqual([
      '3.000000000',
      '5.000000000',
      '4.000000000',
    ]);
  });

  it('closes: every one touches the next, the last the first', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 80, max: 120, noNaN: true }), { minLength: 2, maxLength: 12 }),
        (widths) => {
          const { radiusMm, angles } = touchingRing(widths);
          angles.forEach((angle, i) => {
            const next = (i + 1) % widths.length;
            const chord = 2 * radiusMm * Math.abs(Math.sin((angles[next]! - angle) / 2));
            expect(chord).toBeCloseTo((widths[i]! + widths[next]!) / 2, 5);
          });
        },
      ),
    );
  });
});

describe('a stack as it comes out', () => {
  it('of balloons that are all of their size is the stack as it was drawn', () => {
    const even = stackLayers({ layers: quads(8) });
    const made = unevenStack({ layers: quads(8), spread: EVEN, seed: 1 });
    if (!even.ok || !made.ok) throw new Error('no stack');
    // Common practice: eight layers of quads at 10 in stand 5 ft.
    expect(made.value.heightMm / inch(12)).toBeCloseTo(5, 2);
    made.value.balloons.forEach((balloon, i) => {
      const drawn = balloonsOf(even.value)[i]!;
      const offs = [balloon.xMm - drawn.xMm, balloon.yMm - drawn.yMm, balloon.zMm - drawn.zMm];
      expect(Math.hypot(...offs, balloon.widthMm - drawn.widthMm)).toBeLessThan(1e-6);
    });
  });

  it('of balloons a tenth too large is a tenth too high', () => {
    const made = unevenStack({ layers: quads(6), spread: { lean: 0.1, sd: 0 }, seed: 1 });
    const larger = stackLayers({ layers: quads(6, inch(11)) });
    if (!larger.ok || !made.ok) throw new Error('no stack');
    expect(made.value.heightMm).toBeCloseTo(larger.value.heightMm, 6);
  });

  it('is off by the spread it was asked for, and another time by another draw', () => {
    const widthsOf = (seed: number) => {
      const made = unevenStack({ layers: quads(100), spread: { lean: 0.02, sd: 0.05 }, seed });
      if (!made.ok) throw new Error('no stack');
      return made.value.balloons.map(({ widthMm }) => widthMm / inch(10) - 1);
    };
    const offs = widthsOf(3);
    const mean = offs.reduce((sum, off) => sum + off, 0) / offs.length;
    const sd = Math.sqrt(offs.reduce((sum, off) => sum + (off - mean) ** 2, 0) / (offs.length - 1));
    // Of 400 draws the mean is off by 0.0025, the spread by a thirtieth (three times each).
    expect(Math.abs(mean - 0.02)).toBeLessThan(0.0075);
    expect(Math.abs(sd / 0.05 - 1)).toBeLessThan(0.11);
    expect(widthsOf(3)).toEqual(offs);
    expect(widthsOf(4)).not.toEqual(offs);
  });

  it('says what is wrong as the even stack does', () => {
    expect(unevenStack({ layers: [], spread: EVEN, seed: 1 })).toMatchObject({ problem: { code: 'no-layers' } });
  });
});
