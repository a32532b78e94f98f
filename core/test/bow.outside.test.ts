import fc from 'fast-check';

import { TRADE } from '../src';
import {
  bowBalloons,
  LEMNISCATE,
  ropeJoiner,
  simulatePiece,
  solveBow,
  solveColumn,
  type BowAsked,
  type BowPlan,
} from '../src/building';
import { inch, problemOf, value } from './results';

const BOW: BowAsked = { open: 'across', loop: 25, tail: 10, widthMm: inch(7.5), acrossMm: inch(96) };
const asked = (by: Partial<BowAsked> = {}) => solveBow({ bow: { ...BOW, ...by }, stepMm: inch(1 / 8) });
const bow = (by: Partial<BowAsked> = {}): BowPlan => value(asked(by));

describe('a bow of crossed duplets', () => {
  /** Common practice: 9 in balloons at 7 to 8 in, 35 duplets a side, loops closed at the 25th: about 8 ft across. */
  it('of 35 a side, closed at the 25th, is about eight feet across', () => {
    expect(bow().balloons).toBe(4 * 35);
    expect(bow({ widthMm: inch(7) }).acrossMm / inch(12)).toBeCloseTo(7.85, 1);
    expect(bow({ widthMm: inch(7.5) }).acrossMm / inch(12)).toBeCloseTo(8.4, 1);
    // More duplets brought it to about ten.
    expect(bow({ widthMm: inch(7.5), loop: 31 }).acrossMm / inch(12)).toBeCloseTo(10, 0);
  });

  /** Gauss: the lemniscate constant is pi over the arithmetic-geometric mean of 1 and the root of 2. */
  it('lies along a lemniscate as long as its loop', () => {
    let [a, g] = [1, Math.SQRT2];
    for (let i = 0; i < 8; i += 1) [a, g] = [(a + g) / 2, Math.sqrt(a * g)];
    expect(LEMNISCATE).toBeCloseTo(Math.PI / a, 14);
    const plan = bow();
    const right = bowBalloons(plan).filter(({ side, duplet }) => side === 'right' && duplet < plan.loop);
    const middles = Array.from({ length: plan.loop }, (_, duplet) => {
      const [one, other] = right.filter((each) => each.duplet === duplet);
      return [(one!.xMm + other!.xMm) / 2, (one!.zMm + other!.zMm) / 2] as const;
    });
    for (const [x, z] of middles) expect((x * x + z * z) ** 2 / (plan.lobeMm ** 2 * (x * x - z * z))).toBeCloseTo(1, 6);
    // As the crow flies a little nearer than along the curve.
    middles.slice(1).forEach(([x, z], i) => {
      const apart = Math.hypot(x - middles[i]![0], z - middles[i]![1]) / plan.riseMm;
      expect(apart).toBeLessThanOrEqual(1);
      expect(apart).toBeGreaterThan(0.98);
    });
    // It leaves the knot and comes back to it.
    for (const [x, z] of [middles[0]!, middles.at(-1)!]) expect(Math.hypot(x, z) / plan.riseMm).toBeCloseTo(0.5, 2);
    expect(Math.max(...middles.map(([x]) => x))).toBeCloseTo(plan.lobeMm, 6);
  });

  it('has both sides alike, and reaches as far as it says', () => {
    fc.assert(
      fc.property(fc.integer({ min: 14, max: 60 }), fc.integer({ min: 0, max: 30 }), (loop, tail) => {
        const plan = bow({ loop, tail });
        const all = bowBalloons(plan);
        expect(all).toHaveLength(plan.balloons);
        const right = all.filter(({ side }) => side === 'right');
        all
          .filter(({ side }) => side === 'left')
          .forEach((left, i) => {
            expect(left.xMm).toBeCloseTo(-right[i]!.xMm, 9);
            expect([left.yMm, left.zMm]).toEqual([right[i]!.yMm, right[i]!.zMm]);
          });
        const reach = 2 * Math.max(...right.map(({ xMm }) => xMm + plan.widthMm / 2));
        expect(reach).toBeLessThanOrEqual(plan.acrossMm + 1e-6);
        expect(reach).toBeGreaterThan(plan.acrossMm - 2 * plan.widthMm);
        // Necks are tied to the rope: half a width from every middle.
        for (const { neck } of all) expect(Math.hypot(...neck)).toBeCloseTo(1, 9);
      }),
    );
  });

  it('has tails that leave the knot sideways and then fall', () => {
    const plan = bow({ tail: 20 });
    const tail = bowBalloons(plan).filter(({ side, duplet }) => side === 'right' && duplet >= plan.loop);
    expect(tail[0]!.xMm).toBeGreaterThan(0);
    expect(Math.abs(tail[0]!.zMm)).toBeLessThan(plan.widthMm);
    expect(Math.min(...tail.map(({ zMm }) => zMm))).toBeLessThan(-0.8 * plan.tailMm);
  });

  it('is worked out from its width: whole duplets, or the size that lands, and nothing is left of that', () => {
    const loops = bow({ open: 'loop', acrossMm: inch(120) });
    expect(Math.abs(loops.offMm)).toBeLessThan(bow({ loop: loops.loop + 1 }).acrossMm - loops.acrossMm);
    expect(bow({ loop: loops.loop, widthMm: loops.exactMm }).acrossMm).toBeCloseTo(inch(120), 6);
    const size = bow({ open: 'size', acrossMm: inch(60) });
    expect(size.widthMm / inch(1 / 8)).toBeCloseTo(Math.round(size.widthMm / inch(1 / 8)), 6);
    expect(Math.abs(size.offMm)).toBeLessThan(inch(1));
  });

  it('says what is wrong', () => {
    expect(problemOf(asked({ loop: 8 }))).toMatchObject({
      code: 'loop-too-small',
      field: 'loop',
      detail: { least: 14 },
    });
    expect(problemOf(asked({ open: 'loop', acrossMm: inch(30) }))).toMatchObject({
      code: 'loop-too-small',
      field: 'acrossMm',
    });
    expect(problemOf(asked({ open: 'loop', acrossMm: 0 }))).toMatchObject({ code: 'bad-across', field: 'acrossMm' });
    expect(problemOf(asked({ tail: -1 }))).toMatchObject({ code: 'bad-tail', field: 'tail' });
    expect(problemOf(asked({ loop: 0 }))).toMatchObject({ code: 'no-layers', field: 'loop' });
    expect(problemOf(asked({ loop: 120 }))).toMatchObject({ code: 'too-many-layers', detail: { most: 90 } });
    expect(problemOf(asked({ widthMm: -3 }))).toMatchObject({ code: 'bad-width', field: 'widthMm' });
    expect(
      problemOf(solveBow({ bow: { ...BOW, open: 'size', acrossMm: 9000 }, stepMm: 3, mostMm: 200 })),
    ).toMatchObject({
      code: 'outside-useful',
    });
    expect(problemOf(solveBow({ bow: BOW, stepMm: 0 }))).toMatchObject({ code: 'bad-step' });
  });

  /** Closed form: of two independent halves each of the deviation s the difference has s times the root of 2. */
  it('has loops that differ as two independent ropes do', () => {
    const layers = Array.from({ length: 24 }, () => ({ count: 2, widthMm: 200 }));
    const piece = { layers, heldBy: 'pole', fixedMm: 0, twin: true } as const;
    const made = value(simulatePiece({ piece, spread: { lean: 0, sd: 0.03 }, trials: 2000, seed: 4 }));
    const { found } = made.measures.mismatch!;
    expect(made.measures.height).toBeUndefined();
    const a = (TRADE.packing / Math.SQRT2) * 200;
    const half = ((0.03 * 1) / Math.SQRT2) * a * Math.sqrt(10 + 2 / 4);
    // The mean of what is off either way is sqrt(2 / pi) of its deviation.
    expect(found.mean / (half * Math.SQRT2 * Math.sqrt(2 / Math.PI))).toBeCloseTo(1, 1);
  });
});

