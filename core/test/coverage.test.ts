import { USUAL, type World } from './simulatedCalibrations';
import { coverageOf, grownStudios, newcomer, WORLDS } from './simulatedStudios';

/** Of studios by models that are not the fitted one, some; the long tables with 1,000 runs each are `npm run coverage`. */
const SOME = [
  'filled on, strokes 4 %, mild none',
  'filled on, strokes 8 %, strong none',
  'filled on, strokes 8 %, mild heights',
  'fresh, strokes 4 %, strong answers',
  'fresh, strokes 8 %, mild none',
  'fresh, strong, heights from 0.85 on',
  'half a stroke in it before',
  'a 5 in',
  'a tape of 3 mm',
];
const RUNS = 60;

describe.each(WORLDS.filter(([name]) => SOME.includes(name)))('calibrations of %s', (_, world) => {
  it.each([2, 4, 8])('with %d readings: bands hold, and doses called measured are within the tolerance', (count) => {
    const { mean, next, within, known } = coverageOf({ studio: newcomer(world), count, runs: RUNS });
    // 300 answers of 60 calibrations: a band that holds 95 of 100 times shows fewer than 88 once in many thousands.
    expect(mean).toBeGreaterThan(0.88);
    expect(next).toBeGreaterThan(0.88);
    if (known > 0.3) expect(within).toBeGreaterThan(0.93);
  });

  it('as the app proposes them, to the end', () => {
    const { mean, next, within, known } = coverageOf({ studio: newcomer(world), count: 'proposed', runs: 15 });
    expect(mean).toBeGreaterThan(0.86);
    expect(next).toBeGreaterThan(0.84);
    expect(within).toBeGreaterThan(0.93);
    expect(known).toBeGreaterThan(0.5);
  });

  it('in a studio that has calibrated before', () => {
    const { mean, next, within } = coverageOf({ studio: grownStudios(world), count: 4, runs: RUNS });
    expect(mean).toBeGreaterThan(0.88);
    expect(next).toBeGreaterThan(0.88);
    expect(within).toBeGreaterThan(0.93);
  });
});

it('all that are named are run', () => {
  expect(WORLDS.filter(([name]) => SOME.includes(name))).toHaveLength(SOME.length);
});

it('bands are no wider than they need be: with eight fresh readings they miss now and then', () => {
  const world: World = { ...USUAL, filledOn: false, strokeVariation: 0.08, shapes: 'heights' };
  const { mean, next, halfMm } = coverageOf({ studio: newcomer(world), count: 8, runs: 200 });
  expect(mean).toBeLessThan(0.985);
  expect(next).toBeLessThan(0.985);
  expect(halfMm).toBeLessThan(4.5);
});

it('no bands are right for all hands at once before readings tell them apart', () => {
  // What bands of two readings would have to be multiplied by to hold 98 times in 100 for the steadiest hands, and 92
  // for the least steady ones.
  const first = (name: string) =>
    coverageOf({ studio: newcomer(new Map(WORLDS).get(name)!), count: 2, runs: 200 }).factorFor;
  expect(first('a tape of 0.8 mm read to ⅛ in')(0.98)).toBeLessThan(0.9 * first('a tape of 3 mm')(0.92));
});

it('what a studio has learned makes first bands narrower, and they hold', () => {
  const two = (studio: typeof newcomer) => coverageOf({ studio: studio(USUAL), count: 2, runs: 200 });
  const [new2, grown2] = [two(newcomer), two(grownStudios)];
  expect(grown2.halfMm).toBeLessThan(0.75 * new2.halfMm);
  expect(grown2.mean).toBeGreaterThan(0.92);
  expect(grown2.known).toBeGreaterThan(2 * new2.known);
});
