import {
  aspectAt,
  chooseNominal,
  circumferenceMm,
  estimateCurve,
  nearestTier,
  predictWidth,
  resolveTarget,
  showingOf,
  tierProblem,
  TRADE,
  type Aim,
  type CalibrationFit,
  type RoundLimit,
  type ShapeLaw,
} from '../src';
import { INCH } from './simulatedCalibrations';
import { ROUND, sphereL, sureFit } from './sureCurve';

/** What a target says of itself: each reason, each caution and each refusal at both sides of where it begins. */

const nominalMm = 11 * INCH;
const step = INCH / 8;
type Options = Parameters<typeof resolveTarget>[0];

function asked(more: Partial<Options> = {}) {
  return resolveTarget({ nominalMm, tier: { fraction: 0.8 }, fit: null, daysStanding: 0, step, ...more });
}
function target(more: Partial<Options> = {}) {
  const made = asked(more);
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
}
const cautions = (more: Partial<Options>) => target(more).cautions;
const codes = (more: Partial<Options>) => cautions(more).map(({ code }) => code);
const aims = (widthMm: number, more: Partial<Aim> = {}): Aim => ({ fraction: widthMm / nominalMm, ...more });
/** Millimetre steps, so that widths come out as asked for. */
const fine = { step: 1 };
const turnsOval: RoundLimit = { kind: 'shown', widthMm: 240, sdMm: 3 };
const ovalShape: ShapeLaw = {
  knots: [
    { widthMm: 200, aspect: 1, sd: 0 },
    { widthMm: 280, aspect: 1.12, sd: 0 },
  ],
  seen: true,
  roundLimit: turnsOval,
};

describe('what a target refuses', () => {
  it.each<[string, Partial<Options>, string, string]>([
    ['no nominal', { nominalMm: 0 }, 'bad-nominal', 'nominalMm'],
    ['an endless nominal', { nominalMm: Infinity }, 'bad-nominal', 'nominalMm'],
    ['a share of nothing', { tier: { fraction: 0 } }, 'bad-fraction', 'tier.fraction'],
    ['a share over 1.2', { tier: { fraction: 1.2001 } }, 'bad-fraction', 'tier.fraction'],
    ['no tolerance', { tier: { fraction: 0.8, toleranceFraction: 0 } }, 'bad-tolerance', 'tier.toleranceFraction'],
    ['half of it', { tier: { fraction: 0.8, toleranceFraction: 0.51 } }, 'bad-tolerance', 'tier.toleranceFraction'],
    ['days before it is made', { daysStanding: -1 }, 'bad-days', 'daysStanding'],
    ['more than a year', { daysStanding: 366 }, 'bad-days', 'daysStanding'],
    ['days that are no number', { daysStanding: NaN }, 'bad-days', 'daysStanding'],
    ['no step', { step: 0 }, 'bad-step', 'step'],
    ['a step over a quarter of nominal', { step: nominalMm / 4 + 0.01 }, 'bad-step', 'step'],
  ])('%s', (_, more, code, field) => {
    const made = asked(more);
    expect(made.ok ? null : made.problem).toMatchObject({ code, field });
  });

  it.each<[string, Partial<Options>]>([
    ['1.2 of nominal', { tier: { fraction: 1.2 } }],
    ['half of nominal as tolerance', { tier: { fraction: 0.8, toleranceFraction: 0.5 } }],
    ['a year', { daysStanding: 365 }],
    ['a step of a quarter of nominal', { step: nominalMm / 4 }],
  ])('but not %s', (_, more) => expect(asked(more).ok).toBe(true));
});

