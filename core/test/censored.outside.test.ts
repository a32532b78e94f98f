import { fitCalibration, generalLeastSquares, leastSquares, normalCdf, type Bracket, type Reading } from '../src';
import { ELEVEN, readingsOf, trueWidth } from './physicalBalloon';
import { simulated } from './simulated';

const row = (x: number) => [1, x];
const values = [
  [1, 2.1],
  [2, 3.8],
  [4, 8.3],
  [6, 11.9],
].map(([x = 0, value = 0]) => ({ row: row(x), value, sd: 0.2 }));
const intervals = [
  [3, 5.5, 6.2],
  [5, 9.5, 10.5],
  [7, 13, 15],
  [8, 15.8, Infinity],
].map(([x = 0, low = 0, high = 0]) => ({ row: row(x), low, high, sd: 0.3 }));

/** The log-likelihood written out as in any handbook: densities of values, probabilities of intervals. */
function logLikelihood(a: number, b: number, ratio: number): number {
  let sum = 0;
  for (const {
    row: [, x = 0],
    value,
    sd,
  } of values) {
    const s = sd * Math.sqrt(ratio);
    sum += -0.5 * ((value - a - b * x) / s) ** 2;
  }
  for (const {
    row: [, x = 0],
    low,
    high,
    sd,
  } of intervals) {
    const s = sd * Math.sqrt(ratio);
    sum += Math.log(normalCdf((high - a - b * x) / s) - normalCdf((low - a - b * x) / s));
  }
  return sum;
}

type Value = { row: number[]; value: number; sd: number };
type Interval = { row: number[]; low: number; high: number; sd: number };
const observed = (some: readonly Value[], between: readonly Interval[]) => [
  ...some.map(({ row: r, value, sd }) => ({ row: r, seen: value, variance: sd * sd })),
  ...between.map(({ row: r, low, high, sd }) => ({ row: r, seen: { low, high }, variance: sd * sd })),
];
const likeliest = (some: readonly Value[], between: readonly Interval[], start: readonly number[]) =>
  generalLeastSquares({ observations: observed(some, between), start, priorWorth: 4, varianceRatio: 1 });

describe('values and intervals', () => {
  const fit = likeliest(values, intervals, [0, 2])!;

  simulated('finds the top of the likelihood that a brute-force grid finds', () => {
    let best = { a: 0, b: 0, at: -Infinity };
    for (let a = -1; a <= 1; a += 0.002) {
      for (let b = 1.7; b <= 2.3; b += 0.0005) {
        const at = logLikelihood(a, b, 1);
        if (at > best.at) best = { a, b, at };
      }
    }
    expect(fit.coefficients[0]).toBeCloseTo(best.a, 2);
    expect(fit.coefficients[1]).toBeCloseTo(best.b, 3);
    expect(logLikelihood(fit.coefficients[0]!, fit.coefficients[1]!, 1)).toBeGreaterThanOrEqual(best.at);
  });

  it('has the covariance that the curvature of the likelihood gives', () => {
    const [a = 0, b = 0] = fit.coefficients;
    const h = 1e-3;
    const at = (da: number, db: number) => logLikelihood(a + da * h, b + db * h, 1);
    const curve = {
      aa: -(at(1, 0) - 2 * at(0, 0) + at(-1, 0)) / h ** 2,
      bb: -(at(0, 1) - 2 * at(0, 0) + at(0, -1)) / h ** 2,
      ab: -(at(1, 1) - at(1, -1) - at(-1, 1) + at(-1, -1)) / (4 * h ** 2),
    };
    const determinant = curve.aa * curve.bb - curve.ab ** 2;
    expect(fit.covariance[0]![0]! / (curve.bb / determinant)).toBeCloseTo(1, 3);
    expect(fit.covariance[1]![1]! / (curve.aa / determinant)).toBeCloseTo(1, 3);
    expect(fit.covariance[0]![1]! / (-curve.ab / determinant)).toBeCloseTo(1, 3);
  });

  it('is plain least squares when nothing is censored, and nearly so when intervals are narrow', () => {
    const plain = leastSquares({
      rows: values.map((v) => v.row),
      observed: values.map((v) => v.value),
      weights: values.map(() => 25),
    })!;
    const same = likeliest(values, [], [0, 0])!;
    const narrow = values.map(({ row: r, value, sd }) => ({
      row: r,
      low: value - 1e-4,
      high: value + 1e-4,
      sd,
    }));
    const close = likeliest([], narrow, [0, 2])!;
    for (const i of [0, 1]) {
      expect(same.coefficients[i]).toBeCloseTo(plain.coefficients[i]!, 10);
      expect(close.coefficients[i]).toBeCloseTo(plain.coefficients[i]!, 4);
    }
  });

  it('arrives from a start far away, and gives up where the data do not determine the line', () => {
    const far = likeliest(values, intervals, [80, -9])!;
    expect(far.coefficients[1]).toBeCloseTo(fit.coefficients[1]!, 6);
    expect(likeliest(values.slice(0, 1), [], [0, 0])).toBeNull();
  });
});

describe('a calibration with brackets', () => {
  const INCH = 25.4;
  const bracketed = (reading: Reading, stepMm = INCH / 2): Reading => {
    const stopsMm = Math.floor(reading.widthMm! / stepMm) * stepMm;
    return {
      dose: reading.dose,
      outcome: 'ok',
      way: 'bracket',
      bracket: { stopsMm, passesMm: stopsMm + stepMm },
    };
  };
  const plain = readingsOf({ balloon: ELEVEN, doses: [1, 2, 3, 4, 5, 6, 7, 8], seed: 5 });
  const fitted = (readings: readonly Reading[]) => {
    const fit = fitCalibration({ nominalMm: 11 * INCH, readings });
    if (!fit.ok) throw new Error(fit.problem.code);
    return fit.value;
  };

  it('finds the pump from brackets alone, less surely than from widths', () => {
    const widths = fitted(plain.map(({ heightMm: _, ...rest }) => rest));
    const brackets = fitted(plain.map((reading) => bracketed(reading)));
    expect(brackets.doseVolumeL).toBeCloseTo(widths.doseVolumeL, 1);
    expect(brackets.covariance[1]![1]!).toBeGreaterThan(widths.covariance[1]![1]!);
    expect(brackets.covariance[1]![1]!).toBeLessThan(20 * widths.covariance[1]![1]!);
  });

  it('gains from brackets beside widths', () => {
    const some = fitted(plain.slice(0, 4));
    const more = fitted([...plain.slice(0, 4), ...plain.slice(4).map((reading) => bracketed(reading))]);
    expect(more.covariance[1]![1]!).toBeLessThan(some.covariance[1]![1]!);
    expect(more.largestWidthMm).toBeGreaterThan(trueWidth(ELEVEN, 7));
  });

  it.each([
    [{ stopsMm: 240, passesMm: 230 }, 'bracket-upside-down', 'readings.0.stopsMm'],
    [{ stopsMm: 230, passesMm: 230 }, 'bracket-upside-down', 'readings.0.stopsMm'],
    [{ stopsMm: 230, passesMm: 2000 }, 'bad-bracket', 'readings.0.passesMm'],
    [{ stopsMm: -1, passesMm: 230 }, 'bad-bracket', 'readings.0.stopsMm'],
  ] as [Bracket, string, string][])('refuses %j', (bracket, code, field) => {
    const result = fitCalibration({ nominalMm: 279.4, readings: [{ dose: 6, outcome: 'ok', bracket }] });
    expect(result).toMatchObject({ ok: false, problem: { code, field } });
  });
});
