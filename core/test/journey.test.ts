import {
  calibrationOrder,
  chooseNominal,
  defaultHoldRate,
  fitCalibration,
  resolveTarget,
  showingOf,
  STANDARD_TIERS,
  STEP_MM,
  tierProblem,
  type Candidate,
  type NamedTier,
  type Place,
  type Showing,
  type TargetReason,
} from '../src';
import { comparePreparations, substitute, type ComparedModel } from '../src/calibration/calibrating';
import { ELEVEN, readingsOf, type PhysicalBalloon } from './physicalBalloon';
import { inch } from './results';

const nominalMm = inch(11);
const hold = defaultHoldRate({ wraps: 2, stuffed: false });
const [full, classic] = STANDARD_TIERS.map((tier) => ({ ...tier, shape: 'round' })) as [NamedTier, NamedTier];
const DOSES = [1, 2, 3, 4, 5, 6, 7, 8, 9];

function fitOf(balloon: PhysicalBalloon = ELEVEN, seed = 1, sdMm = 0.5) {
  const fit = fitCalibration({ nominalMm, readings: readingsOf({ balloon, doses: DOSES, sdMm, seed }) });
  if (!fit.ok) throw new Error(fit.problem.code);
  return fit.value;
}
const fit = fitOf();

function showing(venue: Partial<Place>, hours = 0, rate = hold): Showing {
  const workroom = { tempC: 21, altitudeM: 0 };
  const result = showingOf({ workroom, venue: { ...workroom, ...venue }, hours, hold: rate });
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
}

function target(options: Partial<Parameters<typeof resolveTarget>[0]> = {}) {
  const result = resolveTarget({
    nominalMm,
    tier: classic,
    fit,
    daysStanding: 1,
    step: STEP_MM.eighthInch,
    ...options,
  });
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
}
const reason = (reasons: TargetReason[], code: TargetReason['code']) => reasons.find((each) => each.code === code);

describe('a target for making and for showing', () => {
  it('is the same where it is made and shown in one place', () => {
    const still = target({ showing: showing({}) });
    expect(still.widthMm).toBe(target().widthMm);
    expect(still.showing.widthMm).toBeCloseTo(still.widthMm, 12);
    expect(still.reasons.map(({ code }) => code)).not.toContain('warmth');
  });

  it('is made smaller for a hot venue, so that it does not grow past its round limit there', () => {
    const cool = target({ tier: full });
    const hot = target({ tier: full, showing: showing({ tempC: 45 }) });
    expect(hot.widthMm).toBeLessThan(cool.widthMm);
    const limit = reason(hot.reasons, 'round-limit') as { limitMm: number };
    expect(hot.showing.widthMm).toBeLessThanOrEqual(limit.limitMm + 1e-9);
    expect(reason(hot.reasons, 'warmth')).toMatchObject({ state: 'acts', fromC: 21, toC: 45 });
  });

  it('is made smaller for a high venue', () => {
    const high = target({ showing: showing({ altitudeM: 2500 }) });
    expect(reason(high.reasons, 'altitude')).toMatchObject({ state: 'acts', toM: 2500 });
    expect(high.widthMm).toBeLessThan(target().widthMm);
  });

  it('is not filled past a limit for a cold venue, where it will be smaller', () => {
    const cold = target({ tier: full, showing: showing({ tempC: 0 }) });
    const limit = reason(cold.reasons, 'round-limit') as { limitMm: number };
    expect(cold.widthMm).toBeLessThanOrEqual(limit.limitMm);
    expect(cold.showing.widthMm).toBeLessThan(cold.widthMm);
  });

  it('is made larger for hours of waiting, as far as the limits leave room', () => {
    const leaky = { perHour: 0.002, sd: 0.0005, tests: 3 };
    const soft = { fraction: 0.7 };
    const late = target({ tier: soft, showing: showing({}, 24, leaky) });
    expect(late.widthMm).toBeGreaterThan(target({ tier: soft }).widthMm);
    expect(late.showing.widthMm).toBeCloseTo(0.7 * nominalMm, -0.5);
    expect(reason(late.reasons, 'hold')).toMatchObject({ state: 'acts', hours: 24, tests: 3 });
    expect(late.showing.afterDaysMm).toBeLessThan(late.showing.widthMm);
  });

  it('tells the limits that nearly acted from those that leave room', () => {
    const near = target({ tier: { fraction: 0.9 }, fit: null, daysStanding: 1 });
    expect(reason(near.reasons, 'standing')).toMatchObject({ state: 'near' });
    expect(reason(target({ tier: { fraction: 0.6 } }).reasons, 'standing')).toMatchObject({ state: 'room' });
  });

  it('is held up to the smallest useful size: by the neck, or by the shine of a mirror finish', () => {
    const low = { fraction: 0.42 };
    const matte = target({ tier: low, fit: null });
    expect(reason(matte.reasons, 'smallest-useful')).toMatchObject({ state: 'acts', why: 'neck' });
    expect(matte.widthMm / nominalMm).toBeCloseTo(0.45, 1);
    const mirror = target({ tier: { fraction: 0.5 }, fit: null, finish: 'mirror' });
    expect(reason(mirror.reasons, 'smallest-useful')).toMatchObject({ state: 'acts', why: 'shine' });
    expect(mirror.widthMm).toBeGreaterThan(target({ tier: { fraction: 0.5 }, fit: null }).widthMm);
  });

  it('says when a limit holds it below its own tier', () => {
    const codes = target({ tier: classic, daysStanding: 21 }).cautions.map(({ code }) => code);
    expect(codes).toContain('below-tier');
    expect(target({ tier: classic, fit: null }).cautions).toEqual([]);
  });
});

