import {
  expectShape,
  fitCalibration,
  aspectAt,
  growthAt,
  knowShelf,
  normalFrom,
  poolEstimates,
  randomFrom,
  resolveTarget,
  TRADE,
  upperLimits,
  type Aim,
  type CalibrationFit,
  type ExpectedLimits,
  type KnownBefore,
  type Reading,
  type RoundLimit,
  type ShapeLaw,
} from '../src';
import { withoutPrior } from '../src/statistics';
import { INCH, spreadReadings, USUAL, type World } from './simulatedCalibrations';

const NOMINAL = 11 * INCH;
const STRONG = { atNominal: 0.2, from: 0.6, power: 1.5 };

const measured = (world: Partial<World>, seed: number, known?: KnownBefore): CalibrationFit => {
  const all: World = { ...USUAL, shapes: 'heights', ...world };
  const fit = fitCalibration({
    nominalMm: all.nominalMm,
    readings: spreadReadings(all, 10, seed),
    known: { inflator: null, ...known },
  });
  if (!fit.ok) throw new Error(fit.problem.code);
  return fit.value;
};
const shown = (limit: RoundLimit | undefined): { widthMm: number; sdMm: number } => {
  if (limit?.kind !== 'shown') throw new Error(limit?.kind);
  return limit;
};

const strong = [0.8, 1.3, 1.6].map((size, i) => measured({ nominalMm: size * NOMINAL, growth: STRONG }, i + 1));
const SOME = { atNominal: 0.12, from: 0.7, power: 1.5 };
const mild = [0.9, 1.2].map((size, i) => measured({ nominalMm: size * NOMINAL, growth: SOME }, i + 11));
/** Where a balloon that lengthens strongly turns oval (aspect 1.06), as a share of nominal. */
const STRONG_LIMIT = 0.6 + 0.4 * (0.06 / 0.2) ** (1 / 1.5);

