import fc from 'fast-check';

import {
  chooseHole,
  holeOn,
  holesProblem,
  learnSqueeze,
  nearestHole,
  passedWidth,
  printedScale,
  widthCost,
  type Sizing,
} from '../src';
import { proposeSizes, type WantedWidth } from '../src/gauge/template';

const caliper = (day: number, acrossMm: number, downMm?: number) => ({
  day,
  acrossMm,
  downMm,
  way: 'caliper' as const,
});

describe('holeOn', () => {
  it('is its label until someone measures it', () => {
    expect(holeOn({ labelledMm: 228.6, measurements: [] })).toMatchObject({
      widthMm: 228.6,
      offMm: 0,
      origin: 'rule',
      wearMm: null,
    });
  });

  it('is what the first measurement found on every day before it: a label was never right', () => {
    const hole = { labelledMm: 228.6, measurements: [caliper(100, 225)] };
    expect(holeOn(hole, 3)).toMatchObject({
      widthMm: 225,
      offMm: expect.closeTo(-3.6, 9),
      origin: 'measured',
    });
  });

  it('wears straight from one measurement to the next', () => {
    const hole = { labelledMm: 228.6, measurements: [caliper(200, 230.6), caliper(100, 228.6)] };
    expect(holeOn(hole, 150)).toMatchObject({
      widthMm: expect.closeTo(229.6, 9),
      wearMm: expect.closeTo(2, 9),
    });
    expect(holeOn(hole).widthMm).toBeCloseTo(230.6, 9);
    expect(holeOn(hole, 100).widthMm).toBeCloseTo(228.6, 9);
  });

  it('shows an oval hole and is less sure of it', () => {
    const round = holeOn({ labelledMm: 228.6, measurements: [caliper(1, 228, 228)] });
    const oval = holeOn({ labelledMm: 228.6, measurements: [caliper(1, 226, 230)] });
    expect(oval.widthMm).toBeCloseTo(228, 9);
    expect(oval.ovalMm).toBeCloseTo(4, 9);
    expect(oval.sdMm).toBeCloseTo(Math.hypot(round.sdMm, 4 / Math.sqrt(12)), 9);
  });
});

describe('holesProblem', () => {
  it.each([
    [
      'hole-twice',
      [
        ['8', 200],
        ['9', 200],
      ],
      1,
    ],
    [
      'holes-out-of-order',
      [
        ['8', 200],
        ['9', 230],
        ['9 1/2', 229],
      ],
      2,
    ],
    ['bad-hole', [['8', 0]], 0],
  ] as [string, [string, number][], number][])('finds %s', (code, holes, index) => {
    const rows = holes.map(([label, widthMm]) => ({ label, widthMm }));
    expect(holesProblem(rows)).toMatchObject({ code, index });
  });
  it('lets a row from small to large stand', () => {
    expect(
      holesProblem([
        { label: '8', widthMm: 203 },
        { label: '9', widthMm: 229 },
      ]),
    ).toBeNull();
  });
});

describe('chooseHole with measured holes', () => {
  const holes = [{ widthMm: 222 }, { widthMm: 235 }];
  it('takes the hole whose balloon is of the target’s size once squeezed through', () => {
    const soft = holes.map((hole) => ({ ...hole, passesMm: hole.widthMm * 1.03 }));
    expect(chooseHole({ targetMm: 228.6, holes })).toMatchObject({
      ok: true,
      value: { how: 'gap', hole: { widthMm: 235 } },
    });
    expect(chooseHole({ targetMm: 228.6, holes: soft })).toMatchObject({
      ok: true,
      value: { how: 'just-passes', hole: { widthMm: 222 } },
    });
  });
  it('tells what the nearest hole costs: common practice, eight layers of quads at 10 in make 5 ft', () => {
    expect(nearestHole(holes, 228)).toMatchObject({ hole: { widthMm: 222 }, offMm: -6 });
    const cost = widthCost({ targetMm: 254, widthMm: 247.65 });
    expect(cost.columnMm).toBeCloseTo(-1524 / 40, 6);
    expect(cost.chainMm).toBeCloseTo(20 * -6.35, 6);
    expect(cost.airRatio).toBeCloseTo(0.975 ** 3, 9);
  });
});

