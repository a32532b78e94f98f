import fc from 'fast-check';

import {
  alikeSizes,
  basket,
  chainFor,
  chainLength,
  chainSpreadMm,
  closingOf,
  closingShare,
  closingTolerance,
  curtain,
  formOf,
  formSteps,
  handleFor,
  handleSpanMm,
  learnJoint,
  oneWrong,
  repeatLength,
  ringOf,
  ringsFor,
  ringStack,
  simulateClosing,
  snapForm,
  swag,
  swagCount,
  swagRows,
  type CurtainAsked,
} from '../src/linking';
import { TRADE } from '../src/trade';
import { inch, problemOf, value } from './results';

describe('chains', () => {
  it('a chain is its bodies and the joints between them, and the plain balloon at its end', () => {
    expect(chainLength({ count: 5, widthMm: 120, jointMm: 6 })).toBe(624);
    expect(chainLength({ count: 5, widthMm: 120, jointMm: 6, finisherMm: 100 })).toBe(730);
    expect(chainLength({ count: 1, widthMm: 120, jointMm: 6 })).toBe(120);
  });

  it('alternating sizes start anew after the last of the repeat', () => {
    expect(repeatLength({ count: 5, widthsMm: [100, 60], jointMm: 4 })).toBe(100 + 60 + 100 + 60 + 100 + 16);
    expect(repeatLength({ count: 4, widthsMm: [120], jointMm: 6 })).toBe(
      chainLength({ count: 4, widthMm: 120, jointMm: 6 }),
    );
    expect(repeatLength({ count: 2, widthsMm: [100], jointMm: 4, finisherMm: 50 })).toBe(258);
  });

  it('lands on any length with the size it answers, of the two counts the one nearer to what was wanted', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 400, max: 8000, noNaN: true }),
        fc.double({ min: 80, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        (lengthMm, widthMm, jointMm) => {
          const plan = value(chainFor({ lengthMm, widthMm, jointMm, leastMm: 20, mostMm: 400, stepMm: inch(1 / 8) }));
          expect(chainLength({ ...plan, widthMm: plan.exactMm, jointMm })).toBeCloseTo(lengthMm, 6);
          expect(chainLength({ ...plan, jointMm }) - lengthMm).toBeCloseTo(plan.offMm, 6);
        },
      ),
    );
  });

  it('says which length works when none of the useful sizes lands on it', () => {
    const asked = { widthMm: 127, jointMm: 5, leastMm: 120, mostMm: 130, stepMm: 3 };
    const refused = chainFor({ lengthMm: 190, ...asked });
    expect(problemOf(refused)).toMatchObject({ code: 'no-count', field: 'lengthMm' });
    if (refused.ok || refused.problem.code !== 'no-count') throw new Error('no length is named');
    const nearest = refused.problem.detail.nearestMm;
    expect(chainFor({ lengthMm: nearest, ...asked }).ok).toBe(true);
    expect(problemOf(chainFor({ lengthMm: 0, ...asked }))).toMatchObject({ code: 'bad-length' });
    expect(problemOf(chainFor({ lengthMm: 900, ...asked, widthMm: 140 }))).toMatchObject({
      code: 'outside-useful',
    });
    expect(problemOf(chainFor({ lengthMm: 3000, ...asked, roomMm: 2700 }))).toMatchObject({
      code: 'longer-than-room',
      detail: { mostMm: 2700 },
    });
    expect(problemOf(chainFor({ lengthMm: 900, ...asked, stepMm: 0 }))).toMatchObject({ code: 'bad-step' });
  });

  it('spreads with the root of its count', () => {
    expect(chainSpreadMm({ count: 16, sdMm: 1.5 })).toBe(6);
  });
});

describe('the joint of a chain', () => {
  it('is a share of nominal until a chain is measured, then what the chain says', () => {
    const before = value(learnJoint({ nominalMm: 152.4, chains: [] }));
    expect(before).toMatchObject({ jointMm: expect.closeTo(0.04 * 152.4, 9), chains: 0 });
    const chain = { count: 5, widthMm: 127, lengthMm: 5 * 127 + 4 * 9 };
    const after = value(learnJoint({ nominalMm: 152.4, chains: [chain, chain, chain] }));
    expect(after.jointMm).toBeGreaterThan(8.3);
    expect(after.jointMm).toBeLessThan(9);
    expect(after.sdMm).toBeLessThan(before.sdMm / 2);
  });

  it('refuses a length that no chain of so many has, and says which it could have', () => {
    const refused = learnJoint({ nominalMm: 152.4, chains: [{ count: 5, widthMm: 127, lengthMm: 1500 }] });
    expect(problemOf(refused)).toMatchObject({ code: 'impossible-length', field: 'chains.0.lengthMm' });
    expect(
      problemOf(learnJoint({ nominalMm: 152.4, chains: [{ count: 2, widthMm: 127, lengthMm: 260 }] })),
    ).toMatchObject({ code: 'too-few-balloons' });
    expect(
      problemOf(learnJoint({ nominalMm: 152.4, chains: [{ count: 5, widthMm: 0, lengthMm: 260 }] })),
    ).toMatchObject({ code: 'bad-width' });
  });
});