describe('what other balloons let expect of a shape', () => {
  it('is nothing where no shape was seen: as is usual, with no limit', () => {
    const { shape, growth, from } = expectShape({ nominalMm: NOMINAL, siblings: [] });
    expect(aspectAt({ law: shape, widthMm: NOMINAL })).toMatchObject(TRADE.typicalAspect);
    expect(shape.roundLimit.kind).toBe('no-shapes-seen');
    expect(growth.mean).toBeCloseTo(TRADE.aspectGrowth.mean, 12);
    expect(growth.sd).toBeCloseTo(TRADE.aspectGrowth.sd, 12);
    expect(from).toBe(0);
  });

  it('comes from the studio’s other lines where its own line is not known, and is wider then', () => {
    const shelf = expectShape({ nominalMm: NOMINAL, siblings: [], lines: [strong] });
    const line = expectShape({ nominalMm: NOMINAL, siblings: strong });
    expect(shelf.shape.expected!.round.from).toBe('shelf');
    expect(line.shape.expected!.round.from).toBe('line');
    for (const { shape } of [shelf, line]) {
      const { widthMm, sdMm } = shown(shape.roundLimit);
      expect(Math.abs(widthMm / NOMINAL - STRONG_LIMIT)).toBeLessThan((1.96 * sdMm) / NOMINAL);
    }
    expect(shown(shelf.shape.roundLimit).sdMm).toBeGreaterThan(1.2 * shown(line.shape.roundLimit).sdMm);
    expect(shelf.growth.sd).toBeGreaterThan(line.growth.sd);
    expect(line.growth.mean).toBeGreaterThan(0.13);
    expect(shelf.growth.mean).toBeGreaterThan(TRADE.aspectGrowth.mean + 0.02);
    // A balloon of an unknown line is taken to lengthen as the studio's do, from a sphere on.
    expect(aspectAt({ law: shelf.shape, widthMm: 0.5 * NOMINAL }).aspect).toBe(1);
    expect(aspectAt({ law: shelf.shape, widthMm: NOMINAL }).aspect).toBeCloseTo(1 + shelf.growth.mean, 2);
  });

  it('follows the line the more, the more of its sizes are known', () => {
    const limit = (siblings: CalibrationFit[]) =>
      shown(expectShape({ nominalMm: NOMINAL, siblings, lines: [mild] }).shape.roundLimit).widthMm;
    const growth = (siblings: CalibrationFit[]) =>
      expectShape({ nominalMm: NOMINAL, siblings, lines: [mild] }).growth.mean;
    expect(limit([])).toBeGreaterThan(limit(strong.slice(0, 1)));
    expect(limit(strong.slice(0, 1))).toBeGreaterThan(limit(strong));
    expect(growth([])).toBeLessThan(growth(strong.slice(0, 1)));
    expect(growth(strong.slice(0, 1))).toBeLessThan(growth(strong));
  });

  it('is told by heights as they grew: what the largest showed, brought to nominal', () => {
    const grown = 0.2;
    /** Measured to a share of nominal, where it is so much longer, nearly for sure. */
    const tall = (share: number, sd = 0.001): CalibrationFit => {
      const widthMm = share * NOMINAL;
      const aspect = 1 + grown * growthAt(share);
      const knots = [
        { widthMm: 0.5 * NOMINAL, aspect: 1, sd },
        { widthMm, aspect, sd },
      ];
      const shape: ShapeLaw = { knots, seen: true, roundLimit: { kind: 'no-shapes-seen' } };
      return { ...mild[0]!, nominalMm: NOMINAL, terms: ['dead', 'dose'], largestWidthMm: widthMm, shape };
    };
    const growthOf = (...siblings: CalibrationFit[]) => expectShape({ nominalMm: NOMINAL, siblings }).growth;
    const sure = growthOf(tall(0.95), tall(0.9), tall(0.95), tall(1.05), tall(0.9));
    expect(Math.abs(sure.mean / grown - 1)).toBeLessThan(0.1);
    // An aspect that is off by so much is off by more in what all growth would be.
    const unsure = growthOf(tall(0.9, 0.08));
    const own = (0.08 / growthAt(0.9)) ** 2;
    const { sizes, lines } = TRADE.growthBetween;
    const { mean, sd } = TRADE.aspectGrowth;
    const shelf = { value: mean, variance: sd ** 2 };
    const line = { value: grown, variance: own };
    const by = poolEstimates({
      estimates: [line, shelf],
      expected: { variance: sizes ** 2, worth: TRADE.betweenWorth },
    })!;
    expect(lines).toBeGreaterThan(0);
    expect(unsure.mean).toBeCloseTo(by.mean, 2);
    // Slack as it was, it tells nothing of how it would have grown.
    expect(growthOf(tall(0.6)).mean).toBeCloseTo(TRADE.aspectGrowth.mean, 9);
  });

  it('is told by doses, too, where no shape was ever seen', () => {
    const unseen = [1.3, 1.6, 1.4, 1.5].map((size, i) =>
      measured({ nominalMm: size * NOMINAL, growth: STRONG, shapes: 'none', strokeVariation: 0.02 }, i + 31),
    );
    const { growth } = expectShape({ nominalMm: NOMINAL, siblings: unseen });
    expect(growth.mean).toBeGreaterThan(TRADE.aspectGrowth.mean + 0.02);
    expect(growth.sd).toBeLessThan(TRADE.aspectGrowth.sd);
  });

  it('pools a line and the others as the closed form has it', () => {
    const lineOf = (value: number, sdMm: number): CalibrationFit => {
      const roundLimit: RoundLimit = { kind: 'shown', widthMm: value * NOMINAL, sdMm };
      return { ...mild[0]!, nominalMm: NOMINAL, shape: { ...mild[0]!.shape, roundLimit } };
    };
    const { sizes, lines } = TRADE.roundLimitBetween;
    const worth = TRADE.betweenWorth;
    const { widthMm, sdMm } = shown(
      expectShape({ nominalMm: NOMINAL, siblings: [lineOf(0.8, 4)], lines: [[lineOf(0.9, 4)]] }).shape.roundLimit,
    );
    const own = (4 / NOMINAL) ** 2;
    // One line: its mean is its one size, give or take the spread of sizes; a second line, give or take that of lines.
    const far = { value: 0.9, variance: own + sizes ** 2 + 2 * lines ** 2 };
    const near = { value: 0.8, variance: own };
    const by = poolEstimates({ estimates: [near, far], expected: { variance: sizes ** 2, worth } })!;
    expect(widthMm / NOMINAL).toBeCloseTo(by.mean, 9);
    expect(sdMm / NOMINAL).toBeCloseTo(Math.sqrt(by.predictive), 9);
  });
});