describe('a target by a sure curve', () => {
  it('gives the width, its circumference, the dose of that sphere, and no caution but the shape nobody saw', () => {
    const made = target({ fit: sureFit(), tier: aims(200), ...fine });
    expect(made).toMatchObject({ widthMm: 200, toleranceMm: 6, origin: 'measured' });
    expect(made.circumferenceMm).toBeCloseTo(circumferenceMm({ widthMm: 200 }), 9);
    expect(made.dose!.dose).toBe(Math.round(2 * (sphereL(200) / 0.5)) / 2);
    expect(made.cautions).toEqual([{ code: 'round-limit-unknown' }]);
    expect(made.reasons[0]).toEqual({ code: 'tier', fraction: 200 / nominalMm, widthMm: 200 });
  });

  it('is a rule, and has no dose, without a curve; only an estimate by one of others', () => {
    expect(target({ tier: aims(200), ...fine })).toMatchObject({ origin: 'rule', dose: null, cautions: [] });
    const known = {
      kind: 'hand' as const,
      doseVolumeL: 0.5,
      doseSdL: 0.01,
      lostDoses: 0,
      lostSd: 0.1,
      calibrations: 3,
    };
    const estimate = estimateCurve({ nominalMm, siblings: [], line: null, all: known })!;
    const made = target({ estimate, tier: aims(200), ...fine });
    expect(made.origin).toBe('estimated');
    expect(made.cautions).toEqual([
      { code: 'estimated-from', doses: 'inflator', doseCalibrations: 3, shapeCalibrations: 0 },
    ]);
  });

  it('is measured to its tolerance and estimated past it; past half of it, it is not known and has no dose', () => {
    const unsure = (sdL: number) =>
      sureFit({
        covariance: [
          [sdL * sdL, 0],
          [0, 0],
        ],
      });
    const halfMm = (fit: CalibrationFit) => {
      const width = predictWidth({ fit, dose: sphereL(200) / 0.5 });
      return width.ok ? (width.value.highMm - width.value.lowMm) / 2 : NaN;
    };
    const at = (sdL: number) => target({ fit: unsure(sdL), tier: aims(200), ...fine });
    expect(halfMm(unsure(0.15))).toBeLessThan(6);
    expect(at(0.15).origin).toBe('measured');
    expect(halfMm(unsure(0.2))).toBeGreaterThan(6);
    expect(at(0.2)).toMatchObject({ origin: 'estimated', cautions: [{ code: 'round-limit-unknown' }] });
    expect(at(0.2).dose).not.toBeNull();
    expect(halfMm(unsure(1.6))).toBeGreaterThan(50);
    expect(at(1.6)).toMatchObject({ origin: 'rule', dose: null });
    expect(at(1.6).cautions[0]).toEqual({ code: 'not-known-yet' });
  });

  it('says when the nearest dose misses the tolerance', () => {
    // Two litres a stroke: the nearest half strokes lie far apart.
    const fit = sureFit({ doseVolumeL: 4 });
    const near = target({ fit, tier: aims(195), ...fine });
    expect(near.dose!.widthMm).toBeCloseTo(Math.cbrt((6e6 * 4) / Math.PI), 6);
    expect(near.cautions.map(({ code }) => code)).not.toContain('dose-outside-tolerance');
    const far = target({ fit, tier: aims(212), ...fine });
    expect(far.cautions).toContainEqual({ code: 'dose-outside-tolerance', givesMm: far.dose!.widthMm });
  });

  it('says where its readings end, three hundredths past them, and below them only where that leaves it unsure', () => {
    const round = { ...ROUND, roundLimit: { kind: 'above' as const, widthMm: 250 } };
    const sureOf = sureFit({ shape: round });
    expect(codes({ fit: sureOf, tier: aims(257), ...fine, daysStanding: 0 })).not.toContain('beyond-readings');
    expect(cautions({ fit: sureOf, tier: aims(258), ...fine })).toContainEqual({
      code: 'beyond-readings',
      largestMm: 250,
    });
    expect(codes({ fit: sureOf, tier: aims(140), ...fine })).toEqual([]);
    const unsure = sureFit({
      shape: round,
      covariance: [
        [0.01, 0],
        [0, 0],
      ],
    });
    expect(cautions({ fit: unsure, tier: aims(140), ...fine })).toEqual([{ code: 'below-readings', smallestMm: 150 }]);
    expect(codes({ fit: unsure, tier: aims(146), ...fine })).toEqual([]);
  });

  it('says what it rests on: one dose from nothing, and a shape nobody looked at, but not of a pair', () => {
    const fit = sureFit({ notes: [{ code: 'slope-unknown' }, { code: 'dead-volume-assumed-zero' }] });
    expect(codes({ fit, tier: aims(200), ...fine })).toEqual(['dead-volume-assumed-zero', 'round-limit-unknown']);
    expect(codes({ fit: sureFit({ notes: [{ code: 'slope-unknown' }] }), tier: aims(200), ...fine })).toEqual([
      'round-limit-unknown',
    ]);
    const limits = {
      upper: [],
      lower: { code: 'smallest-useful' as const, why: 'neck' as const, fraction: 0.45, limitMm: 126 },
    };
    const paired = target({ fit, tier: aims(200), ...fine, limits });
    expect(paired.cautions.map(({ code }) => code)).toEqual(['dead-volume-assumed-zero']);
    expect(paired.reasons[0]).toMatchObject({ code: 'tier', of: 'smaller' });
    expect(target({ fit, tier: aims(200), ...fine }).reasons[0]).not.toHaveProperty('of');
  });
});

