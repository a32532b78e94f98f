import { defaultHoldRate, growthBetween, keptShare, normalFrom, randomFrom, standingNow, widthAt } from '../src';

const rate = defaultHoldRate({ wraps: 2, stuffed: false });
const HERE = { tempC: 20, altitudeM: 0 };
const now = (by: Partial<Parameters<typeof standingNow>[0]> = {}) =>
  standingNow({ fillMm: 254, toleranceMm: 3, made: HERE, at: HERE, hours: 48, rate, ...by });
const value = (by?: Partial<Parameters<typeof standingNow>[0]>) => {
  const found = now(by);
  if (!found.ok) throw new Error(found.problem.code);
  return found.value;
};

describe('a balloon that stands', () => {
  it('made a moment ago in the same room is as it was filled, to its tolerance', () => {
    const { widthMm, lowMm, highMm } = value({ hours: 0 });
    expect(widthMm).toBe(254);
    expect(highMm - 254).toBeCloseTo(3, 1);
    expect(254 - lowMm).toBeCloseTo(3, 1);
  });

  it('at 33 °C is wider by the cube root of the absolute temperatures (ideal gas law)', () => {
    expect(value({ hours: 0, at: { tempC: 33, altitudeM: 0 } }).widthMm).toBeCloseTo(
      254 * Math.cbrt((273.15 + 33) / (273.15 + 20)),
      9,
    );
    // A quarter of a tenth of an inch in 10: a sixteenth at least, so it is worth saying.
    expect(value({ hours: 0, at: { tempC: 33, altitudeM: 0 } }).widthMm - 254).toBeGreaterThan(1.6);
  });

  it('up a mountain is as the pressures of both say (U.S. Standard Atmosphere, 1976, table: 84.556 kPa at 1,500 m)', () => {
    const widened = widthAt({
      widthMm: 254,
      from: { tempC: 20, pressureKPa: 101.325 },
      to: { tempC: 20, pressureKPa: 84.556 },
    });
    if (!widened.ok) throw new Error(widened.problem.code);
    expect(value({ hours: 0, at: { tempC: 20, altitudeM: 1500 } }).widthMm).toBeCloseTo(widened.value, 2);
  });

  it('loses as its hold says, whatever the way', () => {
    const at = { tempC: 28, altitudeM: 600 };
    const growth = growthBetween({ from: HERE, to: at });
    if (!growth.ok) throw new Error(growth.problem.code);
    expect(value({ at }).widthMm).toBeCloseTo(254 * growth.value.both * keptShare({ rate, hours: 48 }), 9);
    expect(value({ hours: 72 }).widthMm).toBeLessThan(value().widthMm);
  });

  it('is its like again once a new one of that width stands beside it as long', () => {
    const beside = value();
    const later = value({ hours: 48 + 36 });
    expect(value({ fillMm: beside.widthMm, hours: 36 }).widthMm).toBeCloseTo(later.widthMm, 9);
  });

  it('lies in its interval 95 times of 100, where balloons come out and lose as is reckoned', () => {
    const random = randomFrom(11);
    const { lowMm, highMm } = value({ hours: 72 });
    const within = Array.from({ length: 4000 }, () => {
      const filled = 254 + (3 / 1.96) * normalFrom(random);
      return filled * Math.exp(-72 * (rate.perHour + rate.sd * normalFrom(random)));
    }).filter((mm) => mm > lowMm && mm < highMm).length;
    expect(within / 4000).toBeGreaterThan(0.94);
    expect(within / 4000).toBeLessThan(0.96);
  });

  it.each([
    ['bad-width', 'fillMm', { fillMm: 0 }],
    ['bad-hours', 'hours', { hours: -1 }],
    ['bad-hours', 'hours', { hours: Number.NaN }],
    ['bad-temperature', 'at.tempC', { at: { tempC: 300, altitudeM: 0 } }],
    ['bad-altitude', 'made.altitudeM', { made: { tempC: 20, altitudeM: 1e9 } }],
  ])('%s is told beside %s', (code, field, by) => {
    expect(now(by)).toMatchObject({ ok: false, problem: { code, field } });
  });
});
