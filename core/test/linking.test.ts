import fc from 'fast-check';

import {
  alikeSizes,
  basket,
  closingOf,
  closingShare,
  closingTolerance,
  formOf,
  formSteps,
  handleFor,
  handleSpanMm,
  oneWrong,
  ringOf,
  ringsFor,
  ringStack,
  simulateClosing,
  snapForm,
  standingForm,
} from '../src/linking';
import { TRADE } from '../src/trade';
import { inch, problemOf, value } from './results';

describe('rings', () => {
  it('refuses a ring of two', () => {
    expect(problemOf(ringOf({ count: 2, pitchMm: 130 }))).toMatchObject({
      code: 'too-few-balloons',
      field: 'count',
      detail: { least: 3 },
    });
    expect(problemOf(ringOf({ count: 6, pitchMm: 0 }))).toMatchObject({ code: 'bad-pitch' });
    expect(problemOf(ringOf({ count: 6, pitchMm: 100, widthMm: -1 }))).toMatchObject({ code: 'bad-width' });
  });

  it('three that meet in the middle leave nothing clear', () => {
    expect(value(ringOf({ count: 3, pitchMm: 100, widthMm: 130 })).insideMm).toBe(0);
  });

  it('finds no ring where the balloons are too large for the pole', () => {
    const asked = { fit: 'around' as const, jointMm: 5, stepMm: 3, leastMm: 100, mostMm: 130 };
    expect(problemOf(ringsFor({ diameterMm: 10, ...asked }))).toMatchObject({ code: 'none-fits' });
    expect(problemOf(ringsFor({ diameterMm: 0, ...asked }))).toMatchObject({ code: 'bad-diameter' });
    expect(problemOf(ringsFor({ diameterMm: 100, ...asked, mostMm: 50 }))).toMatchObject({
      code: 'bad-width',
    });
    expect(problemOf(ringsFor({ diameterMm: 100, ...asked, stepMm: -1 }))).toMatchObject({
      code: 'bad-step',
    });
  });

  it('a ring that is much larger than the one below finds no hold', () => {
    const ring = (widthMm: number) => ({ widthMm, pitchMm: widthMm });
    expect(problemOf(ringStack({ count: 6, rings: [ring(100), ring(300)] }))).toMatchObject({
      code: 'no-hold',
      field: 'rings.1.widthMm',
    });
    expect(problemOf(ringStack({ count: 2, rings: [ring(100)] }))).toMatchObject({ field: 'count' });
    expect(problemOf(ringStack({ count: 6, rings: [ring(100), { widthMm: 100, pitchMm: 0 }] }))).toMatchObject({
      field: 'rings.1.pitchMm',
    });
    expect(problemOf(ringStack({ count: 6, rings: [] }))).toMatchObject({ code: 'no-rings' });
    const [, wider] = value(ringStack({ count: 6, rings: [ring(100), ring(110)] }));
    expect(wider!.leanDeg).toBeGreaterThan(0);
    expect(wider!.turned).toBe(true);
  });
});

