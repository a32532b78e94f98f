import fc from 'fast-check';

import {
  balloonsOf,
  halfAxes,
  learnPacking,
  ringRadiusMm,
  solveColumn,
  stackLayers,
  type ColumnAsked,
  type Layer,
  type StackedBalloon,
} from '../src/building';
import { keptApart } from '../src/garland';
import { normalFrom, randomFrom, TRADE } from '../src';
import { inch, value } from './results';

const equal = (count: number, layers: number, widthMm: number): Layer[] =>
  Array.from({ length: layers }, () => ({ count, widthMm }));

describe('touching layers of equal spheres', () => {
  /**
   * Heights of uniform antiprisms of edge 1: sqrt(1 - sec^2(pi / 2n) / 4) (Cromwell, Polyhedra, 1997). Crossed duplets
   * are a tetrahedron on its edge, 1 / sqrt(2); triplets an octahedron, sqrt(2 / 3); the square antiprism is 2^(-1/4),
   * the pentagonal one sqrt((5 + sqrt 5) / 10), the hexagonal one sqrt(sqrt 3 - 1).
   */
  it.each([
    [2, Math.SQRT1_2],
    [3, Math.sqrt(2 / 3)],
    [4, 2 ** -0.25],
    [5, Math.sqrt((5 + Math.sqrt(5)) / 10)],
    [6, Math.sqrt(Math.sqrt(3) - 1)],
    [8, Math.sqrt(1 - 1 / Math.cos(Math.PI / 16) ** 2 / 4)],
  ])('of %i rise by the height of the antiprism', (count, rise) => {
    const { layers, heightMm } = value(stackLayers({ layers: equal(count, 5, 100), packing: 1 }));
    for (const layer of layers.slice(1)) expect(layer.riseMm / 100).toBeCloseTo(rise, 9);
    expect(heightMm).toBeCloseTo(100 * (4 * rise + 1), 6);
  });

  /** A sphere on three that touch is a tetrahedron: sqrt(2 / 3); on four, a pyramid: 1 / sqrt(2) (closest packing). */
  it('carry one more as closest packings do', () => {
    for (const [count, rise] of [
      [3, Math.sqrt(2 / 3)],
      [4, Math.SQRT1_2],
    ] as const) {
      const { layers } = value(
        stackLayers({
          layers: [
            { count, widthMm: 100 },
            { count: 1, widthMm: 100 },
          ],
          packing: 1,
        }),
      );
      expect(layers[1]!.riseMm / 100).toBeCloseTo(rise, 9);
    }
  });
});

describe('common practice', () => {
  it('has eight layers of quads at 10 in make 5 ft, on a pole', () => {
    const { heightMm, balloons } = value(stackLayers({ layers: equal(4, 8, inch(10)) }));
    expect(balloons).toBe(32);
    expect(heightMm / inch(12)).toBeCloseTo(5, 2);
  });

  it('has twelve layers of quints from 3½ in up by half inches fill a 5 ft pole but for less than a layer', () => {
    const layers = Array.from({ length: 12 }, (_, i) => ({ count: 5, widthMm: inch(3.5 + i / 2) }));
    const { heightMm } = value(stackLayers({ layers }));
    expect(heightMm / inch(12)).toBeGreaterThan(4.4);
    expect(heightMm / inch(12)).toBeLessThan(5.1);
  });

  it('has a column with a large topper pass under a ceiling of 8 ft', () => {
    const column: ColumnAsked = {
      ...{ count: 4, open: 'height', layers: 8, widthMm: inch(10), heightMm: 0, standMm: inch(0.5) },
      topper: { kind: 'balloon', widthMm: inch(30) },
    };
    const { heightMm, leastTopperMm } = value(solveColumn({ column, stepMm: inch(1 / 8) }));
    expect(heightMm).toBeLessThan(inch(96));
    expect(leastTopperMm).toBeNull();
    const lost = value(
      solveColumn({ column: { ...column, topper: { kind: 'balloon', widthMm: inch(18) } }, stepMm: inch(1 / 8) }),
    );
    expect(lost.leastTopperMm! / inch(1)).toBeCloseTo(27.3, 1);
  });
});

