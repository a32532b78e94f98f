import { TRADE } from '../src';
import { coverBoard, plinthBalloons, solvePlinth, type PlinthAsked } from '../src/building';
import { inch, problemOf, value } from './results';

/** Common practice: three quads of 11 in at 9 in, a quad of 5 in at 4 in seated between each two. */
const PLINTH: PlinthAsked = {
  ...{ count: 4, clusters: 3, widthMm: inch(9), smallMm: inch(4), weightKg: 1 },
  ...{ standing: [{ wideMm: inch(18), highMm: inch(36), kg: 0.2 }], wind: null },
};
const asked = (by: Partial<PlinthAsked> = {}) => solvePlinth({ plinth: { ...PLINTH, ...by } });
const plinth = (by: Partial<PlinthAsked> = {}) => value(asked(by));

describe('a plinth', () => {
  it('of three quads with quads between each two is twenty balloons, as deep as it is high', () => {
    const plan = plinth();
    expect(plan.balloons).toBe(20);
    expect(plan.layers.map(({ widthMm }) => Math.round(widthMm / inch(1)))).toEqual([9, 4, 9, 4, 9]);
    // Two of 9 in upon each other; along it the quads of 9 in all but touch: latex gives.
    expect(plan.highMm / inch(1)).toBeCloseTo(18, 6);
    expect(plan.longMm / inch(1)).toBeCloseTo(9 + 18 * TRADE.packing, 1);
  });

  it('lies on the floor on two balloons of each quad, its necks in the middle', () => {
    const plan = plinth();
    const balloons = plinthBalloons(plan);
    const lowest = balloons.map(({ zMm, widthMm }) => zMm - widthMm / 2);
    expect(Math.min(...lowest)).toBeCloseTo(0, 6);
    for (const layer of [0, 2, 4])
      expect(balloons.filter((each, i) => each.layer === layer && lowest[i]! < 1e-6)).toHaveLength(2);
    for (const { yMm, zMm, neck, layer } of balloons) {
      const { radiusMm } = plan.layers[layer]!;
      expect(yMm + radiusMm * neck[1]).toBeCloseTo(0, 6);
      expect(zMm + radiusMm * neck[2]).toBeCloseTo(plan.highMm / 2, 6);
    }
    expect(Math.max(...balloons.map(({ xMm, widthMm }) => xMm + widthMm / 2))).toBeCloseTo(plan.longMm / 2, 6);
  });

  /** Moments by hand: ρ v² / 2 of 3 m/s is 5.625 Pa, on the row and the figure, each at its own middle. */
  it('must weigh what holds the row and its figure in a draught', () => {
    const { needs, longMm, leastKg } = plinth();
    const [row, figure] = [(longMm / 1000) * 0.4572, 0.4572 * 0.9144];
    const force = 1.2 * 5.625;
    const moment = force * (row * 0.2286 + figure * (0.4572 + 0.4572));
    expect(needs.momentNm).toBeCloseTo(moment, 6);
    const tips = moment / (9.80665 * 0.2286);
    const slips = (force * (row + figure)) / (9.80665 * TRADE.baseGrip);
    expect(needs.kg).toBeCloseTo(TRADE.baseMargin * Math.max(tips, slips), 6);
    expect(leastKg).toBeCloseTo(needs.kg / 2, 9);
    // Whatever stands on it weighs more: then as much as that.
    expect(plinth({ standing: [{ ...PLINTH.standing[0]!, kg: 9 }] }).leastKg).toBe(4.5);
    expect(plinth({ wind: 3 }).leastKg).toBeGreaterThan(leastKg);
  });

  it('says what is wrong', () => {
    expect(problemOf(asked({ clusters: 0 }))).toMatchObject({ code: 'no-layers', field: 'clusters' });
    expect(problemOf(asked({ weightKg: -1 }))).toMatchObject({ code: 'bad-weight', field: 'weightKg' });
    expect(problemOf(asked({ widthMm: 0 }))).toMatchObject({ code: 'bad-width', field: 'widthMm' });
    expect(problemOf(asked({ smallMm: -1 }))).toMatchObject({ code: 'bad-width', field: 'smallMm' });
    expect(problemOf(asked({ count: 0 }))).toMatchObject({ code: 'bad-count', field: 'count' });
    expect(problemOf(asked({ standing: [{ wideMm: inch(40), highMm: 1, kg: 0 }] }))).toMatchObject({
      code: 'standing-too-wide',
    });
    expect(plinth({ smallMm: null }).balloons).toBe(12);
  });
});

describe('a round board', () => {
  /** Circumference of a circle; of a board of 14 in, 18 in less two folds of an inch and a half is enough. */
  it('is covered by half a foil that is a fold larger on every side', () => {
    const { foilMm, tapeMm } = value(coverBoard({ acrossMm: inch(14) }));
    expect([foilMm, tapeMm]).toEqual([inch(18), Math.PI * inch(14)]);
    expect(value(coverBoard({ acrossMm: inch(16) })).foilMm).toBe(inch(24));
    expect(problemOf(coverBoard({ acrossMm: inch(46) }))).toMatchObject({ code: 'none-large-enough' });
    expect(problemOf(coverBoard({ acrossMm: 0 }))).toMatchObject({ code: 'bad-board' });
  });
});
