import {
  bodyVolumeL,
  estimateFor,
  expectShape,
  fitCalibration,
  knowShelf,
  MOST_DOSE,
  NARROWEST_FRACTION,
  readingProblem,
  STANDARD_TIERS,
  TRADE,
  type CalibrationFit,
  type Inflator,
  type Reading,
  type RoundLimit,
  type ShapeLaw,
  type Way,
} from '../src';
import { evenDoses, matchNozzle, nextReading } from '../src/calibration/calibrating';
import { INCH } from './simulatedCalibrations';
import { ROUND, sure, sureFit } from './sureCurve';

/** Calibrations case by case: what is refused, noted, learned and proposed, each at both sides of where it begins. */

const nominalMm = 11 * INCH;
const tiers = STANDARD_TIERS;
/** A sphere of so many litres, mm across. */
const acrossMm = (litres: number) => Math.cbrt((6e6 * litres) / Math.PI);
const filled = (dose: number, strokeL = 0.5, more: Partial<Reading> = {}): Reading => ({
  dose,
  widthMm: acrossMm(strokeL * dose),
  outcome: 'ok',
  ...more,
});
const fitted = (readings: readonly Reading[], more: Partial<Parameters<typeof fitCalibration>[0]> = {}) => {
  const made = fitCalibration({ nominalMm, readings, ...more });
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
};

describe('a reading is refused', () => {
  const least = NARROWEST_FRACTION * nominalMm;
  it.each<[string, Partial<Reading>, { code: string; field: string } | null]>([
    ['without a dose', { dose: 0 }, { code: 'bad-dose', field: 'dose' }],
    ['with too many', { dose: MOST_DOSE + 0.5 }, { code: 'bad-dose', field: 'dose' }],
    ['but not with the most', { dose: MOST_DOSE }, null],
    ['too narrow to be filled', { widthMm: least - 0.1 }, { code: 'bad-width', field: 'widthMm' }],
    ['but not just so', { widthMm: least }, null],
    ['without a width', { widthMm: undefined }, { code: 'bad-width', field: 'widthMm' }],
    ['but not one that burst', { widthMm: undefined, outcome: 'burst' }, null],
    ['sure to nothing', { sdMm: 0 }, { code: 'bad-uncertainty', field: 'sdMm' }],
    ['surer than that', { sdMm: -1 }, { code: 'bad-uncertainty', field: 'sdMm' }],
    ['unsure by more than nominal', { sdMm: nominalMm + 0.1 }, { code: 'bad-uncertainty', field: 'sdMm' }],
    ['but not by all of it', { sdMm: nominalMm }, null],
    ['of no balloon', { balloon: 0 }, { code: 'bad-balloon', field: 'balloon' }],
    ['of half a balloon', { balloon: 1.5 }, { code: 'bad-balloon', field: 'balloon' }],
    ['but not of the first', { balloon: 1 }, null],
    [
      'past a hole that is none',
      { widthMm: undefined, bracket: { stopsMm: 0, passesMm: 200 } },
      { code: 'bad-bracket', field: 'stopsMm' },
    ],
    [
      'through one too narrow',
      { widthMm: undefined, bracket: { stopsMm: 1, passesMm: least - 0.1 } },
      { code: 'bad-bracket', field: 'passesMm' },
    ],
    [
      'through one it cannot pass',
      { widthMm: undefined, bracket: { stopsMm: 200, passesMm: 200 } },
      { code: 'bracket-upside-down', field: 'stopsMm' },
    ],
    ['but not between two', { widthMm: undefined, bracket: { stopsMm: 199, passesMm: 200 } }, null],
  ])('%s', (_, more, problem) => {
    const found = readingProblem({ reading: { dose: 8, widthMm: 200, outcome: 'ok', ...more }, nominalMm });
    if (problem === null) expect(found).toBeNull();
    else expect(found).toMatchObject(problem);
  });
});