describe('swags', () => {
  it('refuses what no string can do, each with its field', () => {
    expect(problemOf(swag({ spanMm: 3000, dropMm: 0 }))).toMatchObject({ code: 'no-drop', field: 'dropMm' });
    expect(problemOf(swag({ dropMm: 2600, lengthMm: 4000 }))).toMatchObject({
      code: 'drop-beyond-string',
      detail: { mostMm: 2000 },
    });
    expect(problemOf(swag({ spanMm: 3000, lengthMm: 2900 }))).toMatchObject({
      code: 'string-too-short',
      detail: { leastMm: 3000 },
    });
    expect(problemOf(swag({ spanMm: 3000 }))).toMatchObject({ code: 'leave-one-out' });
    expect(problemOf(swag({ spanMm: 3000, dropMm: 10, lengthMm: 3100 }))).toMatchObject({
      code: 'leave-one-out',
    });
    expect(problemOf(swag({ spanMm: -1, dropMm: 10 }))).toMatchObject({ code: 'bad-span' });
    expect(problemOf(swag({ spanMm: 100, lengthMm: NaN }))).toMatchObject({ code: 'bad-length' });
    expect(problemOf(swag({ spanMm: 100, dropMm: 20, riseMm: NaN }))).toMatchObject({ code: 'bad-rise' });
    // Pulled so steeply that nothing hangs below the lower fixing.
    expect(problemOf(swag({ spanMm: 1000, lengthMm: 1420, riseMm: 1000 }))).toMatchObject({
      code: 'no-drop',
    });
  });

  it('a string a little longer than its span hangs much lower than the little', () => {
    const hung = value(swag({ spanMm: 3000, lengthMm: 3030 }));
    expect(hung.dropMm).toBeGreaterThan(150);
    expect(hung.lowestAtMm).toBeCloseTo(1500, 6);
  });

  it('hangs lowest nearer to the lower fixing', () => {
    const up = value(swag({ spanMm: 2000, dropMm: 300, riseMm: 400 }));
    const down = value(swag({ spanMm: 2000, dropMm: 300, riseMm: -400 }));
    expect(up.lowestAtMm).toBeLessThan(1000);
    expect(down.lowestAtMm).toBeCloseTo(2000 - up.lowestAtMm, 6);
    expect(down.endAngleDeg.left).toBeCloseTo(up.endAngleDeg.right, 9);
    expect(down.endAngleDeg.left).toBeGreaterThan(down.endAngleDeg.right);
  });

  it('takes a balloon more where the nearest number would not reach', () => {
    const wanted = value(swag({ spanMm: 1000, dropMm: 10 }));
    const { hung } = value(swagCount({ wanted, widthMm: 127, jointMm: 5 }));
    expect(hung.lengthMm).toBeGreaterThan(1000);
  });

  it('rows hang from the same fixings, each deeper than the one above', () => {
    const rows = value(
      swagRows({
        fixingsMm: [0, 1500, 3500],
        dropMm: 300,
        rows: 3,
        rowDropMm: 150,
        widthMm: 127,
        jointMm: 5,
      }),
    );
    expect(rows.map(({ bays }) => bays.length)).toEqual([2, 2, 2]);
    expect(rows.map(({ bays }) => bays[0]!.hung.spanMm)).toEqual([1500, 1500, 1500].map((mm) => expect.closeTo(mm, 6)));
    expect(rows[2]!.bays[1]!.hung.dropMm).toBeGreaterThan(rows[0]!.bays[1]!.hung.dropMm + 150);
    expect(rows[0]!.balloons).toBe(rows[0]!.bays[0]!.count + rows[0]!.bays[1]!.count);
    const one = { dropMm: 300, rowDropMm: 150, widthMm: 127, jointMm: 5 };
    expect(problemOf(swagRows({ fixingsMm: [0], rows: 1, ...one }))).toMatchObject({
      code: 'too-few-fixings',
    });
    expect(problemOf(swagRows({ fixingsMm: [0, 900], rows: 0, ...one }))).toMatchObject({ code: 'bad-rows' });
    expect(problemOf(swagRows({ fixingsMm: [900, 0], rows: 1, ...one }))).toMatchObject({ code: 'bad-span' });
  });
});

