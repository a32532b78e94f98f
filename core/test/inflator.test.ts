import {
  doseForWidth,
  estimateCurve,
  fitCalibration,
  floorDose,
  normalFrom,
  poolInflator,
  predictWidth,
  randomFrom,
  roundDose,
  TRADE,
  STANDARD_TIERS,
  translateDose,
  widthAtVolumeMm,
  type CalibrationFit,
  type InflatorKind,
  type Nozzle,
  type Reading,
} from '../src';
import { matchNozzle, nextReading, nozzleImbalance } from '../src/calibration/calibrating';
import { ELEVEN, readingsOf, trueWidth, type PhysicalBalloon } from './physicalBalloon';
import { simulated } from './simulated';

const nominalMm = 279.4;

function fitted(readings: readonly Reading[], kind: InflatorKind = 'hand', size = nominalMm): CalibrationFit {
  const fit = fitCalibration({ nominalMm: size, readings, pump: { kind } });
  if (!fit.ok) throw new Error(fit.problem.code);
  return fit.value;
}

describe('doses', () => {
  it('go by half strokes and tenths of a second', () => {
    expect([2.3, 0.1, 7.74].map((dose) => roundDose({ dose, kind: 'hand' }))).toEqual([2.5, 0.5, 7.5]);
    expect([2.34, 0.3, 0.001].map((dose) => roundDose({ dose, kind: 'timed' }))).toEqual([2.3, 0.3, 0.1]);
    expect([2.39, 0.7].map((dose) => floorDose({ dose, kind: 'twin' }))).toEqual([2.3, 0.7]);
    expect(floorDose({ dose: 2.9, kind: 'hand' })).toBe(2.5);
  });
});

describe('a timed inflator', () => {
  const timer: PhysicalBalloon = { ...ELEVEN, deadVolumeL: -0.4 * 2.4, doseVolumeL: 2.4 };
  const fit = fitted(readingsOf({ balloon: timer, doses: [1, 1.8, 2.6, 3.2, 3.8], sdMm: 0.2 }), 'timed');

  it('shows its start-up lag and its litres a second', () => {
    expect(fit.doseVolumeL).toBeCloseTo(2.4, 1);
    expect(-fit.deadVolumeL / fit.doseVolumeL).toBeCloseTo(0.4, 1);
  });

  it('is asked for doses in tenths of a second', () => {
    const { dose } = nextReading({ fit, tiers: STANDARD_TIERS });
    expect(dose * 10).toBeCloseTo(Math.round(dose * 10), 9);
  });
});

describe('an inflator with two nozzles', () => {
  const uneven = 0.04;
  const readings = ['left', 'right', 'left', 'right', 'left', 'right', 'left', 'right'].map((nozzle, i): Reading => {
    const rate = 3 * (1 + (nozzle === 'left' ? uneven : -uneven));
    const balloon = { ...ELEVEN, doseVolumeL: rate };
    const [reading] = readingsOf({ balloon, doses: [1 + 0.25 * i], sdMm: 0.4, seed: 40 + i });
    return { ...reading!, nozzle: nozzle as Nozzle };
  });
  const fit = fitted(readings, 'twin');

  it('has its imbalance measured, with an interval that holds the truth', () => {
    const imbalance = nozzleImbalance(fit)!;
    const truth = (1 + uneven) / (1 - uneven) - 1;
    expect(imbalance).toMatchObject({ stronger: 'left', shown: true });
    expect(imbalance.low).toBeLessThan(truth);
    expect(imbalance.high).toBeGreaterThan(truth);
  });

  it('is corrected: the weaker nozzle runs longer, and both then give one width', () => {
    const right = matchNozzle({ fit, dose: 2.5, nozzle: 'left' });
    expect(right).toBeGreaterThan(2.5);
    const expectedMm = (dose: number, nozzle: Nozzle) => {
      const width = predictWidth({ fit, dose, nozzle });
      return width.ok ? width.value.widthMm : 0;
    };
    expect(expectedMm(right, 'right')).toBeCloseTo(expectedMm(2.5, 'left'), 9);
    expect(expectedMm(2.5, 'left')).toBeGreaterThan(expectedMm(2.5, 'right'));
  });

  it('says nothing of an imbalance when only one nozzle was read', () => {
    expect(
      nozzleImbalance(
        fitted(
          readings.map((r) => ({ ...r, nozzle: 'left' as const })),
          'twin',
        ),
      ),
    ).toBeNull();
  });
});

describe('translateDose', () => {
  const large = fitted(readingsOf({ balloon: ELEVEN, doses: [1, 2, 3, 4, 5, 6, 7, 8], sdMm: 0.2 }));
  const small: PhysicalBalloon = { ...ELEVEN, deadVolumeL: -0.02, doseVolumeL: 0.28 };
  const other = fitted(readingsOf({ balloon: small, doses: [5, 10, 15, 20, 25, 30], sdMm: 0.2 }));

  it('turns a pump’s strokes into a width and another pump’s strokes', () => {
    const result = translateDose({ dose: 5, from: large, to: other });
    if (!result.ok) throw new Error(result.problem.code);
    const { width, exact, dose, givesMm, low, high } = result.value;
    expect(width.widthMm).toBeCloseTo(trueWidth(ELEVEN, 5), 0);
    // The same litres: 5 x 1.12 - 0.15 = 5.45 L, less what the small pump loses, by 0.28 L.
    expect(exact).toBeCloseTo((5 * 1.12 - 0.15 + 0.02) / 0.28, 0);
    expect(dose * 2).toBe(Math.round(dose * 2));
    expect(Math.abs(givesMm - width.widthMm)).toBeLessThan(4);
    expect([low < exact, exact < high]).toEqual([true, true]);
  });

  it('comes back to the dose it began with', () => {
    const there = translateDose({ dose: 6, from: large, to: other });
    const back = there.ok && translateDose({ dose: there.value.exact, from: other, to: large });
    expect(back && back.ok && back.value.exact).toBeCloseTo(6, 6);
  });

  it('refuses no dose, and one that hardly fills the balloon', () => {
    expect(translateDose({ dose: 0, from: large, to: other })).toMatchObject({
      ok: false,
      problem: { code: 'bad-dose' },
    });
    const late = { ...other, deadVolumeL: 2 };
    expect(translateDose({ dose: 0.5, from: large, to: late })).toMatchObject({
      ok: false,
      problem: { code: 'too-little' },
    });
  });
});