describe('a basket', () => {
  const asked = { spokes: 6, baseMm: inch(5), rings: 2, stepMm: inch(1 / 8), jointMm: 5 };

  it('closes better with all layers searched together than with each rounded alone', () => {
    let better = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 8 }),
        fc.integer({ min: 2, max: 4 }),
        fc.double({ min: 4.6, max: 7, noNaN: true }),
        (spokes, rings, base) => {
          const made = value(basket({ ...asked, spokes, rings, baseMm: inch(base) }));
          const { sizes, worst, roundedWorst, compared } = made.snapped;
          const rungs = sizes.filter(({ key }) => !key.startsWith('ties'));
          expect(compared).toBe(5 ** (rungs.length - 1));
          for (const { widthMm, exactMm, key } of sizes) {
            expect(Math.abs(widthMm / inch(1 / 8) - Math.round(widthMm / inch(1 / 8)))).toBeLessThan(1e-9);
            if (!key.startsWith('ties')) expect(Math.abs(widthMm - exactMm)).toBeLessThanOrEqual(2.5 * inch(1 / 8));
          }
          if (worst < roundedWorst - 0.05) better += 1;
        },
      ),
      { numRuns: 40, seed: 6 },
    );
    expect(better).toBeGreaterThan(20);
  });

  it('finds what a plain search finds: three sizes, and the one direction that base and lean do not explain', () => {
    const { exact, snapped } = value(basket(asked));
    const step = inch(1 / 8);
    const sizes = (change: object) => {
      const { layers } = value(formOf({ ...exact.shape, ...change }));
      return [layers[0]!, layers[1]!, layers[3]!].map(({ widthMm }) => widthMm);
    };
    const still = sizes({});
    const pitch = still.map((mm) => mm + 5);
    const { baseMm, leanDeg } = exact.shape;
    const [u, v] = [{ baseMm: baseMm + 0.01 }, { leanDeg: leanDeg + 0.001 }].map((change) =>
      sizes(change).map((mm, i) => (mm - still[i]!) / pitch[i]!),
    ) as [number[], number[]];
    const cross = [u[1]! * v[2]! - u[2]! * v[1]!, u[2]! * v[0]! - u[0]! * v[2]!, u[0]! * v[1]! - u[1]! * v[0]!];
    const long = Math.hypot(...cross);
    let best = { score: Infinity, set: [] as number[] };
    for (let code = 0; code < 25; code += 1) {
      // The spokes stay as asked.
      const set = [0, 1, 2].map((i) =>
        i === 0 ? inch(5) : (Math.round(still[i]! / step) - 2 + (Math.floor(code / 5 ** (i - 1)) % 5)) * step,
      );
      const along = set.reduce((sum, mm, i) => sum + (((mm - still[i]!) / pitch[i]!) * cross[i]!) / long, 0);
      const worst = Math.max(...cross.map((x) => Math.abs((along * x) / long))) / TRADE.ringGive;
      const departs = set.reduce((sum, mm, i) => sum + ((mm - still[i]!) / step) ** 2, 0) / 3;
      const score = worst + 0.2 * departs;
      if (score < best.score) best = { score, set };
    }
    const found = snapped.sizes.slice(0, 3).map(({ widthMm }) => widthMm);
    expect(found).toEqual(best.set.map((mm) => expect.closeTo(mm, 9)));
  });

  it('with a wanted mouth finds the base that has it', () => {
    const made = value(basket({ ...asked, baseMm: undefined, mouthMm: inch(7) }));
    expect(standingForm(made.exact).mouthMm).toBeCloseTo(inch(7), 1);
    expect(made.exact.shape.baseMm).toBeGreaterThan(inch(4));
  });

  it('refuses what cannot be built, each with its field', () => {
    const of = (change: object) => problemOf(basket({ ...asked, ...change }));
    expect(of({ spokes: 3 })).toMatchObject({ code: 'bad-count', detail: { least: 4, most: 8 } });
    expect(of({ rings: 0 })).toMatchObject({ code: 'bad-rings' });
    expect(of({ rings: 7 })).toMatchObject({ code: 'bad-rings' });
    expect(of({ baseMm: -4 })).toMatchObject({ code: 'bad-width', field: 'baseMm' });
    expect(of({ leanDeg: 45 })).toMatchObject({ code: 'bad-lean' });
    expect(of({ mouthMm: 200 })).toMatchObject({ code: 'leave-one-out' });
    expect(of({ baseMm: undefined, mouthMm: -1 })).toMatchObject({ code: 'bad-mouth' });
    expect(of({ stepMm: 0 })).toMatchObject({ code: 'bad-step' });
    expect(of({ stepMm: inch(1) })).toMatchObject({ code: 'steps-too-coarse', field: 'stepMm' });
  });

  it('names the base, or the mouth, whose tying balloons are large enough', () => {
    for (const change of [{}, { baseMm: undefined, mouthMm: inch(4.5) }]) {
      const wants = { ...asked, baseMm: inch(4), leastTieMm: inch(3.25), ...change };
      const refused = basket(wants);
      expect(problemOf(refused)).toMatchObject({ code: 'tie-too-small' });
      if (refused.ok || refused.problem.code !== 'tie-too-small') throw new Error('no size is named');
      const { field, detail } = refused.problem;
      expect(basket({ ...wants, [field!]: detail.nearestMm }).ok).toBe(true);
    }
  });

  it('is built from its spokes up, its notes where builders go wrong', () => {
    const { snapped } = value(basket(asked));
    const { steps, notes } = formSteps(snapped.form);
    expect(steps.map(({ code }) => code)).toEqual([
      'tie-spokes',
      'twist-middles',
      'tie-ring',
      'seat-ring',
      'tie-ring',
      'seat-ring',
      'tie-points',
    ]);
    expect(steps[0]).toMatchObject({ chains: 3, balloons: 12, half: false });
    expect(steps[3]).toMatchObject({ on: 'spokes' });
    expect(steps[5]).toMatchObject({ on: 'ends' });
    expect(notes).toContain('twist-between-second-and-third');
    const odd = value(basket({ ...asked, spokes: 5 })).snapped.form;
    expect(formSteps(odd).steps[0]).toMatchObject({ chains: 3, balloons: 10, half: true });
  });
});

