import { TRADE, type ShapeLaw } from '../src';
import { modelAtWidth, substitute, type ComparedModel } from '../src/calibration/calibrating';

import { problemOf, value } from './results';
import { sphereL, sure, sureFit } from './sureCurve';

/* Models side by side at one width, and what to mind when one stands in for another, at the very edge of each rule. */

const WIDTH = 230;
const lawOf = (aspect: number, more: Partial<ShapeLaw> = {}): ShapeLaw => ({
  knots: [{ widthMm: WIDTH, aspect, sd: 0 }],
  seen: true,
  roundLimit: { kind: 'above', widthMm: 250 },
  ...more,
});
const shaped = (shape: ShapeLaw) => {
  const fit = sureFit({ shape });
  return { fit, curve: fit };
};
const model = (more: Partial<ComparedModel> = {}): ComparedModel => ({
  nominalMm: 279.4,
  finish: 'matte',
  ...shaped(lawOf(1)),
  hold: { perHour: 0.001, sd: 0.0001, tests: 1 },
  filled: 10,
  burst: 1,
  ...more,
});
const at = (more: Partial<ComparedModel>, widthMm = WIDTH) => value(modelAtWidth({ model: model(more), widthMm }));
const codes = (to: Partial<ComparedModel>, from: Partial<ComparedModel> = {}, widthMm = WIDTH) =>
  value(substitute({ from: model(from), to: model(to), widthMm })).cautions.map(({ code }) => code);

describe('a model at a width', () => {
  it('tells its dose, shape, spread and losses', () => {
    const errors = { ...sure().errors, ways: { ...sure().errors.ways, tape: 1.5 } };
    const fit = sureFit({ shape: lawOf(1.05), errors });
    const strokes = (1.05 * sphereL(WIDTH)) / 0.5;
    expect(at({ fit, curve: fit })).toEqual({
      fraction: WIDTH / 279.4,
      dose: Math.round(2 * strokes) / 2,
      doseLow: expect.closeTo(strokes, 1),
      doseHigh: expect.closeTo(strokes, 1),
      aspect: 1.05,
      aspectSd: 0,
      aspectMargin: 0,
      roundLimit: { kind: 'above', widthMm: 250 },
      spreadMm: expect.closeTo(1.5, 9),
      lostADayMm: expect.closeTo(WIDTH * (1 - Math.exp(-0.024)), 9),
      bursts: expect.objectContaining({ share: 0.1 }),
    });
  });

  it('tells how far its aspect may be off', () => {
    const found = at(shaped(lawOf(1.1, { knots: [{ widthMm: WIDTH, aspect: 1.1, sd: 0.03 }] })));
    expect(found.aspectSd).toBeCloseTo(0.03, 12);
    expect(found.aspectMargin).toBeCloseTo(0.0588, 12);
  });

  it('says no shape that nobody saw, and none of a sphere that stands in for it', () => {
    expect(at(shaped(lawOf(1.1, { seen: false }))).aspect).toBeNull();
    expect(at({ fit: null, curve: sure({ shape: lawOf(1.1, { seen: false }) }) }).aspect).toBe(1.1);
    expect(at({ fit: null, curve: sure({ shape: lawOf(1, { knots: [] }) }) }).aspect).toBeNull();
  });

  it('says what it knows without a calibration, or without any curve, and of none filled no bursts', () => {
    expect(at({ fit: null }).spreadMm).toBeNull();
    expect(at({ filled: 0, burst: 0 }).bursts).toBeNull();
    expect(at({ fit: null, curve: null })).toMatchObject({
      dose: null,
      doseLow: null,
      doseHigh: null,
      aspect: null,
      aspectMargin: 0,
      spreadMm: null,
      roundLimit: { kind: 'no-shapes-seen' },
    });
    const unknown = sureFit({
      covariance: [
        [0, 0],
        [0, 1],
      ],
    });
    expect(at({ fit: unknown, curve: unknown })).toMatchObject({ dose: null, spreadMm: null });
  });

  it.each([0, -5, NaN, Infinity])('refuses a width of %p mm', (widthMm) => {
    const refused = { code: 'bad-width', field: 'widthMm' };
    expect(problemOf(modelAtWidth({ model: model(), widthMm }))).toEqual(refused);
    expect(problemOf(substitute({ from: model(), to: model(), widthMm }))).toEqual(refused);
  });
});