describe('tiers', () => {
  const tier = (leastFraction: number, fraction: number, mostFraction: number) =>
    tierProblem({ tier: { leastFraction, fraction, mostFraction }, others: STANDARD_TIERS.slice(1) });

  it('may touch and leave gaps, but not overlap, turn round or leave 30 to 100 %', () => {
    expect(tier(0.93, 0.95, 1)).toBeNull();
    expect(tier(0.32, 0.4, 0.44)).toBeNull();
    expect(tier(0.9, 0.95, 1)).toMatchObject({ code: 'overlaps', field: 'leastFraction', detail: { name: 'Classic' } });
    expect(tier(0.3, 0.4, 0.5)).toMatchObject({ code: 'overlaps', field: 'mostFraction', detail: { name: 'Bud' } });
    expect(tier(0.2, 0.4, 0.44)).toMatchObject({ code: 'outside-range', field: 'leastFraction' });
    expect(tier(0.94, 0.95, 1.1)).toMatchObject({ code: 'outside-range', field: 'mostFraction' });
    expect(tier(0.99, 0.99, 0.95)).toMatchObject({ code: 'empty-range' });
    expect(tier(0.93, 0.9, 1)).toMatchObject({ code: 'aim-outside', field: 'fraction' });
    expect(tier(NaN, 0.95, 1)).toMatchObject({ code: 'outside-range' });
  });

  it('a studio starts with can all stand beside one another', () => {
    STANDARD_TIERS.forEach((each, i) =>
      expect(tierProblem({ tier: each, others: STANDARD_TIERS.filter((_, j) => j !== i) })).toBeNull(),
    );
  });
});

describe('chooseNominal', () => {
  const models = [5, 6, 7, 9, 10, 11, 12, 16, 17, 18].map((size) => ({ size, nominalMm: inch(size) }));
  const suited = (inches: number, daysStanding = 1) => {
    const choice = chooseNominal({ widthMm: inch(inches), daysStanding, models });
    return choice.ok ? choice.value.suited.map(({ model }) => model.size) : [];
  };

  // Common practice: the table of targets people use for each nominal.
  it.each([
    [4, 5],
    [4.5, 5],
    [3.5, 5],
    [10, 11],
    [16, 18],
    [2.5, 5],
  ])('offers for %d in the %d in that people use', (width, size) => {
    expect(suited(width)).toContain(size);
  });

  it('takes the smallest that suits first, and goes up a nominal for a piece of three weeks (common practice: a 16 at 10)', () => {
    expect(suited(10)[0]).toBe(11);
    expect(suited(10, 21)[0]).toBe(16);
  });

  it('says why the others do not suit', () => {
    const choice = chooseNominal({ widthMm: inch(10), daysStanding: 21, models });
    const why = choice.ok
      ? new Map(choice.value.unsuited.map(({ model, reason: r }) => [model.size, r.code]))
      : new Map();
    expect([why.get(5), why.get(11), why.get(12)]).toEqual(['too-small', 'stands-too-short', 'stands-too-short']);
    const small = chooseNominal({
      widthMm: inch(3),
      daysStanding: 1,
      models: [{ nominalMm: inch(7), finish: 'mirror' as const }, { nominalMm: inch(11) }],
    });
    expect(small.ok && small.value.unsuited.map(({ reason: r }) => r.code)).toEqual(['dulls', 'too-large']);
    const oval = chooseNominal({
      widthMm: inch(10),
      daysStanding: 1,
      models: [{ nominalMm, roundLimit: { kind: 'shown' as const, widthMm: inch(9.5), sdMm: 2 } }],
    });
    expect(oval.ok && oval.value.unsuited[0]?.reason).toEqual({ code: 'oval', limitMm: inch(9.5) });
  });

  it('refuses no width, no time and no balloons', () => {
    expect(chooseNominal({ widthMm: 0, daysStanding: 1, models })).toMatchObject({ problem: { code: 'bad-width' } });
    expect(chooseNominal({ widthMm: 100, daysStanding: -1, models })).toMatchObject({ problem: { code: 'bad-days' } });
    expect(chooseNominal({ widthMm: 100, daysStanding: 1, models: [] })).toMatchObject({
      problem: { code: 'no-models' },
    });
  });
});