describe('what a fit notes', () => {
  const codes = (readings: readonly Reading[], pump: Inflator) =>
    fitted(readings, { pump }).notes.map(({ code }) => code);
  const three = (strokeL: number) => [6, 11, 16].map((dose, i) => filled(dose, strokeL, { balloon: i + 1 }));

  it('a stroke unlike the one on record, past a tenth of it and three deviations', () => {
    expect(codes(three(0.5), { kind: 'hand', doseVolumeL: 0.5 })).toEqual([]);
    expect(codes(three(0.5), { kind: 'hand', doseVolumeL: 0.46 })).toEqual([]);
    expect(fitted(three(0.5), { pump: { kind: 'hand', doseVolumeL: 0.3 } }).notes).toEqual([
      { code: 'stroke-unlike-pump', fittedL: expect.closeTo(0.5, 1) as number, onRecordL: 0.3 },
    ]);
    expect(codes(three(0.5), { kind: 'hand', doseVolumeL: 0.9 })).toEqual(['stroke-unlike-pump']);
    expect(codes(three(0.5), { kind: 'hand' })).toEqual([]);
    // One dose tells no stroke.
    expect(codes([filled(11)], { kind: 'hand', doseVolumeL: 0.3 })).toEqual([]);
  });

  it('that one dose starts from nothing, unless the pump is known', () => {
    expect(codes([filled(11)], { kind: 'hand' })).toContain('dead-volume-assumed-zero');
    expect(codes([filled(11)], { kind: 'hand', doseVolumeL: 0.5 })).not.toContain('dead-volume-assumed-zero');
    expect(codes([filled(11), filled(14)], { kind: 'hand' })).not.toContain('dead-volume-assumed-zero');
  });
});