describe('a balloon never measured', () => {
  /** A line whose sizes share a pump: each size differs from the next by as much as the table of constants assumes. */
  const sizeOf = (size: number, random: () => number): PhysicalBalloon => {
    const longer = 0.02 * normalFrom(random);
    const knots = ELEVEN.law.knots.map(({ widthMm, aspect }) => ({
      widthMm: (widthMm * size) / nominalMm,
      aspect: aspect + longer,
      sd: 0,
    }));
    return {
      deadVolumeL: -1.12 * (0.13 + TRADE.deadBetweenDoses * normalFrom(random)),
      doseVolumeL: 1.12 * (1 + TRADE.strokeBetweenShare * normalFrom(random)),
      law: { ...ELEVEN.law, knots },
    };
  };
  const calibrated = (size: number, random: () => number, seed: number) => {
    const balloon = sizeOf(size, random);
    const share = (size / nominalMm) ** 3;
    const doses = [1, 2, 3, 4, 5, 6, 7, 8].map((dose) => Math.max(0.5, Math.round(2 * dose * share) / 2));
    return fitted(readingsOf({ balloon, doses: [...new Set(doses)], seed }), 'hand', size);
  };

  simulated('is estimated from the pump, with intervals that hold its true width about 95 times in 100', () => {
    let inside = 0;
    const repeats = 400;
    for (let seed = 1; seed <= repeats; seed += 1) {
      const random = randomFrom(1000 + seed);
      const fits = [406.4, 304.8, 457.2].map((size, i) => calibrated(size, random, 10 * seed + i));
      const truth = sizeOf(nominalMm, random);
      const known = poolInflator({ inflator: { kind: 'hand' }, fits });
      const curve = estimateCurve({ nominalMm, siblings: fits, line: known, all: known })!;
      const width = predictWidth({ fit: curve, dose: 6 });
      if (!width.ok) throw new Error(width.problem.code);
      const true6 = trueWidth(truth, 6);
      if (width.value.lowMm <= true6 && true6 <= width.value.highMm) inside += 1;
    }
    expect(inside / repeats).toBeGreaterThan(0.92);
    expect(inside / repeats).toBeLessThan(0.99);
  });

  const random = randomFrom(3);
  const fits = [406.4, 304.8].map((size, i) => calibrated(size, random, i + 1));
  const known = poolInflator({ inflator: { kind: 'hand' }, fits })!;

  it('takes its doses from the line first, then from the inflator, then from the record, and widens on the way', () => {
    const record = poolInflator({ inflator: { kind: 'hand', doseVolumeL: 1.1 }, fits: [] });
    const curves = [
      estimateCurve({ nominalMm, siblings: fits, line: known, all: known }),
      estimateCurve({ nominalMm, siblings: [], line: null, all: known }),
      estimateCurve({ nominalMm, siblings: [], line: null, all: record }),
    ];
    expect(curves.map((curve) => curve?.dosesFrom)).toEqual(['line', 'inflator', 'record']);
    const halves = curves.map((curve) => {
      const width = predictWidth({ fit: curve!, dose: 6 });
      return width.ok ? width.value.highMm - width.value.lowMm : 0;
    });
    expect(halves[0]!).toBeLessThan(halves[1]!);
    expect(halves[1]!).toBeLessThan(halves[2]!);
    expect(estimateCurve({ nominalMm, siblings: fits, line: null, all: null })).toBeNull();
  });

  it('is wider than a calibration of its own, and takes the round limit of the line’s other sizes', () => {
    const curve = estimateCurve({ nominalMm, siblings: fits, line: known, all: known })!;
    const own = fitted(readingsOf({ balloon: ELEVEN, doses: [1, 2, 3, 4, 5, 6, 7, 8] }));
    const spread = (fit: typeof curve | CalibrationFit) => {
      const dose = doseForWidth({ fit, widthMm: 230 });
      return dose.ok ? dose.value.high - dose.value.low : 0;
    };
    expect(spread(curve)).toBeGreaterThan(2 * spread(own));
    expect(curve.shape.roundLimit.kind).toBe('shown');
  });
});

describe('ways of measuring', () => {
  it('give a fit the weight their readings deserve', () => {
    const readings: Reading[] = readingsOf({ balloon: ELEVEN, doses: [2, 4, 6, 8], sdMm: 0 }).map((r, i) => ({
      ...r,
      heightMm: undefined,
      ...(i === 2 ? { way: 'reference' as const, widthMm: r.widthMm! + 6 } : {}),
    }));
    const doubted = fitted(readings);
    const trusted = fitted(readings.map((r) => ({ ...r, way: 'tape' as const })));
    const at6 = (fit: CalibrationFit) =>
      widthAtVolumeMm({ law: fit.shape, volumeL: fit.deadVolumeL + 6 * fit.doseVolumeL });
    const truth = trueWidth(ELEVEN, 6);
    expect(Math.abs(at6(doubted) - at6(trusted))).toBeGreaterThan(0.5);
    expect(at6(doubted) - truth).toBeLessThan(at6(trusted) - truth);
  });
});