describe('what is out of proportion', () => {
  it('a nominal too small above 0.92, too large under 0.45, each by the share of it', () => {
    const most = TRADE.largestFraction * nominalMm;
    expect(codes({ tier: aims(most), ...fine })).toEqual([]);
    const [small] = cautions({ tier: aims(most + 2), ...fine });
    expect(small).toMatchObject({ code: 'nominal-too-small' });
    expect(small).toHaveProperty('fraction', Math.round(most + 2) / nominalMm);
    expect(cautions({ tier: { fraction: 0.4 }, ...fine })).toContainEqual({ code: 'nominal-too-large', fraction: 0.4 });
    expect(codes({ tier: { fraction: 0.45 }, ...fine })).not.toContain('nominal-too-large');
  });

  it('a tier held below its own range', () => {
    const fit = sureFit({ shape: ovalShape });
    expect(cautions({ fit, tier: aims(255, { leastFraction: 241.5 / nominalMm }), ...fine })).toContainEqual({
      code: 'below-tier',
      fraction: 240 / nominalMm,
      leastFraction: 241.5 / nominalMm,
    });
    expect(codes({ fit, tier: aims(255, { leastFraction: 240.5 / nominalMm }), ...fine })).not.toContain('below-tier');
  });

  it('a smallest useful width above what the limits allow, and what it would be', () => {
    const fit = sureFit({ shape: { ...ovalShape, roundLimit: { ...turnsOval, widthMm: 120 } } });
    const made = target({ fit, tier: aims(200), ...fine });
    expect(made.widthMm).toBe(120);
    expect(made.cautions).toContainEqual({
      code: 'smaller-than-useful',
      smallestMm: TRADE.smallestFraction * nominalMm,
    });
    expect(codes({ tier: { fraction: 0.3 }, ...fine })).not.toContain('smaller-than-useful');
  });
});

describe('reasons', () => {
  const states = (more: Partial<Options>) =>
    target({ ...fine, ...more }).reasons.flatMap((reason) => ('state' in reason ? [[reason.code, reason.state]] : []));

  it('a limit acts where it held the width down, nearly did within three hundredths of nominal, else leaves room', () => {
    const fit = sureFit({ shape: ovalShape });
    const near = TRADE.nearlyShare * nominalMm;
    expect(states({ fit, tier: aims(250) })[0]).toEqual(['round-limit', 'acts']);
    expect(states({ fit, tier: aims(240) })).toContainEqual(['round-limit', 'near']);
    expect(states({ fit, tier: aims(240 - Math.floor(near)) })).toContainEqual(['round-limit', 'near']);
    expect(states({ fit, tier: aims(240 - Math.ceil(near)) })).toContainEqual(['round-limit', 'room']);
    const least = TRADE.smallestFraction * nominalMm;
    expect(states({ tier: aims(100) })[0]).toEqual(['smallest-useful', 'acts']);
    expect(states({ tier: aims(Math.ceil(least) + 1) })).toContainEqual(['smallest-useful', 'near']);
    expect(states({ tier: aims(Math.ceil(least + near) + 1) })).toContainEqual(['smallest-useful', 'room']);
  });

  it('those of one state go by their limit, the nearest first', () => {
    const fit = sureFit({
      shape: ovalShape,
      limits: { ...sureFit().limits, hardMm: 255, burstMm: 300 },
    });
    const made = target({ fit, tier: aims(190), ...fine }).reasons.flatMap((reason) =>
      'limitMm' in reason ? [reason.limitMm] : [],
    );
    expect(made).toHaveLength(5);
    expect([...made].sort((a, b) => a - b)).toEqual(made);
  });

  it('an oval is told where the tier bears one and the round limit was passed, with its aspect', () => {
    const fit = sureFit({ shape: ovalShape });
    const oval = (widthMm: number, more: Partial<Options> = {}) =>
      target({ fit, tier: aims(widthMm, { shape: 'oval' }), ...fine, ...more }).reasons.filter(
        ({ code }) => code === 'oval-here',
      );
    expect(oval(250)).toEqual([
      { code: 'oval-here', aspect: aspectAt({ law: ovalShape, widthMm: 250 }).aspect, roundMm: 240 },
    ]);
    expect(oval(240)).toEqual([]);
    expect(oval(250, { tier: aims(250) })).toEqual([]);
    expect(oval(250, { fit: null })).toEqual([]);
  });
});