describe('what is learned of a way of measuring', () => {
  /** Eight readings of one balloon filled on, by turns too wide and too narrow: strokes cannot take away again. */
  const read = (way: Way, offMm: number, more: Partial<Reading> = {}): Reading[] =>
    [6, 8, 10, 12, 14, 16, 18, 20].map((dose, i) => ({
      ...filled(dose, 0.5, { balloon: 1, way, ...more }),
      widthMm: acrossMm(0.5 * dose) + (i % 2 === 0 ? offMm : -offMm),
    }));
  const learned = (...calibrations: Reading[][]) =>
    knowShelf({
      balloons: calibrations.map((readings, i) => ({
        id: `b${i}`,
        line: 'Tarn',
        kind: 'round' as const,
        nominalMm: 13 * INCH,
        stuffed: false,
        calibrations: [{ id: `c${i}`, inflatorId: 'p', readings }],
      })),
      inflators: new Map([['p', { kind: 'hand' as const }]]),
    }).errors;
  const { tape, caliper } = TRADE.measureSdMm;

  it('is learned of that way alone', () => {
    const errors = learned(read('caliper', 7), read('caliper', 7), read('caliper', 7));
    expect(errors.ways.caliper.readings).toBe(24);
    expect(errors.ways.caliper.sdMm).toBeGreaterThan(4 * caliper);
    expect(errors.ways.tape).toMatchObject({ readings: 0, sdMm: expect.closeTo(tape, 6) as number, assumedMm: tape });
    expect(errors.worths.get('p')!).toBeGreaterThan(TRADE.priorReadings);
    expect(errors.worths.get('p')!).toBeLessThanOrEqual(TRADE.priorReadings + 24);
  });

  it('a way that is not said is the tape, and steady hands are found steady', () => {
    const errors = learned(read('tape', 0.3, { way: undefined }), read('tape', 0.3), read('tape', 0.3));
    expect(errors.ways.tape.readings).toBe(24);
    expect(errors.ways.tape.sdMm).toBeLessThan(0.8 * tape);
    expect(errors.ways.tape.highMm).toBeGreaterThan(errors.ways.tape.sdMm);
    expect(errors.ways.tape.lowMm).toBeLessThan(errors.ways.tape.sdMm);
  });

  it('comes to rest where fresh balloons leave tape and strokes hard to tell apart', () => {
    const fresh = read('tape', 0.3).map((one, i) => ({ ...one, balloon: i + 1 }));
    const [few, more] = [learned(fresh, fresh, fresh), learned(fresh, fresh, fresh, fresh, fresh, fresh)];
    expect(few.ways.tape.sdMm).toBeLessThan(0.8 * tape);
    expect(more.ways.tape.sdMm).toBeLessThan(few.ways.tape.sdMm);
    expect(few.doses.get('p')!.sd).toBeLessThan(TRADE.doseShare.hand);
    expect(more.doses.get('p')!.sd).toBeLessThan(few.doses.get('p')!.sd);
  });

  it('readings that name their own uncertainty teach nothing of it, nor do holes on both sides', () => {
    const named = learned(read('tape', 7, { sdMm: 7 }), read('tape', 7, { sdMm: 7 }));
    expect(named.ways.tape).toMatchObject({ readings: 0, sdMm: expect.closeTo(tape, 6) as number });
    const bracketed = learned(
      read('tape', 0).map(({ widthMm, ...one }) => ({
        ...one,
        bracket: { stopsMm: widthMm! - 3, passesMm: widthMm! + 3 },
      })),
    );
    expect(bracketed.ways.tape.readings).toBe(0);
  });

  it('is what an estimate of another balloon goes by', () => {
    const shelf = knowShelf({
      balloons: [
        {
          id: 'a',
          line: 'Tarn',
          kind: 'round',
          nominalMm: 13 * INCH,
          stuffed: false,
          calibrations: [{ id: 'c', inflatorId: 'p', readings: read('tape', 5) }],
        },
      ],
      inflators: new Map([['p', { kind: 'hand' as const }]]),
    });
    const curve = estimateFor({
      balloon: { id: 'x', line: 'Tarn', kind: 'round', nominalMm },
      inflatorId: 'p',
      inflator: { kind: 'hand' },
      shelf,
    })!;
    expect(curve.errors.ways.tape).toBe(shelf.errors.ways.tape.sdMm);
    expect(curve).toMatchObject({ dosesFrom: 'line', inflator: 'hand', lowestDose: Infinity, highestDose: -Infinity });
    expect(curve.doseVolumeL).toBeCloseTo(0.5, 1);
  });
});

describe('what is expected of a shape', () => {
  const oval: ShapeLaw = {
    knots: [
      { widthMm: 150, aspect: 1, sd: 0.01 },
      { widthMm: 250, aspect: 1.1, sd: 0.01 },
    ],
    seen: true,
    roundLimit: { kind: 'shown', widthMm: 210, sdMm: 3 },
  };

  it('is the law of the line’s nearest size, brought to this nominal', () => {
    const near = sureFit({ nominalMm: 250, shape: oval });
    const far = sureFit({ nominalMm: 900, shape: { ...oval, knots: [{ widthMm: 800, aspect: 1.3, sd: 0.01 }] } });
    const { shape, from } = expectShape({ nominalMm: 300, siblings: [far, near] });
    expect(from).toBe(2);
    expect(shape.seen).toBe(true);
    expect(shape.knots.map(({ widthMm, aspect }) => [widthMm, aspect])).toEqual([
      [150 * 1.2, 1],
      [250 * 1.2, 1.1],
    ]);
    expect(shape.knots[0]!.sd).toBeCloseTo(Math.hypot(0.01, TRADE.typicalAspect.sd / 2), 12);
  });

  it('joins the limit to a pear as it joins that of round', () => {
    const pear: RoundLimit = { kind: 'shown', widthMm: 280, sdMm: 4 };
    const round: RoundLimit = { kind: 'shown', widthMm: 230, sdMm: 4 };
    const expected = { round: { limit: round, from: 'line' as const }, pear: { limit: pear, from: 'line' as const } };
    const readings = [160, 190, 220, 250, 280].map((widthMm, i) => {
      const heightMm = widthMm * (1 + 0.07 * i);
      return { dose: bodyVolumeL({ widthMm, heightMm }) / 0.5, widthMm, heightMm, outcome: 'ok' as const };
    });
    const alone = fitted(readings).shape.pearLimit;
    const joined = fitted(readings, { known: { shape: { ...ROUND, expected } } }).shape.pearLimit;
    if (alone?.kind !== 'shown' || joined?.kind !== 'shown') throw new Error('no pear');
    expect(joined.sdMm).toBeLessThan(Math.min(alone.sdMm, 4));
    expect(joined.widthMm).toBeGreaterThan(Math.min(alone.widthMm, 280));
    expect(joined.widthMm).toBeLessThan(Math.max(alone.widthMm, 280));
  });
});