describe('an organic column: clusters of three to five on a pole, larger ones at the foot, prints apart', () => {
  const clusters: Layer[] = [
    { count: 5, widthMm: inch(10) },
    { count: 4, widthMm: inch(10) },
    { count: 5, widthMm: inch(9) },
    { count: 3, widthMm: inch(10) },
    { count: 4, widthMm: inch(8.5) },
    { count: 3, widthMm: inch(8) },
    { count: 4, widthMm: inch(7.5) },
    { count: 3, widthMm: inch(7) },
  ];

  it('stands in as many balloons as its clusters have, thinner to the eye than quads of its largest', () => {
    const stack = value(stackLayers({ layers: clusters }));
    expect(stack.balloons).toBe(31);
    expect(stack.heightMm).toBeLessThan(value(stackLayers({ layers: equal(4, 8, inch(10)) })).heightMm);
    // Each cluster goes on above the one before, and holds there: none falls through or around.
    for (const { riseMm, radiusMm } of stack.layers.slice(1)) {
      expect(riseMm).toBeGreaterThan(radiusMm / 2);
      expect(riseMm).toBeLessThan(inch(10));
    }
  });

  it('keeps its six prints from lying side by side', () => {
    const balloons = balloonsOf(value(stackLayers({ layers: clusters })));
    const touching = balloons.flatMap((a, i) =>
      balloons.slice(i + 1).flatMap((b, j) => {
        const apart = Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm, a.zMm - b.zMm);
        return apart < ((a.widthMm + b.widthMm) / 2) * 1.02 ? [i, i + 1 + j] : [];
      }),
    );
    const first = balloons.map((_, i) => (i < 6 ? 1 : 0));
    const { prints, colours } = keptApart({
      balloons: balloons.map(() => ({ size: 'alike' })),
      ...{ first, colours: [{ print: false }, { print: true }], pairs: touching, seed: 19 },
    });
    expect(prints).toBe(0);
    expect(colours.filter((each) => each === 1)).toHaveLength(6);
    for (let p = 0; p < touching.length; p += 2)
      expect(colours[touching[p]!]! + colours[touching[p + 1]!]!).toBeLessThan(2);
  });
});

/** Whether two ellipsoids overlap, by looking along many directions for one that parts them: no formula of contact. */
function partedMost(a: StackedBalloon, b: StackedBalloon, countA: number, countB: number): number {
  const [x, y, z] = [b.xMm - a.xMm, b.yMm - a.yMm, b.zMm - a.zMm];
  const reach = ({ outwards, ...balloon }: StackedBalloon, count: number, nx: number, ny: number, nz: number) => {
    const { outMm, acrossMm, upMm } = halfAxes({ ...balloon, count });
    const angle = outwards ?? 0;
    const [out, across] = [nx * Math.cos(angle) + ny * Math.sin(angle), ny * Math.cos(angle) - nx * Math.sin(angle)];
    return Math.hypot(out * outMm, across * acrossMm, nz * upMm);
  };
  const gap = (tilt: number, round: number) => {
    const n = [Math.cos(tilt) * Math.cos(round), Math.cos(tilt) * Math.sin(round), Math.sin(tilt)] as const;
    return n[0] * x + n[1] * y + n[2] * z - reach(a, countA, ...n) - reach(b, countB, ...n);
  };
  // From the line of centres, ever finer steps to whichever direction parts them more.
  let [tilt, round] = [Math.atan2(z, Math.hypot(x, y)), Math.atan2(y, x)];
  let best = gap(tilt, round);
  for (let step = 0.5; step > 1e-7; step /= 2) {
    for (let moved = true; moved;) {
      moved = false;
      for (const [dt, dr] of [
        [step, 0],
        [-step, 0],
        [0, step],
        [0, -step],
      ] as const) {
        const at = gap(tilt + dt, round + dr);
        if (at > best + 1e-12) [tilt, round, best, moved] = [tilt + dt, round + dr, at, true];
      }
    }
  }
  return best;
}