describe('other closed forms', () => {
  const shape = { count: 6, rings: 1, baseMm: 127, leanDeg: 0, jointMm: 5 };

  it('a ball is a dome above and below its equator, and a straight cup has one size', () => {
    const dome = value(formOf({ ...shape, kind: 'dome' }));
    const ball = value(formOf({ ...shape, kind: 'ball' }));
    expect(ball.layers).toHaveLength(2 * dome.layers.length - 1);
    expect(ball.layers[0]).toMatchObject({ key: 'cap', heightMm: -dome.layers.at(-1)!.heightMm });
    expect(ball.heightMm).toBeCloseTo(2 * dome.layers.at(-1)!.heightMm + dome.layers.at(-1)!.widthMm, 9);
    const cup = value(formOf({ ...shape, kind: 'cup', rings: 3 }));
    expect(new Set(cup.layers.map(({ widthMm }) => widthMm.toFixed(6))).size).toBe(1);
    expect(formSteps(ball).notes).toContain('equator-first');
    expect(formSteps(ball).steps.filter(({ code }) => code === 'set-cap')).toHaveLength(2);
    expect(formSteps(cup).steps.at(-1)).toMatchObject({ on: 'between' });
  });

  it('a wreath lies flat and grows outwards', () => {
    const wreath = value(formOf({ ...shape, kind: 'wreath', count: 16, rings: 2 }));
    for (const { heightMm } of wreath.layers) expect(heightMm).toBeCloseTo(0, 6);
    expect(wreath.layers[2]!.widthMm).toBeGreaterThan(wreath.layers[1]!.widthMm);
    expect(wreath.mouthMm).toBeCloseTo(2 * wreath.layers[0]!.radiusMm - 127, 6);
  });

  it('says when a cap would be out of all proportion, and when nothing more fits', () => {
    expect(problemOf(formOf({ ...shape, kind: 'dome', count: 12, rings: 1 }))).toMatchObject({
      code: 'cap-too-large',
    });
    expect(problemOf(formOf({ ...shape, kind: 'dome', count: 5, rings: 6 }))).toMatchObject({
      code: 'no-room',
    });
  });

  it('a straight cup snaps to one size: no step is too coarse for equal layers', () => {
    const snapped = value(snapForm({ shape: { ...shape, kind: 'cup', rings: 3 }, stepMm: 6, leastTieMm: 0 }));
    expect(snapped.worst).toBeLessThan(0.01);
    expect(new Set(snapped.sizes.map(({ widthMm }) => widthMm)).size).toBe(1);
  });
});