describe('the next reading', () => {
  const next = (more: Partial<CalibrationFit>) => nextReading({ fit: sureFit(more), tiers });
  /** Not yet sure of the strokes: there is something to find out. */
  const unsure = {
    covariance: [
      [0.04, 0],
      [0, 1e-4],
    ],
    lastDose: 8,
    highestDose: 8,
    largestWidthMm: 197,
  };

  it('fills the balloon in hand on, and takes a fresh one where it burst or is fuller already', () => {
    const on = next(unsure);
    expect(on.purpose).toBe('narrow-the-curve');
    expect(on.dose).toBeGreaterThan(8);
    expect(on.freshBalloon).toBe(false);
    expect(next({ ...unsure, lastDose: null }).freshBalloon).toBe(true);
    expect(next({ ...unsure, lastDose: 100 }).freshBalloon).toBe(true);
    expect(on.halfWidthThenMm!).toBeLessThan(on.halfWidthNowMm!);
  });

  it('is enough for a sure curve whose round limit was seen, and goes after the limit where it was not', () => {
    const shown: ShapeLaw = { ...ROUND, roundLimit: { kind: 'shown', widthMm: 240, sdMm: 3 } };
    expect(next({ shape: shown }).purpose).toBe('enough');
    expect(next({ highestDose: 10, largestWidthMm: 212, lastDose: 10 })).toMatchObject({ purpose: 'find-round-limit' });
    expect(next({ shape: shown, distinctDoses: 2 }).purpose).toBe('narrow-the-curve');
  });

  it('goes on where readings agree by luck: their band is no narrower than errors make it', () => {
    const shown: ShapeLaw = { ...ROUND, roundLimit: { kind: 'shown', widthMm: 240, sdMm: 3 } };
    const narrow = (varianceRatio: number) =>
      next({
        shape: shown,
        varianceRatio,
        covariance: [
          [0.004, 0],
          [0, 0],
        ],
      });
    expect(narrow(1).purpose).toBe('enough');
    expect(narrow(0.2).purpose).toBe('narrow-the-curve');
    expect(narrow(3).purpose).toBe('enough');
  });
});

describe('two nozzles', () => {
  const fit = sureFit({ ...sure({ nozzleVolumeL: 0.05, terms: ['dead', 'dose', 'nozzle'] }), inflator: 'twin' });

  it('are matched by the ratio of their rates, either way', () => {
    expect(matchNozzle({ fit, dose: 9, nozzle: 'left' })).toBeCloseTo((9 * 0.55) / 0.45, 9);
    expect(matchNozzle({ fit, dose: 9, nozzle: 'right' })).toBeCloseTo((9 * 0.45) / 0.55, 9);
    const { left, right } = evenDoses({ fit, dose: 9 });
    expect(left * 0.55).toBeCloseTo(right * 0.45, 9);
    expect(Math.sqrt(left * right)).toBeCloseTo(9, 9);
  });
});
