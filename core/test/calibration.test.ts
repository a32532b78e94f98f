import {
  doseForWidth,
  fitCalibration,
  predictWidth,
  STANDARD_TIERS,
  t95,
  widthAtVolumeMm,
  volumeAtL,
  type CalibrationFit,
  type Reading,
} from '../src';
import { nextReading } from '../src/calibration/calibrating';
import { ELEVEN, readingsOf, trueWidth } from './physicalBalloon';
import { simulated } from './simulated';

const nominalMm = 279.4;
const DOSES = [1, 2, 3, 4, 5, 6, 7, 8];

function fitted(readings: readonly Reading[], nominal = nominalMm): CalibrationFit {
  const fit = fitCalibration({ nominalMm: nominal, readings, pump: { kind: 'hand' } });
  if (!fit.ok) throw new Error(fit.problem.code);
  return fit.value;
}
/** Each of a balloon of its own. */
const fresh = (readings: readonly Reading[]) => readings.map((reading, i) => ({ ...reading, balloon: i + 1 }));
function refusal(readings: readonly Reading[]) {
  const fit = fitCalibration({ nominalMm, readings });
  return fit.ok ? null : [fit.problem.code, fit.problem.field];
}
const width = (fit: CalibrationFit, dose: number) => {
  const result = predictWidth({ fit, dose });
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
};

