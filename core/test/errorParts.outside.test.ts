import { inverse, Matrix } from 'ml-matrix';

import { settleParts, type LearningSet, type Part } from '../src/calibration/errorParts';

/*
 * Parts of an error that pull at the same readings: how sure each is, and how they go together, by Fisher's
 * information on the logarithms of variances (Searle, Casella and McCulloch, Variance Components, section 6.6), worked
 * out with a reference library of matrices.
 */

const WORTH = 6;
/** So many calibrations alike: what is assumed counts for little beside them. */
const ALIKE = 40;
const DOSES = [2, 3, 5, 6, 8, 9, 11];
const SEEN = [0.9, 1.7, 2.3, 3.4, 3.7, 4.9, 5.2];
const FIXED = DOSES.map((_, i) => 0.002 * (1 + i));
const WIDTHS = DOSES.map((dose) => 0.01 + 0.002 * dose);
/** Two balloons, filled on. */
const STROKES = DOSES.map((a, i) => DOSES.map((b, j) => (i < 4 === j < 4 ? 0.004 * Math.min(a, b) : 0)));
const MAKES = DOSES.map((a, i) => DOSES.map((b, j) => (i < 4 === j < 4 ? 0.0004 * a * b : 0)));

const partsOf = (keys: readonly string[]) =>
  new Map(keys.map((key, i): [string, Part] => [key, { variance: 0.8 + 0.3 * i, assumed: 1, readings: 0 }]));
const setOf = (units: LearningSet['units'], more: Partial<LearningSet> = {}): LearningSet => ({
  keys: new Map(),
  rows: DOSES.map((dose) => [1, dose]),
  observed: SEEN,
  fixed: FIXED,
  worth: 0.7,
  units,
  ...more,
});
const whole = (diagonal: readonly number[]) =>
  diagonal.map((value, i) => diagonal.map((_, j) => (i === j ? value : 0)));

describe('parts of an error', () => {
  it('are as sure, and go together, as the information at their rest says', () => {
    const units = [
      { key: 'width', diagonal: WIDTHS, full: null },
      { key: 'make', diagonal: null, full: MAKES },
      { key: 'stroke', diagonal: null, full: STROKES },
    ];
    const parts = partsOf(['stroke', 'width', 'make']);
    const unsure = settleParts(new Array<LearningSet>(ALIKE).fill(setOf(units)), parts, WORTH);

    const kernels = [STROKES, whole(WIDTHS), MAKES].map((each) => new Matrix(each));
    const variances = [...parts.values()].map(({ variance }) => variance);
    const covariance = kernels.reduce(
      (sum, kernel, i) => Matrix.add(sum, Matrix.mul(kernel, variances[i]!)),
      Matrix.diag(FIXED),
    );
    const sure = inverse(covariance);
    const design = new Matrix(DOSES.map((dose) => [1, dose]));
    const spread = inverse(design.transpose().mmul(sure).mmul(design));
    const projector = Matrix.sub(sure, sure.mmul(design).mmul(spread).mmul(design.transpose()).mmul(sure));
    const information = new Matrix(
      kernels.map((a, i) =>
        kernels.map((b, j) => {
          const prior = i === j ? (WORTH / 2) * Math.max(1, 1 / variances[i]!) : 0;
          const trace = projector.mmul(a).mmul(projector).mmul(b).trace();
          return prior + ALIKE * 0.5 * 0.7 * variances[i]! * variances[j]! * trace;
        }),
      ),
    );
    const told = inverse(information);
    const slopes = kernels.map((kernel, i) => {
      const pulled = projector.mmul(Matrix.columnVector(SEEN));
      const pull = pulled.transpose().mmul(kernel).mmul(pulled).get(0, 0);
      const data = ALIKE * 0.5 * 0.7 * variances[i]! * (pull - projector.mmul(kernel).trace());
      return data + (WORTH / 2) * (1 / variances[i]! - 1);
    });
    slopes.forEach((slope, i) => expect(Math.abs(slope) * Math.sqrt(told.get(i, i))).toBeLessThan(2e-3));
    unsure.forEach((row, i) =>
      row.forEach((own, j) => {
        const scale = Math.sqrt(told.get(i, i) * told.get(j, j));
        expect(Math.abs(own - told.get(i, j)) / scale).toBeLessThan(1e-3);
      }),
    );
    // They do go together here: what one takes the other has not.
    expect(told.get(0, 1) / Math.sqrt(told.get(0, 0) * told.get(1, 1))).toBeLessThan(-0.1);
  });

  it('are the same whether a covariance of fresh balloons is said by its diagonal or in full', () => {
    const ways = [WIDTHS, DOSES.map((dose) => 0.004 * dose)];
    const learned = (full: boolean) => {
      const parts = partsOf(['width', 'stroke']);
      const units = ways.map((diagonal, i) => ({
        key: ['width', 'stroke'][i]!,
        ...(full && i === 1 ? { diagonal: null, full: whole(diagonal) } : { diagonal, full: null }),
      }));
      const unsure = settleParts([setOf(units)], parts, WORTH);
      return [...[...parts.values()].map(({ variance }) => variance), ...unsure.flat()];
    };
    learned(true).forEach((each, i) => expect(each).toBeCloseTo(learned(false)[i]!, 9));
  });

  it('learn nothing of readings that their own line uses up, or that nothing could make differ', () => {
    const unit = { key: 'width', diagonal: WIDTHS, full: null };
    const learned = (...more: LearningSet[]) => {
      const parts = partsOf(['width']);
      settleParts([setOf([unit]), ...more], parts, WORTH);
      return parts.get('width')!.variance;
    };
    const two = setOf([{ ...unit, diagonal: WIDTHS.slice(0, 2) }], {
      rows: [
        [1, 2],
        [1, 3],
      ],
      observed: [1, 9],
      fixed: [0, 0],
    });
    const exact = setOf([{ ...unit, diagonal: WIDTHS.map((value, i) => (i === 3 ? 0 : value)) }], {
      fixed: FIXED.map((value, i) => (i === 3 ? 0 : value)),
      observed: SEEN.map((value) => 2 * value),
    });
    expect(learned(two)).toBe(learned());
    expect(learned(exact)).toBe(learned());
    expect(learned(setOf([unit], { observed: SEEN.map((value, i) => value + (i % 2)) }))).toBeGreaterThan(learned());
  });
});