describe('the way to the show', () => {
  const place = { tempC: 20, altitudeM: 0 };
  const hold = { perHour: 0.002, sd: 0.0005, tests: 3 };
  const way = (more: Partial<Parameters<typeof showingOf>[0]> = {}) =>
    showingOf({ workroom: place, venue: place, hours: 0, hold, ...more });
  const showing = (more: Partial<Parameters<typeof showingOf>[0]> = {}) => {
    const made = way(more);
    if (!made.ok) throw new Error(made.problem.code);
    return made.value;
  };
  const journey = (more: Partial<Parameters<typeof showingOf>[0]>, options: Partial<Options> = {}) =>
    target({ tier: aims(200), showing: showing(more), ...fine, ...options }).reasons.filter(({ code }) =>
      ['warmth', 'altitude', 'hold'].includes(code),
    );

  it('tells only of what differs', () => {
    expect(journey({})).toEqual([]);
    expect(journey({ venue: { ...place, tempC: 30 } }).map(({ code }) => code)).toEqual(['warmth']);
    expect(journey({ venue: { ...place, altitudeM: 900 } }).map(({ code }) => code)).toEqual(['altitude']);
    expect(journey({ hours: 12 }).map(({ code }) => code)).toEqual(['hold']);
  });

  it('says by how much it must be made smaller for warmth and height, and wider for what it loses', () => {
    const warm = showing({ venue: { ...place, tempC: 30 } });
    const [warmth] = journey({ venue: { ...place, tempC: 30 } });
    expect(warmth).toMatchObject({ fromC: 20, toC: 30, state: 'acts' });
    expect(warmth).toHaveProperty('byMm', expect.closeTo(200 / warm.growth.warmth - 200, 9));
    const [altitude] = journey({ venue: { ...place, altitudeM: 900 } });
    expect(altitude).toMatchObject({ fromM: 0, toM: 900, state: 'acts' });
    const [lost] = journey({ hours: 12 });
    const { kept } = showing({ hours: 12 });
    expect(lost).toMatchObject({ hours: 12, lostShare: 1 - kept, tests: 3, state: 'acts' });
    expect(lost).toHaveProperty('byMm', expect.closeTo(200 / kept - 200, 9));
  });

  it('nearly acts from a quarter of a step on', () => {
    const state = (byMm: number, steps: number) => {
      const kept = 200 / (200 + byMm);
      const made = target({ tier: aims(200), showing: { ...showing({ hours: 12 }), kept }, step: steps });
      return made.reasons.flatMap((reason) => (reason.code === 'hold' ? [reason.state] : []));
    };
    expect(state(2.4, 10)).toEqual(['room']);
    expect(state(2.6, 10)).toEqual(['near']);
    expect(state(6, 10)).toEqual(['acts']);
  });

  it('shows what it has become at the opening', () => {
    const all = showing({ venue: { tempC: 28, altitudeM: 500 }, hours: 10 });
    const made = target({ tier: aims(200), showing: all, ...fine });
    const { warmth, altitude } = all.growth;
    expect(made.showing.widthMm).toBeCloseTo(made.widthMm * warmth * altitude * all.kept, 9);
    expect(made.showing.afterDaysMm).toBe(made.showing.widthMm);
  });

  it('lasts at most a month', () => {
    expect(way({ hours: 720 }).ok).toBe(true);
    for (const hours of [720.1, -1, NaN]) {
      const made = way({ hours });
      expect(made.ok ? null : made.problem).toEqual({
        code: 'bad-hours-before',
        field: 'hours',
        detail: { most: 720 },
      });
    }
  });
});