describe('curtains', () => {
  const asked: CurtainAsked = {
    acrossMm: 2000,
    topMm: 2400,
    hemMm: 600,
    everyMm: 200,
    widthMm: 127,
    jointMm: 5,
    topLine: 'level',
    bowMm: 0,
    hem: 'level',
    grid: false,
    ceilingMm: 2800,
    walkedUnder: false,
  };

  it('each chain ends within half a balloon of the hem', () => {
    for (const topLine of ['level', 'arched', 'swagged'] as const) {
      const made = value(curtain({ ...asked, topLine, bowMm: topLine === 'level' ? 0 : 350, ceilingMm: undefined }));
      expect(made.chains).toHaveLength(11);
      for (const { topMm, endMm, count } of made.chains) {
        expect(Math.abs(endMm - 600)).toBeLessThanOrEqual(132 / 2 + 1e-9);
        expect(topMm - endMm).toBeCloseTo(chainLength({ count, widthMm: 127, jointMm: 5 }), 9);
      }
      expect(made.balloons).toBe(made.chains.reduce((sum, { count }) => sum + count, 0));
    }
  });

  it('an arch gives its middle more balloons, a swagged line fewer; the ends stay', () => {
    const counts = (topLine: 'arched' | 'swagged') =>
      value(curtain({ ...asked, topLine, bowMm: 350, ceilingMm: undefined })).chains.map(({ count }) => count);
    const [arch, swagged] = [counts('arched'), counts('swagged')];
    expect(arch[5]! - arch[0]!).toBeGreaterThanOrEqual(2);
    expect(swagged[0]! - swagged[5]!).toBeGreaterThanOrEqual(2);
    expect(arch[0]).toBe(swagged[0]);
    expect(arch).toEqual([...arch].reverse());
  });

  it('a hem that follows the line has one count for all', () => {
    const made = value(curtain({ ...asked, topLine: 'swagged', bowMm: 350, hem: 'follows' }));
    expect(new Set(made.chains.map(({ count }) => count)).size).toBe(1);
  });

  it('a grid has neighbours a pitch apart and ties every two of them', () => {
    const made = value(curtain({ ...asked, grid: true }));
    expect(made.everyMm).toBeGreaterThan(125);
    expect(made.everyMm).toBeLessThan(140);
    expect(made.crossJoints).toBe((made.chains.length - 1) * made.chains[0]!.count);
    expect(value(curtain(asked)).crossJoints).toBe(0);
  });

  it('finishing balloons count once for each chain and take their length', () => {
    const made = value(curtain({ ...asked, finisherMm: 110 }));
    expect(made.finishers).toBe(11);
    expect(made.balloons).toBeLessThan(value(curtain(asked)).balloons);
  });

  it('refuses what the room has no place for, and says what would fit', () => {
    expect(problemOf(curtain({ ...asked, topMm: 3000 }))).toMatchObject({
      code: 'above-ceiling',
      field: 'topMm',
      detail: { mostMm: 2800 },
    });
    expect(problemOf(curtain({ ...asked, topLine: 'arched', bowMm: 600 }))).toMatchObject({
      detail: { mostMm: 2200 },
    });
    expect(problemOf(curtain({ ...asked, hemMm: 2300 }))).toMatchObject({
      code: 'hem-too-high',
      field: 'hemMm',
    });
    expect(problemOf(curtain({ ...asked, hemMm: -1 }))).toMatchObject({ code: 'below-floor' });
    expect(problemOf(curtain({ ...asked, everyMm: 80 }))).toMatchObject({
      code: 'chains-too-near',
      detail: { leastMm: 127 },
    });
    expect(problemOf(curtain({ ...asked, topLine: 'arched', bowMm: 0 }))).toMatchObject({ code: 'bad-bow' });
    expect(problemOf(curtain({ ...asked, topLine: 'arched', bowMm: 1500, ceilingMm: undefined }))).toMatchObject({
      code: 'bad-bow',
    });
    expect(problemOf(curtain({ ...asked, acrossMm: 0 }))).toMatchObject({
      code: 'bad-length',
      field: 'acrossMm',
    });
    expect(problemOf(curtain({ ...asked, acrossMm: 1e6, everyMm: 130 }))).toMatchObject({
      code: 'too-many-balloons',
      field: 'acrossMm',
    });
  });

  it('2,000 balloons are a caution, not an error; so are heads underneath and rows that are not level', () => {
    const large = value(curtain({ ...asked, acrossMm: 19_000, everyMm: 132, hemMm: 500 }));
    expect(large.balloons).toBeGreaterThan(1990);
    expect(large.cautions).toContainEqual({ code: 'many-balloons', balloons: large.balloons });
    const under = value(curtain({ ...asked, walkedUnder: true }));
    expect(under.cautions).toEqual([expect.objectContaining({ code: 'under-head-height', needMm: 2100 })]);
    const bowed = value(curtain({ ...asked, topLine: 'swagged', bowMm: 300, grid: true }));
    expect(bowed.cautions).toEqual([{ code: 'rows-not-level' }]);
  });
});

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
      const worst = Math.max(...cross.map((x) => Math.abs((along * x) / long))) / TRADE.ringGive.value;
      const departs = set.reduce((sum, mm, i) => sum + ((mm - still[i]!) / step) ** 2, 0) / 3;
      const score = worst + 0.2 * departs;
      if (score < best.score) best = { score, set };
    }
    const found = snapped.sizes.slice(0, 3).map(({ widthMm }) => widthMm);
    expect(found).toEqual(best.set.map((mm) => expect.closeTo(mm, 9)));
  });

  it('with a wanted mouth finds the base that has it', () => {
    const made = value(basket({ ...asked, baseMm: undefined, mouthMm: inch(7) }));
    expect(made.exact.mouthMm).toBeCloseTo(inch(7), 6);
    expect(made.exact.shape.baseMm).toBeGreaterThan(inch(5));
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