describe('fitCalibration', () => {
  it('finds the pump and the shape of a balloon read without error', () => {
    const fit = fitted(readingsOf({ balloon: ELEVEN, doses: DOSES, sdMm: 0 }));
    // That hardly a stroke is lost is assumed of an unknown pump: it pulls by less than a thousandth.
    expect(fit.doseVolumeL).toBeCloseTo(1.12, 3);
    expect(fit.deadVolumeL).toBeCloseTo(-0.15, 2);
    expect(fit.shape.roundLimit.kind).toBe('shown');
  });

  simulated('covers the true width 95 times in 100, within what 400 seeded repeats can tell', () => {
    let inside = 0;
    const repeats = 400;
    const truth = trueWidth(ELEVEN, 6.5);
    for (let seed = 1; seed <= repeats; seed += 1) {
      const { lowMm, highMm } = width(fitted(fresh(readingsOf({ balloon: ELEVEN, doses: DOSES, seed }))), 6.5);
      if (lowMm <= truth && truth <= highMm) inside += 1;
    }
    // Strokes that never vary are better than assumed: the interval is a little wider than it need be.
    expect(inside / repeats).toBeGreaterThan(0.93);
    expect(inside / repeats).toBeLessThan(1);
  });

  simulated('has the true round limit within two of its deviations in nine of ten seeded repeats', () => {
    const truth = 250 + (40 * 0.005) / 0.195;
    let inside = 0;
    for (let seed = 1; seed <= 200; seed += 1) {
      const { roundLimit } = fitted(readingsOf({ balloon: ELEVEN, doses: [...DOSES, 9, 9.5], seed })).shape;
      if (roundLimit.kind === 'shown' && Math.abs(roundLimit.widthMm - truth) < 2 * roundLimit.sdMm) inside += 1;
    }
    expect(inside / 200).toBeGreaterThan(0.9);
  });

  it('starts from one reading, from zero strokes, and says so', () => {
    const fit = fitted([{ dose: 3, widthMm: 101.6, outcome: 'ok' }], 127);
    expect(fit.notes).toEqual([{ code: 'dead-volume-assumed-zero' }]);
    expect(fit.deadVolumeL).toBeCloseTo(0, 9);
    expect(width(fit, 3).widthMm).toBeCloseTo(101.6, 4);
    // A third of the air, in a body that is a little shorter there than at four fifths of its nominal.
    expect(width(fit, 1).widthMm / (101.6 / Math.cbrt(3))).toBeCloseTo(1.007, 2);
  });

  it('takes two identical readings as one dose known twice, and more surely', () => {
    const one = fitted([{ dose: 2, widthMm: 90, outcome: 'ok' }], 127);
    const two = fitted(
      [
        { dose: 2, widthMm: 90, outcome: 'ok' },
        { dose: 2, widthMm: 90, outcome: 'ok' },
      ],
      127,
    );
    expect(two.distinctDoses).toBe(1);
    expect(width(two, 2).highMm - width(two, 2).lowMm).toBeLessThan(width(one, 2).highMm - width(one, 2).lowMm);
  });

  it('names an outlier, sets it aside, and keeps the curve', () => {
    const readings = readingsOf({ balloon: ELEVEN, doses: DOSES, seed: 3 });
    const slip = readings.map((r, i) => (i === 4 ? { ...r, widthMm: 180, heightMm: undefined } : r));
    const fit = fitted(slip);
    expect(fit.outliers.map((o) => o.index)).toEqual([4]);
    expect(fit.outliers[0]!.expectedWidthMm).toBeCloseTo(trueWidth(ELEVEN, 5), -1);
    expect(Math.abs(width(fit, 6).widthMm - trueWidth(ELEVEN, 6))).toBeLessThan(4);
    expect(fitted(readings).outliers).toEqual([]);
  });

  simulated('does not call anything an outlier in most honest data', () => {
    let named = 0;
    for (let seed = 1; seed <= 200; seed += 1) {
      named += fitted(readingsOf({ balloon: ELEVEN, doses: DOSES, seed })).outliers.length;
    }
    expect(named).toBeLessThan(6);
  });

  it('weighs a reading by its own uncertainty', () => {
    const base = readingsOf({ balloon: ELEVEN, doses: DOSES, sdMm: 0 }).map((r) => ({
      ...r,
      heightMm: undefined,
    }));
    const off = (sdMm: number) => fitted([...base, { dose: 9, widthMm: 260, sdMm, outcome: 'ok' }]);
    const truth = width(fitted(base), 9).widthMm;
    expect(Math.abs(width(off(8), 9).widthMm - truth)).toBeLessThan(Math.abs(width(off(2), 9).widthMm - truth) + 1e-9);
  });

  it('keeps a burst and a hard balloon as limits, and the burst off the curve', () => {
    const readings = readingsOf({ balloon: ELEVEN, doses: DOSES, sdMm: 0 });
    const fit = fitted([...readings, { dose: 9, widthMm: 264, outcome: 'hard' }, { dose: 10, outcome: 'burst' }]);
    expect(fit.limits.hardMm).toBe(264);
    expect(fit.limits.burstMm).toBeGreaterThan(255);
    expect(fit.readingsUsed).toBe(9);
    expect(fit.lastDose).toBeNull();
  });

  it('says when the data do not show a round limit', () => {
    const low = readingsOf({ balloon: ELEVEN, doses: [1, 2, 3], sdMm: 0 });
    expect(fitted(low).shape.roundLimit.kind).toBe('above');
    expect(fitted(low.map((r) => ({ ...r, heightMm: undefined }))).shape.roundLimit.kind).toBe('no-shapes-seen');
    const long = [{ dose: 3, widthMm: 200, shape: 'oval', outcome: 'ok' }] as const;
    expect(fitted(long).shape.roundLimit).toEqual({ kind: 'below', widthMm: 200 });
  });

  it('brackets the round limit from answers of round and oval alone', () => {
    const readings: Reading[] = [
      { dose: 5, widthMm: 220, shape: 'round', outcome: 'ok' },
      { dose: 7, widthMm: 245, shape: 'round', outcome: 'ok' },
      { dose: 8, widthMm: 257, shape: 'oval', outcome: 'ok' },
    ];
    const { roundLimit } = fitted(readings).shape;
    if (roundLimit.kind !== 'shown') throw new Error('no limit');
    expect(roundLimit.widthMm).toBeGreaterThan(232);
    expect(roundLimit.widthMm).toBeLessThan(257);
    expect(roundLimit.sdMm).toBeGreaterThan(1);
  });

  it('tells when the pump seems to be another one', () => {
    const readings = readingsOf({ balloon: ELEVEN, doses: DOSES, sdMm: 0 });
    const fit = fitCalibration({ nominalMm, readings, pump: { kind: 'hand', doseVolumeL: 0.6 } });
    expect(fit.ok && fit.value.notes.map((n) => n.code)).toEqual(['stroke-unlike-pump']);
  });

  it.each<[string, Reading[], unknown]>([
    ['no readings', [], ['no-readings', 'readings']],
    ['a negative width', [{ dose: 1, widthMm: -3, outcome: 'ok' }], ['bad-width', 'readings.0.widthMm']],
    ['an absurd width', [{ dose: 1, widthMm: 9000, outcome: 'ok' }], ['bad-width', 'readings.0.widthMm']],
    ['a width that is no number', [{ dose: 1, widthMm: NaN, outcome: 'ok' }], ['bad-width', 'readings.0.widthMm']],
    ['no strokes', [{ dose: 0, widthMm: 90, outcome: 'ok' }], ['bad-dose', 'readings.0.dose']],
    [
      'an absurd height',
      [{ dose: 1, widthMm: 90, heightMm: 900, outcome: 'ok' }],
      ['bad-height', 'readings.0.heightMm'],
    ],
    ['only a burst', [{ dose: 9, outcome: 'burst' }], ['no-widths', 'readings']],
    [
      'widths that fall as strokes rise',
      [
        { dose: 1, widthMm: 200, outcome: 'ok' },
        { dose: 4, widthMm: 120, outcome: 'ok' },
      ],
      ['not-rising', 'readings'],
    ],
  ])('refuses %s', (_, readings, expected) => expect(refusal(readings)).toEqual(expected));

  it('fits 500 readings', () => {
    const doses = Array.from({ length: 500 }, (_, i) => 1 + (i % 16) / 2);
    expect(fitted(readingsOf({ balloon: ELEVEN, doses, seed: 9 })).doseVolumeL).toBeCloseTo(1.12, 1);
  });
});