describe('preparing a balloon otherwise', () => {
  const lower: PhysicalBalloon = {
    ...ELEVEN,
    law: { ...ELEVEN.law, knots: ELEVEN.law.knots.map((k) => ({ ...k, aspect: k.aspect - 0.05 })) },
  };

  it('shows how much rounding off lowers the aspect, and that a rounder body is wider at equal dose', () => {
    const effect = comparePreparations({ first: fitOf(ELEVEN, 2), second: fitOf(lower, 3), sameInflator: true });
    expect(effect.aspect!.mean).toBeCloseTo(-0.05, 2);
    expect(effect.aspect!.shown).toBe(true);
    expect(effect.widthMm!.mean).toBeGreaterThan(1);
  });

  it('claims no difference that the readings cannot show', () => {
    const effect = comparePreparations({
      first: fitOf(ELEVEN, 2, 2),
      second: fitOf(ELEVEN, 3, 2),
      sameInflator: false,
    });
    expect(effect.aspect!.shown).toBe(false);
    expect(effect.widthMm).toBeNull();
  });
});

describe('one balloon in place of another', () => {
  const compared = (more: Partial<ComparedModel> = {}): ComparedModel => ({
    nominalMm,
    finish: 'matte',
    fit,
    curve: fit,
    hold,
    filled: 9,
    burst: 0,
    ...more,
  });
  const stand = (to: Partial<ComparedModel>, widthMm = inch(9)) => {
    const result = substitute({ from: compared(), to: compared(to), widthMm });
    if (!result.ok) throw new Error(result.problem.code);
    return result.value;
  };

  it('reaches the same width with its own dose and nothing to mind when they are alike', () => {
    const twin = stand({});
    expect(twin.cautions).toEqual([]);
    expect(Math.abs(twin.givesMm! - inch(9))).toBeLessThan(6);
    expect(twin.bursts).toMatchObject({ share: 0 });
  });

  it('warns of another shape, another shine, a nominal that does not suit, and of what is only estimated', () => {
    const long = {
      ...ELEVEN,
      law: { ...ELEVEN.law, knots: ELEVEN.law.knots.map((k) => ({ ...k, aspect: k.aspect + 0.12 })) },
    };
    const other = fitOf(long, 4);
    const codes = (to: Partial<ComparedModel>, widthMm?: number) => stand(to, widthMm).cautions.map(({ code }) => code);
    expect(codes({ fit: other, curve: other })).toContain('other-shape');
    expect(codes({ finish: 'pearl' })).toEqual(['other-finish']);
    expect(codes({ nominalMm: inch(9) })).toContain('nominal-too-small');
    expect(codes({ nominalMm: inch(24) })).toContain('nominal-too-large');
    expect(codes({ fit: null })).toContain('estimated');
    expect(codes({ fit: null, curve: null })).toContain('no-curve');
    expect(codes({ hold: { perHour: 0.004, sd: 0.001, tests: 2 } })).toContain('shorter-hold');
    expect(codes({}, inch(10.2))).toContain('past-round-limit');
  });
});

describe('what is worth calibrating first', () => {
  const candidate = (id: string, more: Partial<Candidate>): Candidate => ({
    id,
    nominalMm,
    fit,
    curve: fit,
    wanted: [{ widthMm: inch(9), toleranceMm: 6 }],
    uses: 0,
    sizesThatLearn: 0,
    daysSince: 3,
    ...more,
  });

  it('leaves out what is known well enough, and puts the unknown that is used most first', () => {
    const tasks = calibrationOrder([
      candidate('known', {}),
      candidate('unknown', { fit: null, curve: null, daysSince: null }),
      candidate('unknown and used', { fit: null, curve: null, daysSince: null, uses: 3 }),
      candidate('old', { daysSince: 500 }),
    ]);
    expect(tasks.map(({ id }) => id)).toEqual(['unknown and used', 'unknown', 'old']);
    expect(tasks[0]!.reasons.map(({ code }) => code)).toEqual(['never-measured', 'in-use']);
    expect(tasks[2]!.reasons).toEqual([{ code: 'old', days: 500 }]);
  });

  it('says how unsure the targets are, and which other sizes would gain', () => {
    const unsure = fitOf(ELEVEN, 2, 6);
    const [first] = calibrationOrder([
      candidate('vague', {
        fit: { ...unsure, distinctDoses: 1 },
        wanted: [{ widthMm: inch(9), toleranceMm: 0.5 }],
      }),
    ]);
    expect(first!.reasons.map(({ code }) => code)).toEqual(['one-dose', 'unsure']);
    const [line] = calibrationOrder([candidate('line', { fit: null, curve: null, sizesThatLearn: 2 })]);
    expect(line!.reasons).toContainEqual({ code: 'line-learns', sizes: 2 });
  });
});
