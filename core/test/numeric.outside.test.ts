import fc from 'fast-check';
import { bisect as reference } from 'simple-statistics';

import { bisect, rootWithin, settle } from '../src/numeric';

describe('where a function passes nought, against bisection of simple-statistics', () => {
  it.each([
    ['a line', (x: number) => 3 * x - 1, 0, 2],
    ['a cosine', Math.cos, 0, 3],
    ['a cube that is flat at its root', (x: number) => (x - 0.7) ** 3, -1, 2],
    ['one that falls', (x: number) => Math.exp(-x) - 0.2, 0, 9],
  ])('%s', (_, of, low, high) => {
    const wanted = reference(of, low, high, 200, 1e-12);
    expect(rootWithin({ of, low, high, within: 1e-12 })).toBeCloseTo(wanted, 4);
    const rising = of(low) < 0;
    expect(bisect({ holds: (x) => of(x) < 0 === rising, low, high }).low).toBeCloseTo(wanted, 9);
  });

  it('takes the nearer end when both ends lie on one side', () => {
    expect(rootWithin({ of: (x) => x + 1, low: 0, high: 5, within: 1e-9 })).toBe(0);
    expect(rootWithin({ of: (x) => x - 9, low: 0, high: 5, within: 1e-9 })).toBe(5);
  });
});

describe('halving', () => {
  it('keeps the turn between its two ends, whichever of them is larger', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.99, noNaN: true }), fc.boolean(), (turn, down) => {
        const holds = (x: number) => (down ? x > turn : x < turn);
        const { low, high } = bisect({ holds, low: down ? 1 : 0, high: down ? 0 : 1 });
        expect(holds(low)).toBe(true);
        expect(holds(high)).toBe(false);
        expect(Math.abs(high - low)).toBeLessThan(1e-15);
      }),
    );
  });
});

describe('steps that settle', () => {
  it('find square roots as Heron did', () => {
    for (const number of [2, 10, 1e-6, 1e9]) {
      const root = settle({ from: number, next: (x) => (x + number / x) / 2, within: 1e-14 });
      expect(root / Math.sqrt(number)).toBeCloseTo(1, 12);
    }
  });

  it('come back from a step that left the positive numbers, and end where none settles', () => {
    // Newton's steps for x ** 3 = 8 with a first one thrown far below nought.
    let thrown = false;
    const next = (x: number) => {
      if (!thrown) {
        thrown = true;
        return -5;
      }
      return x - (x ** 3 - 8) / (3 * x * x);
    };
    expect(settle({ from: 3, next, within: 1e-12 })).toBeCloseTo(2, 9);
    expect(settle({ from: 1, next: (x) => 2 * x, within: 1e-9, most: 10 })).toBe(1024);
  });
});