describe('prediction', () => {
  const fit = fitted(readingsOf({ balloon: ELEVEN, doses: DOSES, seed: 5 }));

  it('turns width into dose and back', () => {
    for (const widthMm of [120, 180, 230, 260]) {
      const dose = doseForWidth({ fit, widthMm });
      if (!dose.ok) throw new Error(dose.problem.code);
      expect(width(fit, dose.value.dose).widthMm).toBeCloseTo(widthMm, 6);
      expect(widthAtVolumeMm({ law: fit.shape, volumeL: volumeAtL({ law: fit.shape, widthMm }) })).toBeCloseTo(
        widthMm,
        6,
      );
    }
  });

  it('is less sure of the next balloon than of the curve, and less sure outside the readings', () => {
    const near = width(fit, 5);
    const far = width(fit, 14);
    expect(near.nextHighMm - near.nextLowMm).toBeGreaterThan(near.highMm - near.lowMm);
    expect(far.extrapolated).toBe(true);
    expect(far.highMm - far.lowMm).toBeGreaterThan(near.highMm - near.lowMm);
    expect(t95(fit.degreesOfFreedom)).toBeGreaterThan(1.96);
  });

  it('refuses a dose and a width that cannot be', () => {
    expect(predictWidth({ fit, dose: 0 }).ok).toBe(false);
    expect(doseForWidth({ fit, widthMm: -1 }).ok).toBe(false);
  });
});

describe('nextReading', () => {
  const tiers = STANDARD_TIERS;

  it('asks for one stroke first', () => {
    expect(nextReading({ fit: null, tiers })).toMatchObject({
      dose: 1,
      purpose: 'first',
      freshBalloon: true,
    });
  });

  it('leads from nothing to good targets in a dozen readings, never past nominal, never letting air out', () => {
    const doses: number[] = [];
    let fit: CalibrationFit | null = null;
    for (let i = 0; i < 14; i += 1) {
      const next = nextReading({ fit, tiers });
      if (next.purpose === 'enough') break;
      if (!next.freshBalloon) expect(next.dose).toBeGreaterThan(doses.at(-1)!);
      doses.push(next.dose);
      fit = fitted(readingsOf({ balloon: ELEVEN, doses, seed: 4 }));
    }
    const last = nextReading({ fit, tiers });
    expect(trueWidth(ELEVEN, Math.max(...doses))).toBeLessThan(1.06 * nominalMm);
    expect(last.halfWidthNowMm).toBeLessThan(4);
    expect(fit!.shape.roundLimit.kind).toBe('shown');
  });

  it('proposes the dose that a brute-force refit also finds best', () => {
    const readings = readingsOf({ balloon: ELEVEN, doses: [1, 2], sdMm: 0 }).map((r) => ({
      ...r,
      heightMm: undefined,
    }));
    const fit = fitted(readings);
    const next = nextReading({ fit, tiers });
    const widthAfter = (dose: number) => {
      const more = fitted([...readings, { dose, widthMm: width(fit, dose).widthMm, outcome: 'ok' }]);
      return tiers.reduce((sum, tier) => {
        const want = doseForWidth({ fit, widthMm: tier.fraction * nominalMm });
        if (!want.ok) throw new Error(want.problem.code);
        const { lowMm, highMm } = width(more, want.value.dose);
        return sum + (highMm - lowMm) ** 2;
      }, 0);
    };
    const candidates = [2.5, 3, 3.5];
    const best = candidates.reduce((a, b) => (widthAfter(b) < widthAfter(a) ? b : a));
    expect(next.dose).toBe(best);
  });
});
