import { coverageOf, INCH, proposedReadings, spreadReadings, USUAL, type World } from './simulatedCalibrations';

const STRONG = { atNominal: 0.2, from: 0.6, power: 1.5 };

/** Studios by models that are not the fitted one; the long table with 1,000 runs each is `npm run bench -- coverage`. */
const WORLDS: [string, Partial<World>][] = [
  ['one balloon filled on', {}],
  ['one balloon filled on, strokes vary by 8 %', { strokeVariation: 0.08 }],
  ['fresh balloons', { filledOn: false }],
  ['fresh balloons, strokes vary by 8 %', { filledOn: false, strokeVariation: 0.08 }],
  ['heights', { shapes: 'heights' }],
  ['answers on the shape', { shapes: 'answers', growth: STRONG }],
  ['a body that lengthens much, nothing said of it', { growth: STRONG }],
  ['air in it before', { lostStrokes: -0.5 }],
  ['half a stroke lost', { lostStrokes: 0.6 }],
  ['a 5 in', { nominalMm: 5 * INCH, strokeL: 0.18 }],
  ['a poor tape', { tapeMm: 3 }],
];
const RUNS = 60;

describe.each(WORLDS)('calibrations of %s', (_, part) => {
  const world: World = { ...USUAL, ...part };

  it.each([2, 4, 8])('with %d readings: bands hold, and doses called measured are within the tolerance', (count) => {
    const { mean, next, within, known } = coverageOf({
      world,
      runs: RUNS,
      readingsOf: (seed) => spreadReadings(world, count, seed),
    });
    // 300 answers of 60 calibrations: a band that holds 95 of 100 times shows fewer than 88 once in many thousands.
    expect(mean).toBeGreaterThan(0.88);
    expect(next).toBeGreaterThan(0.9);
    if (known > 0.2) expect(within).toBeGreaterThan(0.93);
  });

  it('as the app proposes them, to the end', () => {
    const { mean, next, within, known } = coverageOf({
      world,
      runs: 15,
      readingsOf: (seed) => proposedReadings(world, 12, seed),
    });
    expect(mean).toBeGreaterThan(0.86);
    expect(next).toBeGreaterThan(0.84);
    expect(within).toBeGreaterThan(0.94);
    expect(known).toBeGreaterThan(0.5);
  });
});

it('bands are no wider than they need be: with eight fresh readings they miss now and then', () => {
  const world: World = { ...USUAL, filledOn: false, strokeVariation: 0.08, shapes: 'heights' };
  const { mean, next, halfMm } = coverageOf({ world, runs: 200, readingsOf: (seed) => spreadReadings(world, 8, seed) });
  expect(mean).toBeLessThan(0.985);
  expect(next).toBeLessThan(0.985);
  expect(halfMm).toBeLessThan(4.5);
});
