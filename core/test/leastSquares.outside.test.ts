import { leastSquares } from '../src';

/**
 * Statistical Reference Datasets, linear least squares, of the National Institute of Standards and Technology
 * (Norris, Pontius, NoInt1, Wampler1). Data and certified values written down from memory; that they agree with one
 * another to ten digits is the check that they were remembered rightly.
 */
// prettier-ignore
const NORRIS: [y: number, x: number][] = [
  [0.1, 0.2], [338.8, 337.4], [118.1, 118.2], [888.0, 884.6], [9.2, 10.1], [228.1, 226.5],
  [668.5, 666.3], [998.5, 996.3], [449.1, 448.6], [778.9, 777.0], [559.2, 558.2], [0.3, 0.4],
  [0.1, 0.6], [778.1, 775.5], [668.8, 666.9], [339.3, 338.0], [448.9, 447.5], [10.8, 11.6],
  [557.7, 556.0], [228.3, 228.1], [998.0, 995.8], [888.8, 887.6], [119.6, 120.2], [0.3, 0.3],
  [0.6, 0.3], [557.6, 556.8], [339.3, 339.1], [888.0, 887.2], [998.5, 999.0], [778.9, 779.0],
  [10.2, 11.1], [117.6, 118.3], [228.9, 229.2], [668.4, 669.1], [449.2, 448.9], [0.2, 0.5],
];

const PONTIUS_Y = [
  0.11019, 0.21956, 0.32949, 0.43899, 0.54803, 0.65694, 0.76562, 0.87487, 0.98292, 1.09146, 1.20001, 1.30822, 1.41599,
  1.52399, 1.63194, 1.73947, 1.84646, 1.95392, 2.06128, 2.16844, 0.11052, 0.22018, 0.32939, 0.43886, 0.54798, 0.65739,
  0.76596, 0.87474, 0.983, 1.0915, 1.20004, 1.30818, 1.41613, 1.52408, 1.63159, 1.73965, 1.84696, 1.95445, 2.06177,
  2.16829,
];

/** Digits of agreement, as the reference data sets score a program. */
function digits(found: number, certified: number): number {
  return -Math.log10(Math.max(Math.abs(found - certified) / Math.abs(certified), 1e-16));
}

function standardErrors(fit: NonNullable<ReturnType<typeof leastSquares>>): number[] {
  const variance = fit.chiSquare / fit.degreesOfFreedom;
  return fit.unitCovariance.map((row, i) => Math.sqrt(row[i]! * variance));
}

describe('least squares against certified regression data (NIST StRD)', () => {
  it('reproduces Norris: a line through 36 points', () => {
    const fit = leastSquares({ rows: NORRIS.map(([, x]) => [1, x]), observed: NORRIS.map(([y]) => y) })!;
    const [se0, se1] = standardErrors(fit) as [number, number];
    expect(digits(fit.coefficients[0]!, -0.262323073774029)).toBeGreaterThan(10);
    expect(digits(fit.coefficients[1]!, 1.00211681802045)).toBeGreaterThan(12);
    expect(digits(se0, 0.232818234301152)).toBeGreaterThan(10);
    expect(digits(se1, 0.429796848199937e-3)).toBeGreaterThan(10);
    expect(digits(Math.sqrt(fit.chiSquare / 34), 0.884796396144373)).toBeGreaterThan(10);
  });

  it('reproduces Pontius: a quadratic whose columns differ by thirteen orders of magnitude', () => {
    const x = PONTIUS_Y.map((_, i) => 150_000 * ((i % 20) + 1));
    const fit = leastSquares({ rows: x.map((v) => [1, v, v * v]), observed: PONTIUS_Y })!;
    const errors = standardErrors(fit);
    const certified = [0.673565789473684e-3, 0.732059160401003e-6, -0.316081871345029e-14];
    const certifiedErrors = [0.107938612033077e-3, 0.157817399981659e-9, 0.486652849992036e-16];
    certified.forEach((value, i) => expect(digits(fit.coefficients[i]!, value)).toBeGreaterThan(9));
    certifiedErrors.forEach((value, i) => expect(digits(errors[i]!, value)).toBeGreaterThan(9));
  });

  it('reproduces NoInt1: a line through the origin', () => {
    const rows = Array.from({ length: 11 }, (_, i) => [60 + i]);
    const fit = leastSquares({ rows, observed: rows.map((_, i) => 130 + i) })!;
    expect(digits(fit.coefficients[0]!, 2.07438016528926)).toBeGreaterThan(13);
    expect(digits(standardErrors(fit)[0]!, 0.165289256198347e-1)).toBeGreaterThan(12);
  });

  it('reproduces Wampler1: a fifth degree polynomial with all coefficients 1', () => {
    const powers = (x: number) => [0, 1, 2, 3, 4, 5].map((k) => x ** k);
    const rows = Array.from({ length: 21 }, (_, x) => powers(x));
    const fit = leastSquares({ rows, observed: rows.map((row) => row.reduce((a, b) => a + b)) })!;
    fit.coefficients.forEach((value) => expect(digits(value, 1)).toBeGreaterThan(8));
  });
});

describe('least squares with weights', () => {
  it('treats a weight of two as the same point twice', () => {
    const doubled = NORRIS.flatMap(([y, x], i) =>
      i % 3 === 0
        ? [
            [y, x],
            [y, x],
          ]
        : [[y, x]],
    );
    const twice = leastSquares({
      rows: doubled.map(([, x]) => [1, x!]),
      observed: doubled.map(([y]) => y!),
    })!;
    const weighted = leastSquares({
      rows: NORRIS.map(([, x]) => [1, x]),
      observed: NORRIS.map(([y]) => y),
      weights: NORRIS.map((_, i) => (i % 3 === 0 ? 2 : 1)),
    })!;
    weighted.coefficients.forEach((value, i) => expect(value).toBeCloseTo(twice.coefficients[i]!, 10));
    expect(weighted.chiSquare).toBeCloseTo(twice.chiSquare, 8);
    expect(weighted.unitCovariance[1]![1]).toBeCloseTo(twice.unitCovariance[1]![1]!, 14);
  });

  it('refuses columns that do not determine the coefficients', () => {
    expect(
      leastSquares({
        rows: [
          [1, 2],
          [1, 2],
          [1, 2],
        ],
        observed: [1, 2, 3],
      }),
    ).toBeNull();
    expect(leastSquares({ rows: [[1, 2]], observed: [1] })).toBeNull();
    expect(leastSquares({ rows: [], observed: [] })).toBeNull();
  });
});