describe('learnSqueeze', () => {
  const NOMINAL = 279.4;
  const seen = (count: number, share: number, softShare: number): Sizing[] =>
    Array.from({ length: count }, (_, i) => {
      const widthMm = 180 + (i % 8) * 10;
      return {
        widthMm,
        nominalMm: NOMINAL,
        holeMm: widthMm / (1 + share + softShare * (1 - widthMm / NOMINAL)),
      };
    });

  it('goes by the assumed law until a balloon was measured after sizing, then towards what was seen', () => {
    const assumed = learnSqueeze([]);
    expect(assumed.origin).toBe('rule');
    const few = learnSqueeze(seen(4, 0.03, 0.05));
    const many = learnSqueeze(seen(200, 0.03, 0.05));
    expect(few.share).toBeGreaterThan(assumed.share);
    expect(few.share).toBeLessThan(many.share);
    expect(many.share).toBeCloseTo(0.03, 2);
    expect(many).toMatchObject({ origin: 'measured', sizings: 200 });
  });

  it('makes a soft balloon wider than a firm one of the same hole', () => {
    const squeeze = learnSqueeze([]);
    const soft = passedWidth({ holeMm: 203, nominalMm: 406, squeeze }).widthMm;
    const firm = passedWidth({ holeMm: 203, nominalMm: 220, squeeze }).widthMm;
    expect(soft).toBeGreaterThan(firm);
    expect(firm).toBeGreaterThan(203);
    // The width solves its own equation.
    expect(soft).toBeCloseTo(203 * (1 + squeeze.share + squeeze.softShare * (1 - soft / 406)), 9);
  });
});

describe('proposeSizes', () => {
  const sizes = (asked: Parameters<typeof proposeSizes>[0]) => {
    const proposed = proposeSizes(asked);
    if (!proposed.ok) throw new Error(proposed.problem.code);
    return proposed.value;
  };

  const cost = (wanted: readonly WantedWidth[], chosen: readonly number[]) =>
    wanted.reduce(
      (sum, { widthMm, weight }) => sum + weight * Math.min(...chosen.map((size) => Math.abs(size - widthMm))),
      0,
    );

  it('is as cheap as the best of all choices, for any wishes', () => {
    const wishes = fc.array(
      fc.record({ widthMm: fc.integer({ min: 10, max: 24 }), weight: fc.integer({ min: 1, max: 5 }) }),
      { minLength: 1, maxLength: 9 },
    );
    fc.assert(
      fc.property(wishes, fc.integer({ min: 1, max: 3 }), (wanted, most) => {
        const proposed = sizes({ wanted, stepMm: 1, most }).map(({ widthMm }) => widthMm);
        const all = [...new Set(wanted.map(({ widthMm }) => widthMm))];
        const choices = all.flatMap((a) => all.flatMap((b) => all.map((c) => [a, b, c].slice(0, most))));
        const best = Math.min(...choices.map((choice) => cost(wanted, choice)));
        expect(cost(wanted, proposed)).toBeCloseTo(best, 9);
        expect(proposed.length).toBeLessThanOrEqual(most);
      }),
      { numRuns: 150 },
    );
  });

  it('rounds to the step, says how much each serves, and gives nothing for nothing', () => {
    const proposed = sizes({
      wanted: [
        { widthMm: 229.1, weight: 3 },
        { widthMm: 254.3, weight: 1 },
      ],
      stepMm: 3.175,
      most: 8,
    });
    expect(proposed.map(({ widthMm }) => widthMm / 3.175)).toEqual([72, 80].map((n) => expect.closeTo(n, 9)));
    expect(proposed.map(({ share }) => share)).toEqual([0.75, 0.25]);
    expect(sizes({ wanted: [], stepMm: 3.175, most: 8 })).toEqual([]);
  });
});

describe('printedScale', () => {
  it('reads a printer that stretches one way only', () => {
    expect(printedScale({ acrossMm: 98, downMm: 100 })).toEqual({
      ok: true,
      value: { across: 0.98, down: 1 },
    });
    expect(printedScale({ acrossMm: 98 })).toEqual({ ok: true, value: { across: 0.98, down: 0.98 } });
  });
  it.each([0, 1000, -100, NaN])('refuses a bar of %d mm', (acrossMm) => {
    expect(printedScale({ acrossMm })).toMatchObject({
      ok: false,
      problem: { code: 'bar-out-of-reach', field: 'acrossMm' },
    });
    expect(printedScale({ acrossMm: 100, downMm: acrossMm })).toMatchObject({
      ok: false,
      problem: { field: 'downMm' },
    });
  });
});
