import {
  airProblem,
  defaultHoldRate,
  fitHold,
  holdLaws,
  holdTestProblem,
  nightLossMm,
  standardPressureKPa,
  standingNow,
  TRADE,
  widthAt,
  type HoldTest,
} from '../src';

import { value } from './results';

const closing = { wraps: 2, stuffed: false } as const;
const YEAR_HOURS = 8760;

/** A balloon tied at 250 mm and measured again, hours and mm. */
const test = (...later: [hours: number, widthMm: number][]): HoldTest => ({
  ...closing,
  readings: [{ hours: 0, widthMm: 250 }, ...later.map(([hours, widthMm]) => ({ hours, widthMm }))],
});

describe('a hold test', () => {
  it.each([
    ['is used to the end of a year', test([YEAR_HOURS, 60]), null],
    ['is no longer than a year', test([YEAR_HOURS + 1, 60]), ['bad-hours', 'readings.1.hours']],
    ['is not measured before it was tied', test([-1, 250]), ['bad-hours', 'readings.1.hours']],
    ['has a width whenever it is measured', test([5, 0]), ['bad-width', 'readings.1.widthMm']],
    ['has a width that is a number', test([5, Infinity]), ['bad-width', 'readings.1.widthMm']],
    ['may be misread by a twenty-fifth', test([5, 260]), null],
    ['does not grow', test([5, 249], [9, 261]), ['grew', 'readings.2.widthMm']],
    ['begins as it is tied', { ...closing, readings: [{ hours: 1, widthMm: 250 }] }, ['no-first-width', 'readings']],
  ] as const)('%s', (_, tried, expected) => {
    const problem = holdTestProblem(tried)?.problem;
    expect(problem ? [problem.code, problem.field] : null).toEqual(expected);
  });

  it('that cannot be is named among the others', () => {
    const fit = fitHold({ tests: [test([5, 249]), test([5, 300])], closing });
    expect(fit).toMatchObject({ ok: false, problem: { code: 'grew', field: 'tests.1.readings.1.widthMm' } });
  });

  it('that was closed otherwise, stuffed, or never measured again tells nothing of this closing', () => {
    const lost = test([24, 240]);
    const others = [{ ...lost, wraps: 1 as const }, { ...lost, stuffed: true }, test(), test([0, 250])];
    expect(value(fitHold({ tests: others, closing }))).toEqual({ ...defaultHoldRate(closing), tests: 0 });
  });
});

describe('a rate', () => {
  /** Its error worked out from that of every width: each ratio has its own width's and the first one's in it. */
  const varianceOf = (hours: readonly number[]) => {
    const relative = TRADE.measureSdMm.tape / 250;
    const squares = hours.reduce((sum, each) => sum + each ** 2, 0);
    const weights = hours.map((each) => each / squares);
    let variance = 0;
    for (const [i, a] of weights.entries())
      for (const [j, b] of weights.entries()) variance += a * b * relative ** 2 * (i === j ? 2 : 1);
    return variance;
  };
  const assumed = defaultHoldRate(closing);
  const between = (assumed.perHour * TRADE.holdBetweenShare) ** 2;

  it.each([[[24]], [[12, 24]], [[6, 30, 72]]])('is as sure as widths after %j hours let it be', (hours) => {
    const tests = [test(...hours.map((each): [number, number] => [each, 250 * Math.exp(-0.001 * each)]))];
    const { sd, perHour } = value(fitHold({ tests, closing }));
    const weight = 1 / (varianceOf(hours) + between);
    const whole = weight + 1 / assumed.sd ** 2;
    expect(sd).toBeCloseTo(1 / Math.sqrt(whole), 12);
    expect(perHour).toBeCloseTo((0.001 * weight + assumed.perHour / assumed.sd ** 2) / whole, 12);
  });

  it('of a balloon of another size is brought to this one, its error with it', () => {
    const others = [{ ...test([24, 250 * Math.exp(-0.024)]), nominalMm: 2 * 279.4 }];
    const { sd, perHour, tests } = value(fitHold({ tests: [], closing, others }));
    // Twice as large it loses half the share: here it would lose twice as much.
    const weight = 1 / (4 * varianceOf([24]) + 2 * between);
    const whole = weight + 1 / assumed.sd ** 2;
    expect(perHour).toBeCloseTo((0.002 * weight + assumed.perHour / assumed.sd ** 2) / whole, 12);
    expect([sd, tests]).toEqual([expect.closeTo(1 / Math.sqrt(whole), 12), 0]);
  });

  it('is told for each way of closing that was tried, of a balloon by itself', () => {
    const once = { ...test([24, 240]), wraps: 1 as const };
    const laws = holdLaws([once, test([24, 245]), once], 300);
    expect(laws.map(({ wraps, rate }) => [wraps, rate?.tests])).toEqual([
      [1, 2],
      [2, 1],
    ]);
    const own = fitHold({ tests: [once, once], closing: { wraps: 1, stuffed: false }, nominalMm: 300 });
    expect(laws[0]!.rate).toEqual(value(own));
    expect(holdLaws([once, test([24, 300])]).map(({ rate }) => rate)).toEqual([null, null]);
  });

  it('takes its share of a classic width in a night of twelve hours', () => {
    const rate = { perHour: 0.002, sd: 0, tests: 1 };
    const widthMm = TRADE.nightFraction * 279.4;
    expect(nightLossMm({ rate, nominalMm: 279.4 })).toBeCloseTo(widthMm - widthMm * Math.exp(-0.024), 9);
  });
});

describe('surroundings that cannot be', () => {
  const air = { tempC: 20, pressureKPa: 100 };

  it.each([
    [{ tempC: -30 }, null],
    [{ tempC: 70 }, null],
    [{ tempC: 70.1 }, ['bad-temperature', 'to.tempC', { least: -30, most: 70 }]],
    [{ pressureKPa: 40 }, null],
    [{ pressureKPa: 120 }, null],
    [{ pressureKPa: 120.1 }, ['bad-pressure', 'to.pressureKPa', { least: 40, most: 120 }]],
    [{ pressureKPa: NaN }, ['bad-pressure', 'to.pressureKPa', { least: 40, most: 120 }]],
  ] as const)('%j', (change, expected) => {
    const problem = airProblem({ ...air, ...change }, 'to.')?.problem;
    expect(problem ? [problem.code, problem.field, problem.detail] : null).toEqual(expected);
  });

  it.each([0, -1, NaN, Infinity])('of a balloon %d mm wide', (widthMm) => {
    expect(widthAt({ widthMm, from: air, to: air })).toMatchObject({
      ok: false,
      problem: { code: 'bad-width', field: 'widthMm' },
    });
  });

  it.each([
    [-430, true],
    [-431, false],
    [6000, true],
    [6001, false],
  ])('at %d m: %s', (altitudeM, can) => expect(standardPressureKPa({ altitudeM }).ok).toBe(can));

  it('of what stands for more than a year', () => {
    const place = { tempC: 20, altitudeM: 0 };
    const now = { fillMm: 254, toleranceMm: 5, made: place, at: place, rate: defaultHoldRate(closing) };
    expect([YEAR_HOURS, YEAR_HOURS + 1].map((hours) => standingNow({ ...now, hours }).ok)).toEqual([true, false]);
  });
});