describe('what to mind when one stands in for another', () => {
  it('is nothing where they are alike', () => {
    expect(codes({})).toEqual([]);
  });

  it('is that it is no longer round: past its limit, and not on it', () => {
    const turning = (widthMm: number) => shaped(lawOf(1, { roundLimit: { kind: 'shown', widthMm, sdMm: 2 } }));
    expect(codes(turning(WIDTH))).toEqual([]);
    expect(codes(turning(WIDTH - 1))).toEqual(['past-round-limit']);
    expect(codes(shaped(lawOf(1, { roundLimit: { kind: 'above', widthMm: 150 } })))).toEqual([]);
  });

  it('is another shape, once it shows and is no chance, whichever is the longer', () => {
    expect(codes(shaped(lawOf(1 + TRADE.otherAspect - 0.001)))).toEqual([]);
    expect(codes(shaped(lawOf(1 + TRADE.otherAspect + 0.001)))).toEqual(['other-shape']);
    expect(codes({}, shaped(lawOf(1.1)))).toEqual(['other-shape']);
    const unsure = lawOf(1.1, { knots: [{ widthMm: WIDTH, aspect: 1.1, sd: 0.049 }] });
    expect(codes(shaped(unsure))).toEqual(['other-shape']);
    expect(codes(shaped({ ...unsure, knots: [{ widthMm: WIDTH, aspect: 1.1, sd: 0.051 }] }))).toEqual([]);
    expect(codes(shaped(lawOf(1.3, { seen: false })))).toEqual([]);
    expect(codes({}, shaped(lawOf(1.3, { seen: false })))).toEqual([]);
  });

  it('is another finish, and that a mirror dulls while it is small', () => {
    expect(codes({ finish: 'mirror' })).toEqual(['other-finish']);
    const small = TRADE.smallestShine * 279.4 - 0.1;
    expect(codes({ finish: 'mirror' }, { finish: 'mirror' }, small)).toEqual(['dulls']);
    expect(codes({ finish: 'mirror' }, { finish: 'mirror' }, small + 0.2)).toEqual([]);
    expect(codes({ finish: 'pearl' }, { finish: 'pearl' }, small)).toEqual([]);
  });

  it('is a nominal that is too small or too large for the width', () => {
    expect(codes({}, {}, TRADE.largestFraction * 279.4 - 0.1)).toEqual([]);
    expect(codes({}, {}, TRADE.largestFraction * 279.4 + 0.1)).toEqual(['nominal-too-small']);
    expect(codes({}, {}, TRADE.smallestFraction * 279.4 + 0.1)).toEqual([]);
    expect(codes({}, {}, TRADE.smallestFraction * 279.4 - 0.1)).toEqual(['nominal-too-large']);
    // Too small to be a size of it at all: that it would dull, too, says nothing more.
    expect(codes({ finish: 'mirror' }, { finish: 'mirror' }, 100)).toEqual(['nominal-too-large']);
  });

  it('is that it loses a millimetre a day more', () => {
    const losing = (mm: number) => ({ hold: { perHour: 0.001 + mm / WIDTH / 24, sd: 0, tests: 0 } });
    expect(codes(losing(0.9))).toEqual([]);
    expect(codes(losing(1.1))).toEqual(['shorter-hold']);
  });

  it('is that its doses are estimated, or not known', () => {
    expect(codes({ fit: null, curve: sure({ shape: lawOf(1) }) })).toEqual(['estimated']);
    expect(codes({ fit: null, curve: null })).toEqual(['no-curve']);
  });

  it('gives what the dose as it can be given makes, and nothing without one', () => {
    const { dose, givesMm } = value(substitute({ from: model(), to: model(), widthMm: WIDTH }));
    expect(sphereL(givesMm!)).toBeCloseTo(0.5 * dose!, 9);
    const without = model({ fit: null, curve: null });
    expect(value(substitute({ from: model(), to: without, widthMm: WIDTH })).givesMm).toBeNull();
  });
});