describe('a limit that was seen', () => {
  const expected: ExpectedLimits = {
    round: { limit: { kind: 'shown', widthMm: 240, sdMm: 5 }, from: 'line' },
    pear: { limit: { kind: 'no-shapes-seen' }, from: 'shelf' },
  };
  const shape: ShapeLaw = { knots: [], seen: false, roundLimit: expected.round.limit, expected };
  const limits = (fit: CalibrationFit) =>
    upperLimits({ nominalMm: NOMINAL, fit, curve: fit, daysStanding: 0 }).flatMap((limit) =>
      limit.code === 'round-limit' ? [limit] : [],
    );

  it('is joined with what others let expect, by the precision of each', () => {
    const alone = shown(measured({ growth: SOME }, 5).shape.roundLimit);
    const joined = shown(measured({ growth: SOME }, 5, { shape }).shape.roundLimit);
    const [own, others] = [1 / alone.sdMm ** 2, 1 / 25];
    expect(joined.widthMm).toBeCloseTo((own * alone.widthMm + others * 240) / (own + others), 9);
    expect(joined.sdMm).toBeCloseTo(1 / Math.sqrt(own + others), 9);
    expect(limits(measured({ growth: SOME }, 5, { shape }))).toEqual([
      { code: 'round-limit', limitMm: joined.widthMm, sdMm: joined.sdMm, from: 'own' },
    ]);
  });

  it('is that of others where nobody looked', () => {
    const fit = measured({ shapes: 'none' }, 5, { shape });
    expect(fit.shape.roundLimit.kind).toBe('no-shapes-seen');
    expect(limits(fit)).toEqual([{ code: 'round-limit', limitMm: 240, sdMm: 5, from: 'line' }]);
    expect(limits(measured({ shapes: 'none' }, 5))).toEqual([]);
  });

  it('is none where the balloon was seen round further than others let expect, and theirs where it was not', () => {
    const round: Reading[] = [150, 180, 210, 238].map((widthMm, i) => ({
      dose: 4 + 6 * i,
      widthMm,
      heightMm: widthMm,
      outcome: 'ok',
    }));
    const at = (widthMm: number) => {
      const limit = { kind: 'shown' as const, widthMm, sdMm: 5 };
      const law = { ...shape, expected: { ...expected, round: { limit, from: 'shelf' as const } } };
      const fit = fitCalibration({ nominalMm: NOMINAL, readings: round, known: { inflator: null, shape: law } });
      if (!fit.ok) throw new Error(fit.problem.code);
      expect(fit.value.shape.roundLimit.kind).toBe('above');
      return limits(fit.value);
    };
    expect(at(230)).toEqual([]);
    expect(at(250)).toEqual([{ code: 'round-limit', limitMm: 250, sdMm: 5, from: 'shelf' }]);
  });

  it('holds a target of a balloon of a line nobody knows, by the studio’s other lines', () => {
    const balloonOf = (id: string, line: string, world: Partial<World>, seed: number) => {
      const all: World = { ...USUAL, shapes: 'heights', growth: STRONG, ...world };
      return {
        id,
        line,
        kind: 'round' as const,
        nominalMm: all.nominalMm,
        stuffed: false,
        calibrations: [{ id: `c-${id}`, inflatorId: 'p', readings: spreadReadings(all, 8, seed) }],
      };
    };
    const shelf = knowShelf({
      balloons: [balloonOf('a', 'Aurelle', {}, 1), balloonOf('b', 'Tarn', { shapes: 'none' }, 2)],
      inflators: new Map([['p', { kind: 'hand' as const }]]),
    });
    const { fit } = shelf.outcomes.get('c-b')!;
    const resolved = (tier: Aim) => {
      const made = resolveTarget({ nominalMm: NOMINAL, tier, fit, daysStanding: 0, step: INCH / 8 });
      if (!made.ok) throw new Error(made.problem.code);
      return made.value;
    };
    const tier = { fraction: 0.95, shape: 'round' as const };
    const held = resolved(tier);
    const reason = held.reasons.find((one) => one.code === 'round-limit');
    expect(reason).toMatchObject({ from: 'shelf', state: 'acts' });
    expect(held.widthMm).toBeLessThan(0.85 * NOMINAL);
    expect(resolved({ ...tier, shape: 'oval' }).widthMm).toBeGreaterThan(held.widthMm);
  });
});

it('an estimate freed of its prior is what the data alone had said', () => {
  const random = randomFrom(8);
  for (let i = 0; i < 50; i += 1) {
    const prior = { value: normalFrom(random), variance: 1 + random() };
    const data = { value: normalFrom(random), variance: 0.2 + random() };
    const precision = 1 / prior.variance + 1 / data.variance;
    const joined = {
      value: (prior.value / prior.variance + data.value / data.variance) / precision,
      variance: 1 / precision,
    };
    const freed = withoutPrior(joined, prior);
    if (joined.variance > 0.7 * prior.variance) {
      expect(freed).toBeNull();
      continue;
    }
    expect(freed!.value).toBeCloseTo(data.value, 9);
    expect(freed!.variance).toBeCloseTo(data.variance, 9);
  }
});
