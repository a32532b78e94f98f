import {
  balloonSdMm,
  doseForWidth,
  fitCalibration,
  predictWidth,
  STANDARD_TIERS,
  t95,
  TRADE,
  volumeSlopeL,
  type CalibrationFit,
  type InflatorKind,
  type Reading,
} from '../src';
import { nextReading } from '../src/calibration/calibrating';

const nominalMm = 279.4;
const tiers = STANDARD_TIERS;
const volumeL = (widthMm: number) => ((Math.PI / 6) * widthMm ** 3) / 1e6;
const widthMm = (litres: number) => Math.cbrt((litres * 1e6 * 6) / Math.PI);

interface Sphere {
  doses: readonly number[];
  /** What each reading is off by, mm. */
  off?: readonly number[];
  strokeL?: number;
  lostL?: number;
  kind?: InflatorKind;
}

/** The fit of a balloon that stays a sphere, whose heights are taken too. */
function sphere({ doses, off = [], strokeL = 0.5, lostL = 0.05, kind = 'hand' }: Sphere): CalibrationFit {
  const readings = doses.map((dose, i): Reading => {
    const width = widthMm(strokeL * dose - lostL) + (off[i] ?? 0);
    return { dose, widthMm: width, heightMm: width, outcome: 'ok' };
  });
  const fit = fitCalibration({ nominalMm, readings, pump: { kind } });
  if (!fit.ok) throw new Error(fit.problem.code);
  return fit.value;
}

function doseAt(fit: CalibrationFit, width: number): number {
  const dose = doseForWidth({ fit, widthMm: width });
  if (!dose.ok) throw new Error(dose.problem.code);
  return dose.value.dose;
}

function expected(fit: CalibrationFit, dose: number): number {
  const width = predictWidth({ fit, dose });
  if (!width.ok) throw new Error(width.problem.code);
  return width.value.widthMm;
}

type Matrix = readonly [number, number, number];
/** Of a symmetric two by two: its corners and what is beside them. */
const inverse = ([a, b, d]: Matrix): Matrix => [d / (a * d - b * b), -b / (a * d - b * b), a / (a * d - b * b)];

/** How unsure the tiers are, mm, by the covariance of a line: half their 95 % intervals, root mean square. */
function unsure(fit: CalibrationFit, [a, b, d]: Matrix): number {
  const variances = tiers.map(({ fraction }) => {
    const width = fraction * nominalMm;
    const dose = doseAt(fit, width);
    return (a + 2 * b * dose + d * dose ** 2) / volumeSlopeL({ law: fit.shape, widthMm: width }) ** 2;
  });
  return t95(fit.degreesOfFreedom) * Math.sqrt(variances.reduce((sum, each) => sum + each, 0) / variances.length);
}

function covarianceOf({ covariance }: CalibrationFit): Matrix {
  expect(covariance).toHaveLength(2);
  return [covariance[0]![0]!, covariance[0]![1]!, covariance[1]![1]!];
}

/** The covariance once this dose is read, too: what both know of the line is added up. */
function covarianceWith(fit: CalibrationFit, dose: number): Matrix {
  const width = expected(fit, dose);
  const noise = (volumeSlopeL({ law: fit.shape, widthMm: width }) * balloonSdMm({ fit, dose, widthMm: width })) ** 2;
  const [a, b, d] = inverse(covarianceOf(fit));
  return inverse([a + 1 / noise, b + dose / noise, d + dose ** 2 / noise]);
}

/** The same fit, its tiers known to so much. */
function scaledTo(fit: CalibrationFit, halfWidthMm: number): CalibrationFit {
  const by = (halfWidthMm / unsure(fit, covarianceOf(fit))) ** 2;
  return { ...fit, covariance: fit.covariance.map((row) => row.map((value) => value * by)) };
}

