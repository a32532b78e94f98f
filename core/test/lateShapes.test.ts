import { fitCalibration, resolveTarget, STANDARD_TIERS, STEP_MM, upperLimits, type Reading } from '../src';

import { value } from './results';
import { LATE, spreadReadings, USUAL, type World } from './simulatedCalibrations';

/*
 * Balloons that nobody looked at before they had grown long, as happens: a height is measured, or oval is answered, once
 * it strikes the eye. By bodies that lengthen in other ways than the law assumes.
 */

const BODIES: [string, World['growth']][] = [
  ['strongly', { atNominal: 0.2, from: 0.6, power: 1.5 }],
  ['late and straight', { atNominal: 0.2, from: 0.75, power: 1 }],
  ['early and ever faster', { atNominal: 0.2, from: 0.5, power: 3 }],
  ['very much', { atNominal: 0.3, from: 0.6, power: 2 }],
];
const RUNS = 40;

/** Readings of fresh balloons, their shape told only late: by a height or by an answer. */
function lookedAtLate(growth: World['growth'], told: 'height' | 'answer', seed: number): Reading[] {
  const shapes = told === 'height' ? 'late heights' : 'answers';
  const world: World = { ...USUAL, growth, shapes, filledOn: false };
  return spreadReadings(world, 4 + (seed % 5), seed).map(({ shape, ...reading }) =>
    shape && reading.widthMm! > LATE * world.nominalMm ? { ...reading, shape } : reading,
  );
}
const fitted = (readings: readonly Reading[]) =>
  value(fitCalibration({ nominalMm: USUAL.nominalMm, readings })).shape.roundLimit;

describe.each(BODIES)('a balloon that lengthens %s, looked at late', (_, growth) => {
  const turnsMm = USUAL.nominalMm * (growth.from + (1 - growth.from) * (0.06 / growth.atNominal) ** (1 / growth.power));

  it.each(['height', 'answer'] as const)('tells about where it turned oval, by %ss', (told) => {
    let inside = 0;
    for (let seed = 1; seed <= RUNS; seed += 1) {
      const limit = fitted(lookedAtLate(growth, told, seed));
      if (limit.kind === 'shown' && Math.abs(limit.widthMm - turnsMm) < 1.96 * limit.sdMm) inside += 1;
    }
    // Of forty that hold 95 times in 100 fewer than 33 are one in many thousands.
    expect(inside).toBeGreaterThan(32);
  });

  it('has round tiers kept under that', () => {
    const fit = value(fitCalibration({ nominalMm: USUAL.nominalMm, readings: lookedAtLate(growth, 'height', 7) }));
    const [limit] = upperLimits({ nominalMm: USUAL.nominalMm, fit, curve: fit, daysStanding: 0 }).filter(
      ({ code }) => code === 'round-limit',
    );
    expect(limit).toMatchObject({ from: 'own' });
    const full = { ...STANDARD_TIERS[0]!, shape: 'round' as const };
    const step = STEP_MM.eighthInch;
    const { widthMm, reasons } = value(
      resolveTarget({ nominalMm: USUAL.nominalMm, tier: full, fit, daysStanding: 0, step }),
    );
    expect(reasons).toContainEqual(expect.objectContaining({ code: 'round-limit', state: 'acts' }));
    expect(widthMm).toBeLessThanOrEqual(limit!.limitMm);
  });
});

describe('a balloon that was long when it was first looked at', () => {
  const read = (...of: [dose: number, widthMm: number, aspect: number | null][]): Reading[] =>
    of.map(([dose, widthMm, aspect], i) => ({
      dose,
      widthMm,
      balloon: i + 1,
      ...(aspect === null ? {} : { heightMm: aspect * widthMm }),
      outcome: 'ok',
    }));

  it('says only that it was oval there, where it was slack then', () => {
    expect(fitted(read([2, 122, 1.15], [3, 140, 1.16]))).toEqual({ kind: 'below', widthMm: 122 });
  });

  it('turned oval before that and not while slack, however unsure', () => {
    const limit = fitted(read([5, 170, null], [12, 230, 1.1], [14, 240, 1.13]));
    if (limit.kind !== 'shown') throw new Error(limit.kind);
    expect(limit.widthMm).toBeGreaterThan(0.55 * USUAL.nominalMm);
    expect(limit.widthMm).toBeLessThan(230);
    expect(limit.sdMm).toBeGreaterThan(4);
    expect(limit.sdMm).toBeLessThan((230 - 0.55 * USUAL.nominalMm) / 2);
  });
});