const someLayers = fc.array(
  fc.record({
    count: fc.constantFrom(2, 3, 4, 5, 6, 8),
    widthMm: fc.double({ min: 90, max: 200, noNaN: true }),
    aspect: fc.constantFrom(1, 1, 1.1, 1.3),
  }),
  { minLength: 2, maxLength: 6 },
);

describe('unequal layers', () => {
  it('touch what they rest on, and overlap nothing below, by a contact test that knows no formula', () => {
    let stood = 0;
    fc.assert(
      fc.property(someLayers, (layers) => {
        const made = stackLayers({ layers, packing: 1 });
        if (!made.ok) {
          expect(made.problem.code).toBe('no-hold');
          return;
        }
        stood += 1;
        const balloons = balloonsOf(made.value);
        const gaps = new Map<number, number>();
        for (const upper of balloons) {
          for (const lower of balloons) {
            if (lower.layer >= upper.layer) continue;
            const far = Math.hypot(upper.xMm - lower.xMm, upper.yMm - lower.yMm, upper.zMm - lower.zMm);
            if (far > (upper.widthMm * upper.aspect + lower.widthMm * lower.aspect) / 2 + 1) continue;
            const gap = partedMost(lower, upper, layers[lower.layer]!.count, layers[upper.layer]!.count);
            gaps.set(upper.layer, Math.min(gaps.get(upper.layer) ?? Infinity, gap));
          }
        }
        for (const gap of gaps.values()) expect(Math.abs(gap)).toBeLessThan(0.02);
        expect(gaps.size).toBe(layers.length - 1);
      }),
      { numRuns: 40, seed: 18 },
    );
    expect(stood).toBeGreaterThan(25);
  });

  it('touch their own neighbours within the ring, longer balloons too', () => {
    for (const count of [2, 3, 4, 5, 6, 9]) {
      for (const aspect of [0.8, 1, 1.25]) {
        const layer = { count, widthMm: 100, aspect };
        const [first, second] = balloonsOf(value(stackLayers({ layers: [layer] })));
        expect(partedMost(first!, second!, count, count)).toBeCloseTo(0, 3);
        expect(ringRadiusMm(layer)).toBeGreaterThan(0);
      }
    }
  });

  it('rest on the last but one where the one between is small', () => {
    const layers = [100, 30, 100].map((widthMm) => ({ count: 4, widthMm }));
    const { layers: stacked } = value(stackLayers({ layers, packing: 1 }));
    expect(stacked[2]!.heightMm - stacked[0]!.heightMm).toBeCloseTo(100, 9);
  });

  it('scale as a whole, and packing softens every rise alike', () => {
    fc.assert(
      fc.property(someLayers, fc.double({ min: 0.5, max: 1, noNaN: true }), (layers, packing) => {
        const [touching, softened] = [1, packing].map((each) => stackLayers({ layers, packing: each }));
        if (!touching!.ok || !softened!.ok) return;
        const double = value(
          stackLayers({ layers: layers.map((each) => ({ ...each, widthMm: 2 * each.widthMm })), packing }),
        );
        expect(double.heightMm).toBeCloseTo(2 * softened!.value.heightMm, 5);
        softened!.value.layers.forEach(({ riseMm }, i) =>
          expect(riseMm).toBeCloseTo(packing * touching!.value.layers[i]!.riseMm, 6),
        );
      }),
      { numRuns: 100, seed: 18 },
    );
  });

  it('are refused where they cannot be, with the field', () => {
    const code = (layers: Layer[], more = {}) => {
      const made = stackLayers({ layers, ...more });
      return made.ok ? 'stands' : `${made.problem.code} ${made.problem.field}`;
    };
    expect(code([])).toBe('no-layers layers');
    expect(code(equal(4, 10_000, 250))).toBe('too-many-layers layers');
    expect(code([{ count: 0, widthMm: 100 }])).toBe('bad-count layers.0.count');
    expect(code([{ count: 4.5, widthMm: 100 }])).toBe('bad-count layers.0.count');
    expect(code([...equal(4, 1, 100), { count: 4, widthMm: NaN }])).toBe('bad-width layers.1.widthMm');
    expect(code([{ count: 4, widthMm: 100, aspect: 9 }])).toBe('bad-aspect layers.0.aspect');
    expect(code(equal(4, 2, 100), { packing: 0 })).toBe('bad-packing packing');
    // A ring of tiny ones falls through a large one, and one of sixteen around a small.
    expect(
      code([
        { count: 6, widthMm: 200 },
        { count: 4, widthMm: 20 },
      ]),
    ).toBe('no-hold layers.1.widthMm');
    expect(
      code([
        { count: 4, widthMm: 60 },
        { count: 16, widthMm: 100 },
      ]),
    ).toBe('no-hold layers.1.widthMm');
  });
});