describe('the dose worth reading next', () => {
  it.each([
    { doses: [3, 4] },
    { doses: [2, 6], off: [1, -1] },
    { doses: [4, 8], off: [-2, 1] },
    { doses: [2, 3, 5, 6], off: [2, -2, 2, -2] },
    { doses: [8, 10, 12], off: [2, -3, 2] },
    { doses: [60, 90], strokeL: 0.05, off: [1, -1], kind: 'timed' as const },
  ])('leaves the tiers least unsure of all within reach: after $doses', (given) => {
    const fit = sphere(given);
    const { kind = 'hand' } = given as Sphere;
    const step = kind === 'hand' ? 0.5 : 0.1;
    const next = nextReading({ fit, tiers });
    // A fifth of nominal further at most, and from seven tenths of nominal on careful steps; never past nominal.
    const largest = fit.largestWidthMm;
    const furthest = Math.max(largest + 0.07 * nominalMm, Math.min(largest + 0.2 * nominalMm, 0.7 * nominalMm));
    const onGrid = (dose: number, round: (x: number) => number) => round(dose / step) * step;
    const to = Math.min(onGrid(doseAt(fit, furthest), Math.round), onGrid(doseAt(fit, nominalMm) + 1e-9, Math.floor));
    const from = given.doses.at(-1)! + step;
    const count = Math.round((to - from) / step);
    const within = Array.from({ length: count + 1 }, (_, i) => from + i * step);
    const best = Math.min(...within.map((dose) => unsure(fit, covarianceWith(fit, dose))));
    expect([next.purpose, next.freshBalloon]).toEqual(['narrow-the-curve', false]);
    expect(next.dose).toBeGreaterThan(from - 1e-9);
    expect(next.dose).toBeLessThan(to + 1e-9);
    // At most forty doses are looked at: of very many, one beside the best may be all that is found.
    expect(unsure(fit, covarianceWith(fit, next.dose))).toBeLessThan(best * (count > 40 ? 1.01 : 1 + 1e-9));
    expect(next.halfWidthThenMm).toBeCloseTo(unsure(fit, covarianceWith(fit, next.dose)), 6);
    expect(next.halfWidthNowMm).toBeCloseTo(unsure(fit, covarianceOf(fit)), 6);
    expect(next.expectedWidthMm).toBeCloseTo(expected(fit, next.dose), 9);
  });

  it('goes by targets in use beside the tiers, and by nothing where there is none', () => {
    const fit = sphere({ doses: [4, 8], off: [-2, 1] });
    const small = nextReading({ fit, tiers: [], wantedMm: [0.4 * nominalMm] });
    const large = nextReading({ fit, tiers: [], wantedMm: [0.95 * nominalMm] });
    expect(large.halfWidthNowMm).not.toBeCloseTo(small.halfWidthNowMm!, 1);
    expect(nextReading({ fit, tiers: [] }).halfWidthNowMm).toBe(0);
  });

  it('is of a fresh balloon, from a third of nominal on, where the one in hand is as full as it should go', () => {
    const fit = { ...sphere({ doses: [4, 8], off: [-2, 1] }), lastDose: 100 };
    const next = nextReading({ fit, tiers });
    expect(next.freshBalloon).toBe(true);
    expect(next.dose).toBeGreaterThanOrEqual(doseAt(fit, 0.35 * nominalMm));
    const again = nextReading({ fit: { ...fit, lastDose: null }, tiers });
    expect([again.freshBalloon, again.dose]).toEqual([true, next.dose]);
  });
});

describe('once the curve is good', () => {
  const doses = [4, 6, 8, 9, 10, 11, 12, 13, 14, 15];
  /** The same readings over and over: as sure as many balloons make it. */
  const sure = (more: Partial<CalibrationFit> = {}): CalibrationFit => {
    const fit = sphere({ doses, strokeL: 0.5 });
    const covariance = fit.covariance.map((row) => row.map((value) => value / 30));
    expect(fit.shape.roundLimit.kind).toBe('above');
    return { ...fit, covariance, ...more };
  };

  it('goes four hundredths of nominal past the widest, to find where the body turns oval', () => {
    const fit = sure();
    const next = nextReading({ fit, tiers });
    const dose = Math.round(2 * doseAt(fit, fit.largestWidthMm + 0.04 * nominalMm)) / 2;
    expect(dose).toBeGreaterThan(15.5);
    expect(next).toMatchObject({ purpose: 'find-round-limit', dose, freshBalloon: false });
    expect(next.halfWidthThenMm).toBeCloseTo(unsure(fit, covarianceWith(fit, dose)), 6);
    expect(next.halfWidthNowMm).toBeCloseTo(unsure(fit, covarianceOf(fit)), 6);
  });

  it('goes a step at least, and never past nominal', () => {
    const near = sure({ highestDose: 17, largestWidthMm: 0.7 * nominalMm });
    expect(nextReading({ fit: near, tiers })).toMatchObject({ purpose: 'find-round-limit', dose: 17.5 });
    const most = Math.floor(2 * doseAt(near, nominalMm)) / 2;
    const last = sure({ highestDose: most - 0.5, largestWidthMm: 0.99 * nominalMm });
    expect(nextReading({ fit: last, tiers })).toMatchObject({ purpose: 'find-round-limit', dose: most });
    expect(nextReading({ fit: sure({ highestDose: most }), tiers }).purpose).toBe('enough');
    expect(nextReading({ fit: sure({ highestDose: most + 1 }), tiers }).purpose).toBe('enough');
  });

  it('is good with three doses, known to a step or half the usual tolerance, no finer than half a step', () => {
    expect(nextReading({ fit: sure({ distinctDoses: 3 }), tiers }).purpose).toBe('find-round-limit');
    expect(nextReading({ fit: sure({ distinctDoses: 2 }), tiers }).purpose).toBe('narrow-the-curve');
    const fit = sure();
    const good = (halfWidthMm: number, step: number) =>
      nextReading({ fit: { ...scaledTo(fit, halfWidthMm), varianceRatio: 1 }, tiers, step }).purpose ===
      'find-round-limit';
    const share = (TRADE.toleranceFraction / 2) * nominalMm;
    // A coarse step asks for half of itself, a fine one for itself, and what lies between for half the tolerance.
    for (const [step, most] of [
      [8 * share, 4 * share],
      [1.5 * share, share],
      [share / 4, share / 4],
    ] as const)
      expect([good(0.99 * most, step), good(1.01 * most, step)]).toEqual([true, false]);
  });

  it('says nothing of how sure it is while that is a quarter of the width either way', () => {
    const fit = sphere({ doses: [2, 6], off: [1, -1] });
    const meanWidth = (tiers.reduce((sum, { fraction }) => sum + fraction, 0) / tiers.length) * nominalMm;
    const now = (halfWidthMm: number) => nextReading({ fit: scaledTo(fit, halfWidthMm), tiers });
    expect(now(0.24 * meanWidth).halfWidthNowMm).toBeCloseTo(0.24 * meanWidth, 6);
    expect(now(0.26 * meanWidth)).toMatchObject({ halfWidthNowMm: null, halfWidthThenMm: null });
  });
});

