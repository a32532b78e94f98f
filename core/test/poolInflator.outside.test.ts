import { inverse, Matrix } from 'ml-matrix';

import { poolEstimates, poolInflator, TRADE, withoutPrior, type CalibrationFit } from '../src';

/*
 * What calibrations tell of a pump, by the algebra of the normal law: losses by propagation of uncertainty, one dose by
 * conditioning on what the others say is lost, with a reference library of matrices.
 */

interface Told {
  dead: number;
  dose: number;
  covariance: [[number, number], [number, number]];
  doses?: number;
}

const fitOf = ({ dead, dose, covariance, doses = 3 }: Told) =>
  ({
    deadVolumeL: dead,
    doseVolumeL: dose,
    covariance,
    distinctDoses: doses,
    inflator: 'hand',
  }) as unknown as CalibrationFit;

const SURE: Told = {
  dead: -0.12,
  dose: 0.5,
  covariance: [
    [0.0016, -0.00012],
    [-0.00012, 0.00004],
  ],
};
const OTHER: Told = {
  dead: -0.04,
  dose: 0.46,
  covariance: [
    [0.0025, -0.0002],
    [-0.0002, 0.00009],
  ],
};
const ONE_DOSE: Told = {
  dead: 0.01,
  dose: 0.43,
  covariance: [
    [0.04, -0.006],
    [-0.006, 0.0011],
  ],
  doses: 1,
};

const assumedLoss = { value: 0, variance: TRADE.firstDoseSd.hand ** 2 };
const worth = TRADE.betweenWorth;

/** -V0 / s with its variance by the gradient of it, freed of what was assumed. */
function lossOf({ dead, dose, covariance }: Told) {
  const gradient = new Matrix([[-1 / dose, dead / dose ** 2]]);
  const variance = gradient.mmul(new Matrix(covariance)).mmul(gradient.transpose()).get(0, 0);
  return withoutPrior({ value: -dead / dose, variance }, assumedLoss)!;
}

/** V0 and s once V0 + lost x s is known to be nought, give or take: their precisions add. */
function conditioned({ dead, dose, covariance }: Told, lost: { mean: number; predictive: number }) {
  const own = inverse(new Matrix(covariance));
  const row = new Matrix([[1, lost.mean]]);
  const more = row
    .transpose()
    .mmul(row)
    .div(lost.predictive * dose ** 2);
  const spread = inverse(Matrix.add(own, more));
  const mean = spread.mmul(own).mmul(Matrix.columnVector([dead, dose]));
  return { value: mean.get(1, 0), variance: spread.get(1, 1) };
}

const lossesPooled = (all: readonly Told[]) =>
  poolEstimates({ estimates: all.map(lossOf), expected: { variance: TRADE.deadBetweenDoses ** 2, worth } })!;

function strokesPooled(estimates: { value: number; variance: number }[]) {
  const mean = estimates.reduce((sum, { value }) => sum + value, 0) / estimates.length;
  const between = mean * TRADE.strokeBetweenShare;
  return poolEstimates({ estimates, expected: { variance: between ** 2, worth } })!;
}

const pool = (all: readonly Told[]) => poolInflator({ inflator: { kind: 'hand' }, fits: all.map(fitOf) })!;

describe('what calibrations tell of an inflator', () => {
  it('is the figure on record where there is none, and nothing without one', () => {
    expect(poolInflator({ inflator: { kind: 'hand', doseVolumeL: 0.6 }, fits: [] })).toEqual({
      kind: 'hand',
      doseVolumeL: 0.6,
      doseSdL: 0.6 * TRADE.recordedStrokeShare,
      lostDoses: 0,
      lostSd: TRADE.firstDoseSd.hand,
      calibrations: 0,
    });
    expect(poolInflator({ inflator: { kind: 'hand' }, fits: [] })).toBeNull();
  });

  it('pools stroke and loss of those that read several doses', () => {
    const told = pool([SURE, OTHER]);
    const lost = lossesPooled([SURE, OTHER]);
    const stroke = strokesPooled(
      [SURE, OTHER].map(({ dose, covariance }) => ({ value: dose, variance: covariance[1][1] })),
    );
    expect(told.lostDoses).toBeCloseTo(lost.mean, 12);
    expect(told.lostSd).toBeCloseTo(Math.sqrt(lost.predictive), 12);
    expect(told.doseVolumeL).toBeCloseTo(stroke.mean, 12);
    expect(told.doseSdL).toBeCloseTo(Math.sqrt(stroke.predictive), 12);
    expect(told.calibrations).toBe(2);
    // Between the two, and surer than a balloon differs from the next.
    expect(told.lostDoses).toBeGreaterThan(0.04 / 0.46);
    expect(told.lostDoses).toBeLessThan(lossOf(SURE).value);
  });

  it('takes the stroke of one dose for as much as the others say is lost', () => {
    const told = pool([SURE, ONE_DOSE]);
    const lost = lossesPooled([SURE]);
    const given = conditioned(ONE_DOSE, lost);
    expect(given.value).not.toBeCloseTo(ONE_DOSE.dose, 2);
    const stroke = strokesPooled([{ value: SURE.dose, variance: SURE.covariance[1][1] }, given]);
    expect(told.lostDoses).toBeCloseTo(lost.mean, 12);
    expect(told.doseVolumeL).toBeCloseTo(stroke.mean, 9);
    expect(told.doseSdL).toBeCloseTo(Math.sqrt(stroke.predictive), 9);
  });

  it('assumes what is usual of the loss where only one dose was ever read', () => {
    const told = pool([ONE_DOSE]);
    expect(told.lostDoses).toBe(0);
    expect(told.lostSd).toBeCloseTo(TRADE.firstDoseSd.hand, 12);
    const given = conditioned(ONE_DOSE, { mean: 0, predictive: TRADE.firstDoseSd.hand ** 2 });
    expect(told.doseVolumeL).toBeCloseTo(strokesPooled([given]).mean, 9);
  });

  it('hears nothing of the loss from two doses that leave it as open as it was assumed', () => {
    const open: Told = {
      ...SURE,
      doses: 2,
      covariance: [
        [0.06, -0.004],
        [-0.004, 0.0004],
      ],
    };
    expect(pool([open, SURE]).lostDoses).toBeCloseTo(pool([SURE]).lostDoses, 12);
    expect(pool([{ ...SURE, doses: 2 }]).lostDoses).toBeCloseTo(lossOf(SURE).value, 12);
  });
});