describe('packing', () => {
  /** The published way round: stacks are made with a packing that is known, measured with errors, and it is found. */
  it('is found again from measured stacks, as often as its interval says', () => {
    const random = randomFrom(1818);
    const normal = () => normalFrom(random);
    let held = 0;
    const trials = 400;
    let widest = 0;
    for (let trial = 0; trial < trials; trial += 1) {
      const own = TRADE.packing + TRADE.packingSd * normal();
      const stacks = [1, 2].map(() => {
        const layers = equal(4, 6 + Math.floor(4 * random()), inch(8 + Math.floor(4 * random())));
        // All of them off alike, as a hole that is a little too wide has it; the tape; and no two stacks are one.
        const lean = TRADE.holeSdMm.label * normal();
        const made = layers.map((layer) => ({ ...layer, widthMm: layer.widthMm + lean }));
        const packing = own + TRADE.packingBetween * normal();
        const { heightMm } = value(stackLayers({ layers: made, packing }));
        return { layers, heightMm: heightMm + TRADE.stackSdMm * normal() };
      });
      const { interval } = value(learnPacking({ stacks }));
      widest = Math.max(widest, interval[1] - interval[0]);
      if (own >= interval[0] && own <= interval[1]) held += 1;
    }
    // 95 in 100, and what chance leaves of 400: three standard errors.
    expect(held / trials).toBeGreaterThan(0.95 - 0.033);
    expect(held / trials).toBeLessThan(0.95 + 0.033);
    expect(widest).toBeLessThan(4 * TRADE.packingSd);
  });

  it('of one tall column outweighs what was expected, and its heights follow', () => {
    const layers = equal(4, 10, inch(10));
    const heightMm = value(stackLayers({ layers, packing: 0.9 })).heightMm;
    const { packing, stacks } = value(learnPacking({ stacks: [{ layers, heightMm }] }));
    expect(stacks[0]!.packing).toBeCloseTo(0.9, 9);
    expect(packing).toBeGreaterThan(0.89);
    expect(value(stackLayers({ layers, packing })).heightMm).toBeGreaterThan(0.985 * heightMm);
  });

  it('is not learned from what cannot be', () => {
    const code = (stacks: { layers: Layer[]; heightMm: number }[]) => {
      const made = learnPacking({ stacks });
      return made.ok ? 'learned' : `${made.problem.code} ${made.problem.field}`;
    };
    expect(code([])).toBe('no-stacks stacks');
    expect(code([{ layers: equal(4, 1, 100), heightMm: 100 }])).toBe('too-few-layers stacks.0.layers');
    expect(code([{ layers: equal(4, 8, 254), heightMm: 254 }])).toBe('bad-height stacks.0.heightMm');
    expect(code([{ layers: [{ count: 4, widthMm: -1 }], heightMm: 254 }])).toBe('bad-width stacks.0.layers.0.widthMm');
  });
});