describe('the first reading', () => {
  const curve = sphere({ doses: [3, 6, 9, 12], kind: 'hand' });
  const first = (kind: InflatorKind, more: object = {}) =>
    nextReading({ fit: null, tiers, first: { nominalMm, inflator: { kind }, ...more } });

  it('makes the skin taut by a curve that is known: half strokes up, with the width to expect', () => {
    const { dose, expectedWidthMm, purpose, freshBalloon } = first('hand', { curve });
    expect([purpose, freshBalloon]).toEqual(['first', true]);
    expect(dose).toBe(Math.ceil(2 * doseAt(curve, 0.35 * nominalMm)) / 2);
    expect(expectedWidthMm).toBeCloseTo(expected(curve, dose), 9);
  });

  it('goes by the stroke alone where that is known, and aims lower by the usual one', () => {
    const known = nextReading({ fit: null, tiers, first: { nominalMm, inflator: { kind: 'hand', doseVolumeL: 0.1 } } });
    expect(known.dose).toBe(Math.ceil(2 * (volumeL(0.35 * nominalMm) / 0.1)) / 2);
    const blind = volumeL(0.25 * nominalMm) / TRADE.usualDoseL.hand;
    expect(first('hand').dose).toBe(Math.max(1, Math.ceil(2 * blind) / 2));
    expect([known.expectedWidthMm, first('hand').expectedWidthMm]).toEqual([null, null]);
  });

  it('gives a timed inflator half of what it may lose on top', () => {
    const seconds = volumeL(0.25 * nominalMm) / TRADE.usualDoseL.timed + TRADE.firstDoseSd.timed / 2;
    expect(first('timed').dose).toBeCloseTo(Math.max(1, Math.ceil(10 * seconds - 1e-9) / 10), 9);
    const timed = sphere({ doses: [20, 40, 60], strokeL: 0.08, kind: 'timed' });
    const late = Math.sqrt(timed.covariance[0]![0]!) / timed.doseVolumeL / 2;
    expect(first('timed', { curve: timed }).dose).toBeCloseTo(
      Math.ceil(10 * (doseAt(timed, 0.35 * nominalMm) + late) - 1e-9) / 10,
      9,
    );
  });
});

describe('while the readings leave the slope open', () => {
  it('is clearly more: half as much again and a step, as far as an inflator without loss would allow', () => {
    const open = (more: Partial<CalibrationFit>): CalibrationFit => {
      const fit = sphere({ doses: [3, 4] });
      return {
        ...fit,
        covariance: [
          [fit.covariance[0]![0]!, 0],
          [0, fit.doseVolumeL ** 2],
        ],
        ...more,
      };
    };
    const more = nextReading({ fit: open({ highestDose: 4, largestWidthMm: 120 }), tiers });
    expect(more).toMatchObject({ dose: 6.5, purpose: 'narrow-the-curve', halfWidthNowMm: null, halfWidthThenMm: null });
    // Of a balloon near nominal, no more than that would take.
    const wide = nextReading({ fit: open({ highestDose: 20, largestWidthMm: 0.95 * nominalMm }), tiers });
    expect(wide.dose).toBe(Math.floor(2 * (20 / 0.95 ** 3)) / 2);
  });
});
