import { calibrationOrder, predictWidth, type CalibrationFit, type Candidate } from '../src';

import { value } from './results';
import { ROUND, sphereL, sure, sureFit } from './sureCurve';

/* What is worth an artist's time at the bench, and why: the shares by hand. */

const WANTED = { widthMm: 230, toleranceMm: 6 };
const ROUND_SHOWN = { ...ROUND, roundLimit: { kind: 'above' as const, widthMm: 240 } };

/** A calibration whose stroke is off by this share, standard deviation; its round limit is known. */
const off = (share: number, more: Partial<CalibrationFit> = {}) =>
  sureFit({
    covariance: [
      [0, 0],
      [0, (share * 0.5) ** 2],
    ],
    shape: ROUND_SHOWN,
    ...more,
  });
const halfOf = (fit: CalibrationFit, widthMm: number) => {
  const { lowMm, highMm } = value(predictWidth({ fit, dose: sphereL(widthMm) / 0.5 }));
  return (highMm - lowMm) / 2;
};

const candidate = (more: Partial<Candidate>): Candidate => {
  const fit = more.fit === undefined ? off(0.01) : more.fit;
  return {
    id: 'a',
    nominalMm: 279.4,
    fit,
    curve: fit,
    wanted: [WANTED],
    uses: 0,
    sizesThatLearn: 0,
    daysSince: 10,
    ...more,
  };
};
const taskOf = (more: Partial<Candidate>) => calibrationOrder([candidate(more)])[0];

describe('what is worth calibrating', () => {
  it('is nothing that is sure enough, not old, and whose round limit is known', () => {
    expect(taskOf({})).toBeUndefined();
    expect(taskOf({ uses: 9, sizesThatLearn: 3, daysSince: 365 })).toBeUndefined();
    expect(taskOf({ wanted: [] })).toBeUndefined();
  });

  it('is what misses a coming target, by so many of its tolerances', () => {
    const fit = off(0.06);
    const halfWidthMm = halfOf(fit, WANTED.widthMm);
    expect(halfWidthMm).toBeGreaterThan(WANTED.toleranceMm);
    const task = taskOf({ fit })!;
    expect(task.reasons).toEqual([{ code: 'unsure', halfWidthMm: expect.closeTo(halfWidthMm, 6), toleranceMm: 6 }]);
    expect(task.need).toBeCloseTo(halfWidthMm / 6 / 4, 6);
  });

  it('goes by the target that is least sure for what it may miss', () => {
    const fit = off(0.06);
    const exact = { widthMm: 120, toleranceMm: 2 };
    const tolerances = halfOf(fit, 120) / 2;
    expect(tolerances).toBeGreaterThan(halfOf(fit, 230) / 6);
    for (const wanted of [
      [WANTED, exact],
      [exact, WANTED],
    ])
      expect(taskOf({ fit, wanted })!.need).toBeCloseTo(Math.min(4, tolerances) / 4, 6);
  });

  it('counts four tolerances at most: beyond, all is equally lost', () => {
    expect(taskOf({ fit: off(0.06), wanted: [{ widthMm: 230, toleranceMm: 0.5 }] })!.need).toBe(1);
  });

  it('says that nothing is known yet, once, where no number would say anything, and leaves none of them out', () => {
    const nothing = { code: 'not-known-yet' };
    const flat = taskOf({ fit: off(0.9) })!;
    expect(flat).toEqual({ id: 'a', need: 1, reasons: [nothing] });
    const wide = off(0.01, {
      covariance: [
        [9, 0],
        [0, 1e-6],
      ],
    });
    expect(halfOf(wide, 230)).toBeGreaterThan(115);
    expect(taskOf({ fit: wide })!.reasons).toEqual([nothing]);
  });

  it('is what was read at one dose, and what was never measured: more so where a line would learn', () => {
    const one = taskOf({ fit: off(0.001, { distinctDoses: 1 }) })!;
    expect(one.reasons).toEqual([{ code: 'one-dose' }]);
    expect(one.need).toBeLessThan(0.1);
    const estimated = sure({ shape: ROUND_SHOWN });
    const never = taskOf({ fit: null, curve: estimated })!;
    expect(never).toEqual({ id: 'a', need: 0.25, reasons: [{ code: 'never-measured' }] });
    expect(taskOf({ fit: null, curve: null })!.need).toBe(1.25);
    const line = (sizesThatLearn: number) => taskOf({ fit: null, curve: estimated, sizesThatLearn })!;
    expect(line(1).need).toBe(0.5);
    expect(line(1).reasons).toContainEqual({ code: 'line-learns', sizes: 1 });
    expect(line(5).need).toBe(0.75);
  });

  it('is what has no round limit, and what is older than a year', () => {
    expect(taskOf({ fit: off(0.01, { shape: ROUND }) })).toEqual({
      id: 'a',
      need: 0.35,
      reasons: [{ code: 'round-limit-unknown' }],
    });
    expect(taskOf({ daysSince: 366 })).toEqual({ id: 'a', need: 0.3, reasons: [{ code: 'old', days: 366 }] });
    expect(taskOf({ daysSince: null })).toBeUndefined();
  });

  it('comes first where it is used most, up to thrice as much', () => {
    const used = (uses: number) => candidate({ id: String(uses), daysSince: 400, uses });
    const order = calibrationOrder([used(0), used(9), used(1)]);
    expect(order.map(({ id }) => id)).toEqual(['9', '1', '0']);
    expect(order.map(({ need }) => need / 0.3)).toEqual([3, 1.5, 1].map((times) => expect.closeTo(times, 9)));
    expect(order[1]!.reasons).toEqual([
      { code: 'old', days: 400 },
      { code: 'in-use', times: 1 },
    ]);
  });
});