describe('a rope of crossed duplets', () => {
  /** Common practice: sixty 5 in balloons at exactly 4 in, joined by a single stretched 260. */
  it('of sixty at 4 in is six feet long, on one 260', () => {
    const rope = {
      count: 2,
      open: 'height',
      layers: 30,
      widthMm: inch(4),
      heightMm: 0,
      standMm: 0,
      topper: null,
    } as const;
    const { heightMm, balloons } = value(solveColumn({ column: rope, stepMm: 1 }));
    expect(balloons).toBe(60);
    expect(heightMm / inch(12)).toBeCloseTo(6.1, 1);
    const joiner = value(ropeJoiner({ lengthMm: heightMm, joinerMm: inch(60) }));
    expect(joiner.pieces).toBe(1);
    expect(joiner.pull).toBeLessThanOrEqual(TRADE.ropePull);
    expect(joiner.pull * joiner.restMm).toBeCloseTo(heightMm, 6);
  });

  it('longer than one carries takes two, each pulled half as far', () => {
    const one = value(ropeJoiner({ lengthMm: inch(60), joinerMm: inch(60) }));
    const two = value(ropeJoiner({ lengthMm: 1.001 * one.reachMm, joinerMm: inch(60) }));
    expect([one.pieces, two.pieces]).toEqual([1, 2]);
    expect(two.pull).toBeCloseTo(TRADE.ropePull / 2, 1);
    expect(problemOf(ropeJoiner({ lengthMm: 0, joinerMm: 1524 }))).toMatchObject({ code: 'bad-length' });
  });
});
