import { fitCalibration, predictWidth, resolveTarget, standingFraction, STANDARD_TIERS, STEP_MM, TRADE } from '../src';

const inch = (inches: number) => inches * 25.4;
const classic = STANDARD_TIERS.find((tier) => tier.name === 'Classic')!;
const classicOf = (nominal: number, step: number) => {
  const target = resolveTarget({ nominalMm: inch(nominal), tier: classic, fit: null, daysStanding: 1, step });
  return target.ok ? target.value.widthMm / 25.4 : null;
};

/** Facts of the trade: common practice. */
describe('what decorators know', () => {
  it('three strokes of a common hand pump bring a 5 in balloon to about 4 in', () => {
    const strokeL = TRADE.strokeVolumeL;
    expect(Math.cbrt((6 * 3 * strokeL * 1e6) / Math.PI) / 25.4).toBeCloseTo(4, 1);
  });

  it('one to five strokes follow from the three: widths go with the cube root of strokes', () => {
    const fit = fitCalibration({
      nominalMm: inch(5),
      readings: [{ dose: 3, widthMm: inch(4), outcome: 'ok' }],
    });
    if (!fit.ok) throw new Error(fit.problem.code);
    const found = [1, 2, 3, 4, 5].map((dose) => {
      const width = predictWidth({ fit: fit.value, dose });
      return width.ok ? width.value.widthMm / 25.4 : 0;
    });
    // 4 in x cube root of strokes / 3, worked by hand to a hundredth of an inch; as near as an eighth can be read.
    [2.77, 3.49, 4.0, 4.4, 4.74].forEach((inches, i) => expect(Math.abs(found[i]! - inches)).toBeLessThan(1 / 16));
  });

  it('10 in is the classic target of an 11 in, at a quarter and at an eighth of an inch', () => {
    expect(classicOf(11, STEP_MM.quarterInch)).toBeCloseTo(10, 9);
    expect(classicOf(11, STEP_MM.eighthInch)).toBeCloseTo(10, 9);
  });

  it('4½ in is the largest common target of a 5 in', () => {
    expect(classicOf(5, STEP_MM.quarterInch)).toBeCloseTo(4.5, 9);
  });

  it('a piece that stands three weeks goes up to a 16 in taken to 10 to 10½ in', () => {
    const limit = standingFraction({ days: 21 }) * 16;
    expect(limit).toBeGreaterThanOrEqual(10);
    expect(limit).toBeLessThanOrEqual(10.5);
  });

  it('a classic 11 in may be a quarter inch off either way', () => {
    const target = resolveTarget({
      nominalMm: inch(11),
      tier: classic,
      fit: null,
      daysStanding: 1,
      step: STEP_MM.eighthInch,
    });
    expect(target.ok && target.value.toleranceMm).toBeCloseTo(6.35, 9);
  });
});
