import fc from 'fast-check';

import { TRADE, WIND_FORCES } from '../src';
import { baseWeight, sideOfBalls, sideView, stackLayers, type SideView } from '../src/building';
import { inch, problemOf, value } from './results';

const DOOR: SideView = { areaM2: 1, middleMm: 1000 };

describe('wind', () => {
  /** DIN EN 1991-1-4/NA:2010, table NA.A.1: basic velocities of the four wind zones and their pressures, kN/m². */
  it.each([
    [22.5, 0.32],
    [25, 0.39],
    [27.5, 0.47],
    [30, 0.56],
  ])('of %d m/s presses with %d kN/m²', (gustMs, kilopascals) => {
    const trade = { ...TRADE, draughtMs: gustMs };
    const { pressurePa } = value(baseWeight({ side: DOOR, baseMm: 400, wind: null, trade }));
    expect(pressurePa / 1000).toBeCloseTo(kilopascals, 2);
  });

  /** WMO Technical Note 166 / WMO-No. 306: v = 0.836 B^(3/2) m/s; a force reaches half a step up. */
  it('is as fast as its force on the Beaufort scale says', () => {
    for (const wind of WIND_FORCES) {
      const { gustMs } = value(baseWeight({ side: DOOR, baseMm: 400, wind }));
      expect(Math.abs(gustMs / TRADE.windGusts - 0.836 * (wind + 0.5) ** 1.5)).toBeLessThan(0.1);
    }
  });
});

describe('what balls show to the wind', () => {
  /** Elementary geometry: a disc; two apart; two of one width half over each other show 2 - (2/3 - sqrt 3 / 2 pi) of one. */
  it('is what any of them covers, once', () => {
    const ball = (xMm: number, zMm: number) => ({ xMm, zMm, widthMm: 400 });
    const disc = Math.PI * 0.2 ** 2;
    const one = sideOfBalls([ball(50, 700)]);
    expect(one.areaM2 / disc).toBeCloseTo(1, 2);
    expect(one.middleMm / 700).toBeCloseTo(1, 2);
    const apart = sideOfBalls([ball(0, 300), ball(900, 1300)]);
    expect(apart.areaM2 / disc).toBeCloseTo(2, 1);
    expect(apart.middleMm / 800).toBeCloseTo(1, 2);
    const over = sideOfBalls([ball(0, 200), ball(0, 200), ball(200, 200)]);
    expect(over.areaM2 / disc).toBeCloseTo(2 - (2 / 3 - Math.sqrt(3) / (2 * Math.PI)), 2);
    expect(sideOfBalls([])).toEqual({ areaM2: 0, middleMm: 0 });
  });
});

describe('what a piece shows to the wind', () => {
  it('is a disc where it is one ball', () => {
    const stack = value(stackLayers({ layers: [{ count: 1, widthMm: 900 }] }));
    const { areaM2, middleMm } = sideView({ stack, standMm: 200 });
    expect(areaM2).toBeCloseTo(Math.PI * 0.45 ** 2, 3);
    expect(middleMm).toBeCloseTo(650, 6);
  });

  it('is an oblong with round ends where it is one ring, and a figure on it is one more', () => {
    const stack = value(stackLayers({ layers: [{ count: 4, widthMm: 250 }] }));
    const [radius, ball] = [(0.25 / 2) * Math.SQRT2, (Math.PI * 0.25 ** 2) / 4];
    const ringM2 = 2 * radius * 0.25 + ball;
    expect(sideView({ stack, standMm: 0 }).areaM2).toBeCloseTo(ringM2, 4);
    const topped = sideView({ stack, standMm: 0, figure: { widthMm: 300, heightMm: 500 } });
    expect(topped.areaM2).toBeCloseTo(ringM2 + 0.15, 4);
    expect(topped.middleMm).toBeCloseTo((ringM2 * 125 + 0.15 * 500) / (ringM2 + 0.15), 0);
  });

  it('of a tall column is nearly as wide as it is, all the way up', () => {
    const layers = Array.from({ length: 10 }, () => ({ count: 4, widthMm: inch(10) }));
    const stack = value(stackLayers({ layers }));
    const { areaM2, middleMm } = sideView({ stack, standMm: 0 });
    const whole = (stack.heightMm * inch(10) * (1 + Math.SQRT2)) / 1e6;
    expect(areaM2 / whole).toBeGreaterThan(0.9);
    expect(areaM2 / whole).toBeLessThan(1);
    expect(middleMm).toBeCloseTo(stack.heightMm / 2, 0);
  });
});

describe('what a base must weigh', () => {
  /**
   * A board of 1 m² whose middle is 1 m up, in a wind of 20 m/s: 250 Pa, 300 N at 1.2, 300 N m. About the edge of a base
   * of 1 m half a metre is the arm: 600 N hold it, 61.2 kg; worked by hand after EN 1991-1-4, 4.5 and 5.3.
   */
  it('follows from the moment about its edge', () => {
    const trade = { ...TRADE, baseMargin: 1, draughtMs: 20 };
    const asked = { side: DOOR, baseMm: 1000, wind: null };
    const found = value(baseWeight({ ...asked, trade }));
    expect(found).toMatchObject({ pressurePa: 250, forceN: 300, momentNm: 300, slips: true });
    expect(value(baseWeight({ ...asked, trade: { ...trade, baseGrip: 0.6 } })).kg).toBeCloseTo(61.18, 2);
    // On a smooth floor it slips at 300 N / 0.4, and must weigh more.
    expect(found.kg).toBeCloseTo(300 / 0.4 / 9.80665, 6);
    expect(found.kg / found.waterL).toBeCloseTo(0.998, 6);
    expect(found.kg / found.sandL).toBeCloseTo(1.6, 6);
  });

  it('holds against tipping and slipping by its margin, whatever the piece', () => {
    const within = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const asked = fc.record({
      side: fc.record({ areaM2: within(0.05, 3), middleMm: within(300, 3000) }),
      baseMm: within(150, 1500),
      wind: fc.constantFrom(null, ...WIND_FORCES),
    });
    fc.assert(
      fc.property(asked, (each) => {
        const { kg, forceN, gustMs } = value(baseWeight(each));
        const weightN = kg * 9.80665;
        const most = TRADE.baseMargin * forceN * (1 - 1e-9);
        expect(weightN * (each.baseMm / 2)).toBeGreaterThanOrEqual(most * each.side.middleMm);
        expect(weightN * TRADE.baseGrip).toBeGreaterThanOrEqual(most);
        // Twice the wind wants four times the weight.
        const trade = { ...TRADE, draughtMs: 2 * gustMs };
        expect(value(baseWeight({ ...each, wind: null, trade })).kg / kg).toBeCloseTo(4, 6);
      }),
    );
  });

  it('of a column indoors is what one hand carries, and in a breeze is not', () => {
    const layers = Array.from({ length: 10 }, () => ({ count: 4, widthMm: inch(9.5) }));
    const side = sideView({ stack: value(stackLayers({ layers })), standMm: 12 });
    const indoors = value(baseWeight({ side, baseMm: 300, wind: null }));
    const breeze = value(baseWeight({ side, baseMm: 300, wind: 4 }));
    expect(indoors.kg).toBeGreaterThan(2);
    expect(indoors.kg).toBeLessThan(10);
    expect(breeze.kg).toBeGreaterThan(60);
  });

  it('is none without a base', () => {
    for (const baseMm of [0, -1, NaN, Infinity])
      expect(problemOf(baseWeight({ side: DOOR, baseMm, wind: null }))).toEqual({ code: 'no-base', field: 'baseMm' });
  });
});
