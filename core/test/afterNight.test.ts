import { afterNight, defaultHoldRate, keptShare, normalFrom, randomFrom, TRADE } from '../src';

const rate = defaultHoldRate({ wraps: 2, stuffed: false });
const night = (by: Partial<Parameters<typeof afterNight>[0]> = {}) =>
  afterNight({ firstMm: 254, nowMm: 252.8, hours: 12, hoursLeft: 6, rate, ...by });

describe('a balloon that was set aside', () => {
  it('that lost what was reckoned comes to what was reckoned', () => {
    const nowMm = 254 * keptShare({ rate, hours: 12 });
    const { lostMm, reckonedMm, against, offMm, atOpeningMm } = night({ nowMm });
    expect(lostMm).toBeCloseTo(reckonedMm, 9);
    expect(against).toBe('as-reckoned');
    expect(offMm).toBeCloseTo(0, 9);
    expect(atOpeningMm).toBeCloseTo(254 * keptShare({ rate, hours: 18 }), 9);
  });

  it('that lost far more, or nothing, says so, and what follows for the opening', () => {
    const more = night({ nowMm: 240 });
    expect(more.against).toBe('more');
    expect(more.offMm).toBeLessThan(-10);
    expect(more.atOpeningMm).toBeLessThan(240);
    const less = night({ nowMm: 254, firstMm: 254, hours: 72, rate: defaultHoldRate({ wraps: 1, stuffed: false }) });
    expect(less.against).toBe('less');
    expect(less.offMm).toBeGreaterThan(0);
  });

  it('goes on at a rate between what was seen and what was reckoned, nearer the one that is surer', () => {
    const hoursLeft = 48;
    const atOwn = (nowMm: number, perHour: number) => nowMm * Math.exp(-perHour * hoursLeft);
    const nowMm = 249;
    const seen = Math.log(254 / nowMm) / 12;
    const unsure = night({ nowMm, hoursLeft, rate: { ...rate, sd: 1 } });
    expect(unsure.atOpeningMm).toBeCloseTo(atOwn(nowMm, seen), 3);
    const sure = night({ nowMm, hoursLeft, rate: { ...rate, sd: 1e-9 } });
    expect(sure.atOpeningMm).toBeCloseTo(atOwn(nowMm, rate.perHour), 3);
    const { atOpeningMm } = night({ nowMm, hoursLeft });
    expect(atOpeningMm).toBeGreaterThan(unsure.atOpeningMm);
    expect(atOpeningMm).toBeLessThan(sure.atOpeningMm);
  });

  it('is seldom accused where it lost what was reckoned, both widths read by a tape', () => {
    const random = randomFrom(4);
    const { tape } = TRADE.measureSdMm;
    const accused = Array.from({ length: 2000 }, () => {
      const read = (mm: number) => mm + tape * normalFrom(random);
      return night({ firstMm: read(254), nowMm: read(254 * keptShare({ rate, hours: 12 })) }).against;
    }).filter((against) => against !== 'as-reckoned').length;
    // Two deviations: about one of twenty.
    expect(accused / 2000).toBeGreaterThan(0.03);
    expect(accused / 2000).toBeLessThan(0.065);
  });

  it('measured after the opening says what it is, not what it will be', () => {
    expect(night({ nowMm: 250, hoursLeft: -5 }).atOpeningMm).toBe(250);
  });
});