describe('a column', () => {
  const column: ColumnAsked = {
    ...{ count: 4, open: 'layers', layers: 8, widthMm: inch(10), heightMm: inch(72), standMm: inch(0.5) },
    topper: null,
  };
  const stepMm = inch(1 / 8);

  it('is solved for whichever is open, and each answer gives the others back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(2, 3, 4, 5, 6),
        fc.integer({ min: 2, max: 40 }),
        fc.double({ min: 60, max: 400, noNaN: true }),
        fc.constantFrom('none', 'figure', 'balloon'),
        (count, layers, widthMm, kind) => {
          const own = { none: null, figure: { kind, heightMm: 500 }, balloon: { kind, widthMm: 2.5 * widthMm } }[kind];
          const topper = own as ColumnAsked['topper'];
          const asked: ColumnAsked = { count, open: 'height', layers, widthMm, heightMm: 0, standMm: 12, topper };
          const first = value(solveColumn({ column: asked, stepMm }));
          const { heightMm } = first;
          if (heightMm > 30_000) return;
          const again = value(solveColumn({ column: { ...asked, open: 'layers', layers: 1, heightMm }, stepMm }));
          expect(again.layers).toBe(layers);
          expect(again.offMm).toBeCloseTo(0, 6);
          expect(again.exactMm).toBeCloseTo(widthMm, 3);
          const size = value(solveColumn({ column: { ...asked, open: 'size', widthMm: 1, heightMm }, stepMm }));
          expect(size.exactMm).toBeCloseTo(widthMm, 3);
          expect(Math.abs(size.widthMm - widthMm)).toBeLessThanOrEqual(stepMm / 2 + 1e-3);
          expect(first.balloons).toBe(count * layers);
        },
      ),
      { numRuns: 60, seed: 18 },
    );
  });

  it('finds the size under a topper that larger balloons would let fall through', () => {
    const topper = { kind: 'balloon', widthMm: 150 } as const;
    const sixes: ColumnAsked = { ...column, count: 6, layers: 9, widthMm: 60, open: 'height', topper };
    const { heightMm } = value(solveColumn({ column: sixes, stepMm }));
    expect(value(solveColumn({ column: { ...sixes, open: 'size', heightMm }, stepMm })).exactMm).toBeCloseTo(60, 3);
  });

  it('takes the whole number of layers that is nearest', () => {
    const { layers, offMm } = value(solveColumn({ column, stepMm }));
    for (const other of [layers - 1, layers + 1]) {
      const made = value(solveColumn({ column: { ...column, open: 'height', layers: other }, stepMm }));
      expect(Math.abs(made.heightMm - inch(72))).toBeGreaterThan(Math.abs(offMm));
    }
  });

  it('has a pole to the middle of its topmost layer', () => {
    const { poleMm, heightMm } = value(solveColumn({ column: { ...column, open: 'height' }, stepMm }));
    expect(heightMm - poleMm).toBeCloseTo(inch(5), 6);
  });

  it('is refused with the field to blame', () => {
    const code = (by: Partial<ColumnAsked>, more = {}) => {
      const made = solveColumn({ column: { ...column, ...by }, stepMm, ...more });
      return made.ok ? 'stands' : `${made.problem.code} ${made.problem.field}`;
    };
    expect(code({ open: 'height', layers: 0 })).toBe('no-layers layers');
    expect(code({ open: 'height', layers: 10_000 })).toBe('too-many-layers layers');
    expect(code({ heightMm: inch(4) })).toBe('bad-height heightMm');
    expect(code({ heightMm: 29_000, widthMm: 50 })).toBe('too-many-layers heightMm');
    expect(code({ heightMm: NaN })).toBe('bad-height heightMm');
    expect(code({ widthMm: 0 })).toBe('bad-width widthMm');
    expect(code({ count: 0 })).toBe('bad-count count');
    expect(code({ standMm: -1 })).toBe('bad-stand standMm');
    expect(code({}, { stepMm: 0 })).toBe('bad-step stepMm');
    expect(code({ open: 'size', layers: 2 }, { mostMm: 300 })).toBe('outside-useful widthMm');
    expect(code({ open: 'height', topper: { kind: 'balloon', widthMm: 20 } })).toBe('no-hold topper');
  });
});
