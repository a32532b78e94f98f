import fc from 'fast-check';

import {
  defaultHoldRate,
  fitHold,
  growthBetween,
  holdTestProblem,
  keptShare,
  normalFrom,
  randomFrom,
  showingOf,
  standardPressureKPa,
  widthAt,
  type HoldTest,
} from '../src';

/** U.S. Standard Atmosphere, 1976 (NOAA, NASA, USAF): pressure at geopotential altitudes, kPa (from memory). */
const ATMOSPHERE: [altitudeM: number, kPa: number][] = [
  [0, 101.325],
  [500, 95.461],
  [1000, 89.875],
  [1500, 84.556],
  [2000, 79.495],
  [3000, 70.109],
  [4000, 61.64],
  [5000, 54.02],
];

describe('standardPressureKPa', () => {
  it.each(ATMOSPHERE)('at %d m is %d kPa by the published table', (altitudeM, kPa) => {
    const pressure = standardPressureKPa({ altitudeM });
    expect(pressure.ok && pressure.value).toBeCloseTo(kPa, 2);
  });

  it.each([20_000, -5000, NaN, Infinity])('refuses %d m, and says what is possible', (altitudeM) => {
    expect(standardPressureKPa({ altitudeM })).toEqual({
      ok: false,
      problem: { code: 'bad-altitude', field: 'altitudeM', detail: { least: -430, most: 6000 } },
    });
  });
});

describe('widthAt', () => {
  const room = { tempC: 10, pressureKPa: 100 };

  it('gives the worked example of OpenStax, Chemistry 2e, section 9.2: 0.300 L at 10 °C is 0.321 L at 30 °C', () => {
    const width = widthAt({ widthMm: 100, from: room, to: { tempC: 30, pressureKPa: 100 } });
    expect(width.ok && 0.3 * (width.value / 100) ** 3).toBeCloseTo(0.321, 3);
  });

  it('makes a balloon of half the pressure twice the volume (Boyle)', () => {
    const width = widthAt({ widthMm: 100, from: room, to: { tempC: 10, pressureKPa: 50 } });
    expect(width.ok && (width.value / 100) ** 3).toBeCloseTo(2, 12);
  });

  it('comes back to where it began, whatever the journey', () => {
    const air = fc.record({
      tempC: fc.double({ min: -30, max: 70, noNaN: true }),
      pressureKPa: fc.double({ min: 40, max: 120, noNaN: true }),
    });
    fc.assert(
      fc.property(air, air, (from, to) => {
        const there = widthAt({ widthMm: 254, from, to });
        const back = there.ok && widthAt({ widthMm: there.value, from: to, to: from });
        expect(back && back.ok && back.value).toBeCloseTo(254, 9);
      }),
    );
  });

  it.each([
    [{ tempC: -300, pressureKPa: 100 }, 'bad-temperature', 'to.tempC'],
    [{ tempC: NaN, pressureKPa: 100 }, 'bad-temperature', 'to.tempC'],
    [{ tempC: 20, pressureKPa: 0 }, 'bad-pressure', 'to.pressureKPa'],
  ])('refuses %j beside its field', (to, code, field) => {
    expect(widthAt({ widthMm: 254, from: room, to })).toMatchObject({ ok: false, problem: { code, field } });
  });
});

describe('a journey', () => {
  const workroom = { tempC: 21, altitudeM: 0 };
  const hold = defaultHoldRate({ wraps: 2, stuffed: false });

  it('splits growth into warmth and altitude, as the gas law has it', () => {
    const growth = growthBetween({ from: workroom, to: { tempC: 33, altitudeM: 1500 } });
    if (!growth.ok) throw new Error(growth.problem.code);
    expect(growth.value.warmth).toBeCloseTo(Math.cbrt((273.15 + 33) / (273.15 + 21)), 12);
    expect(growth.value.altitude).toBeCloseTo(Math.cbrt(101.325 / 84.556), 4);
    expect(growth.value.both).toBeCloseTo(growth.value.warmth * growth.value.altitude, 12);
  });

  it.each([
    [{ tempC: -300, altitudeM: 0 }, 12, 'bad-temperature', 'venue.tempC'],
    [{ tempC: 21, altitudeM: 20_000 }, 12, 'bad-altitude', 'venue.altitudeM'],
    [{ tempC: 21, altitudeM: 0 }, -1, 'bad-hours-before', 'hours'],
  ])('refuses %j after %d hours beside its field', (venue, hours, code, field) => {
    expect(showingOf({ workroom, venue, hours, hold })).toMatchObject({
      ok: false,
      problem: { code, field },
    });
  });
});

describe('hold', () => {
  const closing = { wraps: 2, stuffed: false } as const;
  const test = (lossPerHour: number, hours = [12, 24, 48], seed = 1): HoldTest => {
    const random = randomFrom(seed);
    const readings = hours.map((h) => ({
      hours: h,
      widthMm: 250 * Math.exp(-lossPerHour * h) + 0.3 * normalFrom(random),
    }));
    return { ...closing, readings: [{ hours: 0, widthMm: 250 }, ...readings] };
  };

  it('is assumed before any test: worse with the neck wrapped once (common practice), better when stuffed', () => {
    const twice = defaultHoldRate(closing);
    expect(defaultHoldRate({ wraps: 1, stuffed: false }).perHour).toBeGreaterThan(twice.perHour);
    expect(defaultHoldRate({ wraps: 2, stuffed: true }).perHour).toBeLessThan(twice.perHour);
    expect(fitHold({ tests: [], closing })).toEqual({ ok: true, value: { ...twice, tests: 0 } });
  });

  it('learns from balloons left standing, the more the surer', () => {
    const truth = 0.0012;
    const fits = [1, 4, 12].map((count) => {
      const tests = Array.from({ length: count }, (_, i) => test(truth, [12, 24, 48], i + 1));
      const fit = fitHold({ tests, closing });
      if (!fit.ok) throw new Error(fit.problem.code);
      return fit.value;
    });
    const off = fits.map(({ perHour }) => Math.abs(perHour - truth));
    expect(off[2]!).toBeLessThan(off[0]!);
    expect(fits[2]!.sd).toBeLessThan(fits[0]!.sd);
    expect(fits.map(({ tests }) => tests)).toEqual([1, 4, 12]);
    expect(Math.abs(fits[2]!.perHour - truth)).toBeLessThan(3 * fits[2]!.sd);
  });

  it('does not let another way of closing speak', () => {
    const fit = fitHold({ tests: [{ ...test(0.01), wraps: 1 }], closing });
    expect(fit.ok && fit.value.tests).toBe(0);
    expect(keptShare({ rate: defaultHoldRate(closing), hours: 0 })).toBe(1);
  });

  it('refuses what cannot be: no width at the knot, hours below zero, a balloon that grew', () => {
    const readings = (...pairs: [number, number][]) =>
      holdTestProblem({ ...closing, readings: pairs.map(([hours, widthMm]) => ({ hours, widthMm })) })?.problem.code;
    expect(readings([5, 250])).toBe('no-first-width');
    expect(readings([0, 250], [-2, 249])).toBe('bad-hours');
    expect(readings([0, 250], [12, 275])).toBe('grew');
    expect(readings([0, 250], [12, 249])).toBeUndefined();
  });
});
