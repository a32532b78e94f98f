import { sizingStudy } from '../src/consistency/eye';

/**
 * Ten parts, three appraisers, three trials: the worked example of Measurement Systems Analysis (AIAG), 4th edition,
 * chapter III.
 */
const TRIALS = [
  [
    [0.29, -0.56, 1.34, 0.47, -0.8, 0.02, 0.59, -0.31, 2.26, -1.36],
    [0.41, -0.68, 1.17, 0.5, -0.92, -0.11, 0.75, -0.2, 1.99, -1.25],
    [0.64, -0.58, 1.27, 0.64, -0.84, -0.21, 0.66, -0.17, 2.01, -1.31],
  ],
  [
    [0.08, -0.47, 1.19, 0.01, -0.56, -0.2, 0.47, -0.63, 1.8, -1.68],
    [0.25, -1.22, 0.94, 1.03, -1.2, 0.22, 0.55, 0.08, 2.12, -1.62],
    [0.07, -0.68, 1.34, 0.2, -1.28, 0.06, 0.83, -0.34, 2.19, -1.5],
  ],
  [
    [0.04, -1.38, 0.88, 0.14, -1.46, -0.29, 0.02, -0.46, 1.77, -1.49],
    [-0.11, -1.13, 1.09, 0.2, -1.07, -0.67, 0.01, -0.56, 1.45, -1.77],
    [-0.15, -0.96, 0.67, 0.11, -1.45, -0.49, 0.21, -0.49, 1.87, -2.16],
  ],
];
/** As widths around 100, which shifts no variance. */
const WIDTHS = Array.from({ length: 10 }, (_, part) => TRIALS.map((trials) => trials.map((row) => 100 + row[part]!)));

describe('sizingStudy against the published gauge study', () => {
  const result = sizingStudy(WIDTHS);
  if (!result.ok) throw new Error(result.problem.code);
  const study = result.value;

  it('has the published sums of squares', () => {
    expect(study.people).toMatchObject({ degreesOfFreedom: 2 });
    expect(study.people.squares).toBeCloseTo(3.1673, 3);
    expect(study.balloons.squares).toBeCloseTo(88.3619, 3);
    expect(study.interaction.squares).toBeCloseTo(0.359, 3);
    expect(study.interaction.degreesOfFreedom).toBe(18);
    expect(study.interaction.ratio).toBeCloseTo(0.434, 3);
    expect(study.repeats.squares).toBeCloseTo(2.7589, 3);
    expect(study.repeats.degreesOfFreedom).toBe(60);
  });

  it('pools the interaction and has the published deviations', () => {
    expect(study.pooled).toBe(true);
    expect(study.parts.repeatability.sdMm).toBeCloseTo(0.199933, 4);
    expect(study.parts.people.sdMm).toBeCloseTo(0.226838, 4);
    expect(study.sizing.sdMm).toBeCloseTo(0.302373, 4);
    expect(study.parts.balloons.sdMm).toBeCloseTo(1.042327, 4);
    expect(study.largest).toBe('people');
  });

  it('splits the whole into shares that add up', () => {
    const { repeatability, people, interaction, balloons } = study.parts;
    const sum = repeatability.share + people.share + interaction.share + balloons.share;
    expect(sum).toBeCloseTo(1, 12);
    expect(study.leansMm.reduce((a, b) => a + b, 0)).toBeCloseTo(0, 10);
  });
});

describe('sizingStudy', () => {
  it('finds the interaction of two people who differ on one balloon only', () => {
    const result = sizingStudy([
      [
        [228, 228.2],
        [228.1, 227.9],
      ],
      [
        [230, 230.1],
        [236, 236.2],
      ],
      [
        [226, 225.9],
        [226.1, 226],
      ],
    ]);
    expect(result).toMatchObject({ ok: true, value: { pooled: false, largest: 'interaction' } });
  });

  it('names the missing cell', () => {
    const holed = WIDTHS.map((row, i) =>
      row.map((cell, j) => (i === 3 && j === 1 ? [cell[0]!, null, cell[2]!] : cell)),
    );
    expect(sizingStudy(holed)).toEqual({
      ok: false,
      problem: {
        code: 'missing-cell',
        field: 'widthsMm.3.1.1',
        detail: { balloon: 3, person: 1, repeat: 1 },
      },
    });
  });

  it.each([
    ['too-few-balloons', WIDTHS.slice(0, 1)],
    ['too-few-people', WIDTHS.map((row) => row.slice(0, 1))],
    ['too-few-repeats', WIDTHS.map((row) => row.map((cell) => cell.slice(0, 1)))],
    ['bad-width', WIDTHS.map((row) => row.map((cell) => cell.map((width) => -width)))],
  ])('refuses %s', (code, widths) => {
    expect(sizingStudy(widths)).toMatchObject({ ok: false, problem: { code } });
  });
});
