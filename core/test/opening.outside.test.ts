import fc from 'fast-check';

import { TRADE } from '../src';
import { leastTopperMm, passage } from '../src/building';
import { inch } from './results';

/** Turned to every angle: whether a rectangle lies in an upright one at any of them. */
function turnsInto([p, q]: readonly [number, number], [a, b]: readonly [number, number]): boolean {
  const turns = 3000;
  return Array.from({ length: turns + 1 }, (_, i) => (i / turns) * (Math.PI / 2)).some(
    (angle) =>
      p * Math.cos(angle) + q * Math.sin(angle) <= a + 1e-9 && p * Math.sin(angle) + q * Math.cos(angle) <= b + 1e-9,
  );
}

describe('a piece at a door', () => {
  const door = { wideMm: inch(32), highMm: inch(80) };

  it('goes through as it stands, turned, or not at all', () => {
    const wide = inch(24);
    expect(passage({ wideMm: wide, deepMm: wide, highMm: inch(72) }, door)).toBe('standing');
    // A tall column is carried leaning; a wide hoop goes through edge first; what is thick both ways does not.
    expect(passage({ wideMm: wide, deepMm: wide, highMm: inch(100) }, door)).toBe('turned');
    expect(passage({ wideMm: inch(72), deepMm: inch(20), highMm: inch(72) }, door)).toBe('standing');
    expect(passage({ wideMm: inch(90), deepMm: inch(20), highMm: inch(90) }, door)).toBe('no');
    expect(passage({ wideMm: inch(40), deepMm: inch(36), highMm: inch(100) }, door)).toBe('no');
    // Of a door nothing is known of, nothing is said.
    expect(passage({ wideMm: 1e6, deepMm: 1e6, highMm: 1e6 }, { wideMm: Infinity, highMm: Infinity })).toBe('standing');
    expect(passage({ wideMm: 900, deepMm: 900, highMm: 3000 }, { wideMm: Infinity, highMm: 2000 })).toBe('turned');
  });

  /** Every angle tried: the closed form must say the same, but for those that only just do or do not. */
  it('is turned across it where that is the only way', () => {
    const side = fc.double({ min: 100, max: 1000, noNaN: true });
    fc.assert(
      fc.property(side, side, side, side, (w, h, p, q) => {
        const [long, short] = [Math.max(p, q), Math.min(p, q)];
        const box = { wideMm: short, deepMm: long, highMm: 5000 };
        const goes = passage(box, { wideMm: w, highMm: h }) !== 'no';
        const opening = [Math.max(w, h), Math.min(w, h)] as const;
        const grown = (by: number) => turnsInto([long * by, short * by], opening);
        if (goes) expect(grown(0.999)).toBe(true);
        else expect(grown(1.001)).toBe(false);
      }),
      { numRuns: 200 },
    );
    // A stick of nearly no width goes across a square window, as long as its diagonal.
    expect(passage({ wideMm: 1, deepMm: 1400, highMm: 5000 }, { wideMm: 1000, highMm: 1000 })).toBe('turned');
    expect(passage({ wideMm: 30, deepMm: 1400, highMm: 5000 }, { wideMm: 1000, highMm: 1000 })).toBe('no');
  });
});

describe('a topper', () => {
  /** Common practice: on 11 in balloons 30 in or more; one of 18 in looks lost. */
  it('is large enough for what it stands on, or looks lost', () => {
    const widthMm = inch(11);
    expect(leastTopperMm({ topper: { kind: 'balloon', widthMm: inch(30) }, widthMm })).toBeNull();
    expect(leastTopperMm({ topper: { kind: 'balloon', widthMm: inch(18) }, widthMm })! / inch(30)).toBeCloseTo(1, 9);
    expect(leastTopperMm({ topper: { kind: 'figure', heightMm: inch(18) }, widthMm: inch(5) })).toBeNull();
    expect(leastTopperMm({ topper: null, widthMm })).toBeNull();
    const trade = { ...TRADE, topperShare: 1 };
    expect(leastTopperMm({ topper: { kind: 'balloon', widthMm: inch(18) }, widthMm, trade })).toBeNull();
  });
});