describe('the nominal for a width', () => {
  const choice = (widthMm: number, models: Parameters<typeof chooseNominal>[0]['models'], daysStanding = 0) => {
    const made = chooseNominal({ widthMm, daysStanding, models });
    if (!made.ok) throw new Error(made.problem.code);
    return made.value;
  };

  it('goes by size, and tells the share of each', () => {
    const { suited, unsuited } = choice(
      200,
      [400, 100, 300, 250, 150].map((mm) => ({ nominalMm: mm })),
    );
    expect(suited.map(({ fraction }) => fraction)).toEqual([200 / 250, 200 / 300, 200 / 400]);
    expect(unsuited.map(({ model }) => model.nominalMm)).toEqual([100, 150]);
  });

  it('takes a hair more or less than the rules', () => {
    const codeOf = (fraction: number, more: { finish?: 'mirror'; roundLimit?: RoundLimit } = {}, days = 0) =>
      choice(fraction * 300, [{ nominalMm: 300, ...more }], days).unsuited[0]?.reason.code ?? 'suits';
    expect(codeOf(TRADE.largestFraction + 0.0049)).toBe('suits');
    expect(codeOf(TRADE.largestFraction + 0.0051)).toBe('too-small');
    expect(codeOf(TRADE.smallestFraction - 0.0049)).toBe('suits');
    expect(codeOf(TRADE.smallestFraction - 0.0051)).toBe('too-large');
    expect(codeOf(TRADE.smallestShine - 0.0049, { finish: 'mirror' })).toBe('suits');
    expect(codeOf(TRADE.smallestShine - 0.0051, { finish: 'mirror' })).toBe('dulls');
    const standing = TRADE.standing.find(({ days }) => days === 7)!.fraction;
    expect(codeOf(standing + 0.0049, {}, 7)).toBe('suits');
    expect(codeOf(standing + 0.0051, {}, 7)).toBe('stands-too-short');
    expect(codeOf(0.8, { roundLimit: { kind: 'shown', widthMm: 237, sdMm: 3 } })).toBe('suits');
    expect(codeOf(0.8, { roundLimit: { kind: 'shown', widthMm: 236.9, sdMm: 3 } })).toBe('oval');
    expect(codeOf(0.8, { roundLimit: { kind: 'above', widthMm: 200 } })).toBe('suits');
  });

  it.each([
    [{ widthMm: 0 }, 'bad-width', 'widthMm'],
    [{ widthMm: Infinity }, 'bad-width', 'widthMm'],
    [{ daysStanding: 366 }, 'bad-days', 'daysStanding'],
    [{ daysStanding: -1 }, 'bad-days', 'daysStanding'],
    [{ models: [] }, 'no-models', 'models'],
  ])('refuses %j', (more, code, field) => {
    const made = chooseNominal({ widthMm: 200, daysStanding: 0, models: [{ nominalMm: 300 }], ...more });
    expect(made.ok ? null : made.problem).toMatchObject({ code, field });
  });

  it('stands a year', () => {
    expect(chooseNominal({ widthMm: 150, daysStanding: 365, models: [{ nominalMm: 300 }] }).ok).toBe(true);
  });
});

describe('tiers', () => {
  const tier = { fraction: 0.8, leastFraction: 0.75, mostFraction: 0.85 };

  it.each([
    [
      'below 30 %',
      { leastFraction: 0.29 },
      { code: 'outside-range', field: 'leastFraction', detail: { least: 0.3, most: 1 } },
    ],
    [
      'above 100 %',
      { mostFraction: 1.01 },
      { code: 'outside-range', field: 'mostFraction', detail: { least: 0.3, most: 1 } },
    ],
    ['an empty range', { leastFraction: 0.85 }, { code: 'empty-range', field: 'mostFraction' }],
    ['an aim under it', { fraction: 0.74 }, { code: 'aim-outside', field: 'fraction' }],
    ['an aim over it', { fraction: 0.86 }, { code: 'aim-outside', field: 'fraction' }],
  ])('refuse %s', (_, more, problem) => {
    expect(tierProblem({ tier: { ...tier, ...more }, others: [] })).toMatchObject(problem);
  });

  it('may aim at either end of their range, and touch others', () => {
    for (const fraction of [0.75, 0.85]) expect(tierProblem({ tier: { ...tier, fraction }, others: [] })).toBeNull();
    const beside = (leastFraction: number, mostFraction: number) => ({
      name: 'Beside',
      purpose: '',
      fraction: (leastFraction + mostFraction) / 2,
      leastFraction,
      mostFraction,
    });
    expect(tierProblem({ tier, others: [beside(0.6, 0.75), beside(0.85, 0.9)] })).toBeNull();
    expect(tierProblem({ tier, others: [beside(0.6, 0.751)] })).toMatchObject({
      code: 'overlaps',
      field: 'leastFraction',
      detail: { name: 'Beside' },
    });
    expect(tierProblem({ tier, others: [beside(0.849, 0.9)] })).toMatchObject({ field: 'mostFraction' });
    expect(tierProblem({ tier, others: [beside(0.75, 0.8)] })).toMatchObject({ field: 'mostFraction' });
  });

  it('the first of two equally near is taken', () => {
    expect(nearestTier([{ fraction: 0.5 }, { fraction: 0.75 }, { fraction: 0.25 }], 0.625)).toEqual({ fraction: 0.5 });
    expect(nearestTier([], 0.6)).toBeUndefined();
  });
});
