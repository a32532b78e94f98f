import fc from 'fast-check';

import {
  chainFor,
  chainLength,
  chainSpreadMm,
  curtain,
  hangChain,
  learnJoint,
  repeatLength,
  swag,
  swagCount,
  swagRows,
  type CurtainAsked,
} from '../src/linking';
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
    const { hung } = value(swagCount({ wanted, widthsMm: [127], jointMm: 5 }));
    expect(hung.lengthMm).toBeGreaterThan(1000);
  });

  it('a repeat of two sizes is counted as long as its own balloons are', () => {
    const wanted = value(swag({ spanMm: 900, dropMm: 300 }));
    const { count, hung } = value(swagCount({ wanted, widthsMm: [140, 60], jointMm: 5 }));
    const large = Math.ceil(count / 2);
    expect(hung.lengthMm).toBeCloseTo(140 * large + 60 * (count - large) + 5 * (count + 1), 6);
  });

  it('rows hang from the same fixings, each deeper than the one above', () => {
    const rows = value(
      swagRows({
        fixingsMm: [0, 1500, 3500],
        dropMm: 300,
        rows: 3,
        rowDropMm: 150,
        widthsMm: [127],
        jointMm: 5,
      }),
    );
    expect(rows.map(({ bays }) => bays.length)).toEqual([2, 2, 2]);
    expect(rows.map(({ bays }) => bays[0]!.hung.spanMm)).toEqual([1500, 1500, 1500].map((mm) => expect.closeTo(mm, 6)));
    expect(rows[2]!.bays[1]!.hung.dropMm).toBeGreaterThan(rows[0]!.bays[1]!.hung.dropMm + 150);
    expect(rows[0]!.balloons).toBe(rows[0]!.bays[0]!.count + rows[0]!.bays[1]!.count);
    const one = { dropMm: 300, rowDropMm: 150, widthsMm: [127], jointMm: 5 };
    expect(problemOf(swagRows({ fixingsMm: [0], rows: 1, ...one }))).toMatchObject({
      code: 'too-few-fixings',
    });
    expect(problemOf(swagRows({ fixingsMm: [0, 900], rows: 0, ...one }))).toMatchObject({ code: 'bad-rows' });
    expect(problemOf(swagRows({ fixingsMm: [900, 0], rows: 1, ...one }))).toMatchObject({ code: 'bad-span' });
  });
});

describe('balloons of a chain where they hang', () => {
  const widths = fc.array(fc.double({ min: 60, max: 160, noNaN: true }), { minLength: 12, maxLength: 40 });

  it('straight down each begins a joint below the one before', () => {
    const hung = value(hangChain({ from: { xMm: 30, highMm: 2000 }, to: null, widthsMm: [100, 60, 80], jointMm: 4 }));
    expect(hung.map(({ highMm }) => highMm)).toEqual([1950, 1866, 1792]);
    expect(hung.map(({ xMm, widthMm }) => [xMm, widthMm])).toEqual([
      [30, 100],
      [30, 60],
      [30, 80],
    ]);
  });

  it('between fixings of any height, bodies keep a joint apart and the end ones are tied by it', () => {
    fc.assert(
      fc.property(widths, fc.double({ min: -0.4, max: 0.4, noNaN: true }), (widthsMm, lean) => {
        const jointMm = 5;
        const longMm = widthsMm.reduce((sum, widthMm) => sum + widthMm + jointMm, jointMm);
        const from = { xMm: 100, highMm: 2400 };
        const to = { xMm: 100 + 0.7 * longMm, highMm: 2400 + 0.5 * lean * longMm };
        const hung = hangChain({ from, to, widthsMm, jointMm });
        // Pulled so steeply that nothing hangs below the lower fixing.
        fc.pre(hung.ok);
        const places = [{ ...from, widthMm: 0 }, ...value(hung), { ...to, widthMm: 0 }];
        for (let i = 1; i < places.length; i += 1) {
          const [a, b] = [places[i - 1]!, places[i]!];
          const along = (a.widthMm + b.widthMm) / 2 + jointMm;
          const across = Math.hypot(a.xMm - b.xMm, a.highMm - b.highMm);
          // A chord of a slack curve: never longer than the chain between, and little shorter.
          expect(across).toBeLessThanOrEqual(along + 1e-6);
          expect(across).toBeGreaterThan(0.8 * along);
        }
      }),
    );
  });

  it('says where a chain does not reach', () => {
    const asked = { from: { xMm: 0, highMm: 0 }, to: { xMm: 500, highMm: 0 }, jointMm: 5 };
    expect(problemOf(hangChain({ ...asked, widthsMm: [100, 100] }))).toMatchObject({
      code: 'string-too-short',
      detail: { leastMm: 500 },
    });
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