describe('closing', () => {
  const { snapped } = value(basket({ spokes: 6, baseMm: inch(5), rings: 2, stepMm: inch(1 / 8), jointMm: 5 }));
  const closing = closingOf(snapped);

  it('the more the balloons spread, the fewer close, and at the tolerance it is 95 of 100', () => {
    const { sdMm } = closingTolerance({ closing });
    expect(closingShare({ closing, sdMm: sdMm! })).toBeCloseTo(0.95, 4);
    expect(closingShare({ closing, sdMm: 2 * sdMm! })).toBeLessThan(0.6);
    expect(closingShare({ closing, sdMm: 0 })).toBe(1);
  });

  it('a free ring closes with any spread, and a ring too long for its pole with none', () => {
    expect(closingTolerance({ closing: { rings: [], ties: [], caps: [] } })).toEqual({
      sdMm: null,
      weakest: null,
    });
    expect(simulateClosing({ closing: { rings: [], ties: [], caps: [] } }).sdMm).toBeNull();
    const ring = { key: 'ring-1', count: 6, widthMm: 130, jointMm: 5, roomMm: 6 * 130 };
    const tight = { rings: [ring], ties: [], caps: [] };
    expect(closingTolerance({ closing: tight })).toEqual({ sdMm: 0, weakest: 'ring-1' });
    expect(simulateClosing({ closing: tight, runs: 200 })).toMatchObject({ sdMm: 0, weakest: 'ring-1' });
  });

  it('the same seed builds the same pieces, another seed others', () => {
    const of = (seed: number) => simulateClosing({ closing, runs: 1500, seed }).sdMm;
    expect(of(3)).toBe(of(3));
    expect(of(3)).not.toBe(of(4));
  });

  it('the most a balloon may be off is just where its ring stops closing', () => {
    const { mostMm } = oneWrong({ closing, ring: 1, offMm: 0 });
    const state = (offMm: number) => oneWrong({ closing, ring: 1, offMm }).state;
    expect([state(mostMm.large - 0.1), state(mostMm.large + 0.1)]).toEqual(['closes', 'buckles']);
    expect([state(-mostMm.small + 0.1), state(-mostMm.small - 0.1)]).toEqual(['closes', 'opens']);
  });

  it('tells which sizes look alike, and not which are the same or plainly different', () => {
    const sizes = [
      { key: 'a', widthMm: 127 },
      { key: 'b', widthMm: 133 },
      { key: 'c', widthMm: 127 },
      { key: 'd', widthMm: 60 },
    ];
    expect(alikeSizes(sizes).map(({ first, second }) => first + second)).toEqual(['ab', 'bc']);
  });
});

describe('a handle', () => {
  const size = { code: '260', widthMm: inch(2), lengthMm: inch(60) };
  it('is twisted after its first bubble and before its last', () => {
    const { form } = value(basket({ spokes: 6, baseMm: inch(5), rings: 2, stepMm: inch(1 / 8), jointMm: 5 })).snapped;
    const spanMm = handleSpanMm(form);
    expect(spanMm).toBeLessThan(form.acrossMm);
    const handle = value(handleFor({ spanMm, riseMm: 300, size }));
    expect(handle.twistsAtMm[1] - handle.twistsAtMm[0]).toBeCloseTo(handle.archMm, 9);
    expect(handle.bodyMm).toBeCloseTo(handle.twistsAtMm[1] + handle.bubbleMm, 9);
    expect(handle.bodyMm + handle.tailMm).toBeLessThanOrEqual(size.lengthMm);
  });

  it('says how high the balloon reaches when it is too short', () => {
    const refused = handleFor({ spanMm: 300, riseMm: 900, size });
    expect(problemOf(refused)).toMatchObject({ code: 'longer-than-balloon', field: 'riseMm' });
    const mostMm = refused.ok ? 0 : Number(refused.problem.detail!.mostMm);
    expect(handleFor({ spanMm: 300, riseMm: mostMm - 0.01, size }).ok).toBe(true);
    expect(problemOf(handleFor({ spanMm: 300, riseMm: 0, size }))).toMatchObject({ code: 'bad-rise' });
  });
});
