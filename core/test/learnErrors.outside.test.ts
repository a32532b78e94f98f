import jstat from 'jstat';
import { determinant, inverse, Matrix, SVD } from 'ml-matrix';

import { balloonsOf, fitShapeLaw, learnErrors, TRADE, WAYS, type Reading, type ShapeLaw } from '../src';
import type { LearningCalibration } from '../src/calibration/learnErrors';
import { pointsOf } from '../src/calibration/point';
import { volumeTold } from './volumeTold';

/*
 * Restricted likelihood by its definition: the likelihood of what is left of the readings when everything their own
 * line could explain is turned away (error contrasts; Patterson and Thompson, Biometrika 58 (1971)), with a prior on
 * each variance, by a reference library of matrices. What was learned must be where it is highest, and as sure as
 * Fisher's information there says.
 */

interface Case {
  inflatorId: string;
  kind: 'hand' | 'timed';
  doseVolumeL: number;
  nominalMm: number;
  readings: Reading[];
}

const NOMINAL_MM = 279.4;

/** A reading near a body of `volumeL` a dose, off by a wobble of its own: no two alike, and no luck in it. */
function taken(index: number, dose: number, more: Partial<Reading>, { volumeL = 0.5, lengthens = 0 } = {}): Reading {
  const volume = volumeL * (dose - 0.2);
  const sphereMm = Math.cbrt((6e6 * volume) / Math.PI);
  const aspect = 1 + lengthens * Math.max(0, sphereMm / NOMINAL_MM - 0.5);
  const widthMm = sphereMm / Math.cbrt(aspect) + 2.5 * Math.sin(7.3 * index + 1);
  const height = more.heightMm === undefined ? {} : { heightMm: widthMm * aspect + 4 * Math.sin(3.1 * index) };
  return { dose, widthMm, outcome: 'ok', ...more, ...height };
}

const hand = { inflatorId: 'hand pump', kind: 'hand' as const, doseVolumeL: 0.5, nominalMm: NOMINAL_MM };
const HEIGHT = { heightMm: 0 };
const CASES: Case[] = [
  // One balloon filled on, with heights past where it is round; a hole's two sides tell no residual.
  {
    ...hand,
    readings: [
      ...[4, 7, 10, 12, 14, 15.5].map((dose, i) => taken(i, dose, HEIGHT, { lengthens: 0.5 })),
      { dose: 9, bracket: { stopsMm: 190, passesMm: 200 }, outcome: 'ok' },
    ],
  },
  // Fresh balloons by other ways, one reading sure by its own word, one with a burst.
  {
    ...hand,
    readings: [
      ...[5, 8, 8, 11, 13].map((dose, i) =>
        taken(20 + i, dose, { balloon: i, way: i < 2 ? 'caliper' : 'hole', ...(i === 3 ? { sdMm: 0.5 } : {}) }),
      ),
      taken(26, 14, { balloon: 6, outcome: 'burst' }),
    ],
  },
  // Two balloons, each filled on, as wide as tall; one width is unsure by its own word.
  {
    ...hand,
    readings: [3, 6, 9, 3, 6, 9].map((dose, i) =>
      taken(30 + i, dose, { balloon: i < 3 ? 0 : 1, ...HEIGHT, ...(i === 4 ? { sdMm: 6 } : {}) }),
    ),
  },
  // Widths that say how sure they are: what is left is the strokes', which hardly anything else tells of.
  {
    ...hand,
    inflatorId: 'fifth pump',
    readings: [4, 6, 9, 11, 13].map((dose, i) => taken(65 + i, dose, { sdMm: i === 2 ? 0.4 : 0.2 })),
  },
  // One dose three times: no line to take out but its own mean.
  { ...hand, inflatorId: 'other pump', readings: [6, 6, 6].map((dose, i) => taken(40 + i, dose, { balloon: i })) },
  // Two doses of one balloon: their line leaves nothing.
  { ...hand, inflatorId: 'third pump', readings: [5, 9].map((dose, i) => taken(50 + i, dose, {})) },
  // A single reading says nothing.
  { ...hand, inflatorId: 'fourth pump', readings: [taken(60, 6, {})] },
  // Seconds, more readings than are looked at.
  {
    inflatorId: 'electric',
    kind: 'timed',
    doseVolumeL: 2,
    nominalMm: NOMINAL_MM,
    readings: Array.from({ length: 44 }, (_, i) =>
      taken(
        70 + i,
        1.4 + 0.05 * i,
        { balloon: i % 9, ...(i % 7 === 0 ? { way: 'reference' as const } : {}) },
        { volumeL: 2 },
      ),
    ),
  },
];

const MOST_READINGS = 40;
const PRIOR = TRADE.priorReadings;
const assumedErrors = { ways: TRADE.measureSdMm, heightMm: TRADE.heightSdMm };

function learningOf({ readings, nominalMm, ...rest }: Case): LearningCalibration {
  const shape = fitShapeLaw({ readings, errors: assumedErrors });
  const terms = ['dead', 'dose'] as const;
  const points = pointsOf({ readings, balloons: balloonsOf(readings), terms, shape, nominalMm, marksMm: 0 });
  return { ...rest, points, shape };
}

/** What one calibration tells of the parts: observations, what is taken out, and what a unit of each part does. */
interface Told {
  seen: Matrix;
  /** Columns that stand for the line; none where nothing is taken out. */
  line: Matrix | null;
  fixed: Matrix;
  parts: Map<string, Matrix>;
  worth: number;
}

function volumesTold({ inflatorId, doseVolumeL, readings: all }: Case, shape: ShapeLaw): Told | null {
  const balloons = balloonsOf(all);
  const told = all.flatMap((reading, i) =>
    reading.widthMm === undefined || reading.outcome === 'burst' ? [] : [{ ...reading, balloon: balloons[i]! }],
  );
  const kept = told.slice(0, MOST_READINGS);
  if (kept.length < 2) return null;
  const per = kept.map((reading) => volumeTold(reading, shape));
  const parts = new Map<string, Matrix>();
  for (const way of WAYS)
    parts.set(
      `way ${way}`,
      Matrix.diag(
        kept.map(({ way: own = 'tape', sdMm }, i) => (own === way && sdMm === undefined ? per[i]!.perWidthMm ** 2 : 0)),
      ),
    );
  parts.set('height', Matrix.diag(per.map(({ perHeightMm }) => perHeightMm ** 2)));
  const together = (of: (i: number, j: number) => number) =>
    new Matrix(kept.map((a, i) => kept.map((b, j) => (a.balloon === b.balloon ? of(i, j) : 0))));
  parts.set(
    'balloon',
    together((i, j) => per[i]!.perShare * per[j]!.perShare),
  );
  parts.set(
    `dose ${inflatorId}`,
    together((i, j) => Math.min(kept[i]!.dose, kept[j]!.dose) * doseVolumeL ** 2),
  );
  const oneDose = kept.every(({ dose }) => dose === kept[0]!.dose);
  return {
    seen: Matrix.columnVector(per.map(({ volumeL }) => volumeL)),
    line: new Matrix(kept.map(({ dose }) => (oneDose ? [1] : [1, dose]))),
    fixed: Matrix.diag(kept.map(({ sdMm = 0 }, i) => (per[i]!.perWidthMm * sdMm) ** 2)),
    parts,
    worth: 1,
  };
}

/** How far aspects lie from the law that was drawn through them, which took one level for each stretch of it. */
function aspectsTold({ readings: all }: Case, shape: ShapeLaw): Told | null {
  const kept = all.filter(({ widthMm, heightMm, outcome }) => widthMm && heightMm && outcome !== 'burst');
  if (kept.length === 0) return null;
  const levels = new Set(shape.knots.map(({ aspect }) => aspect)).size;
  const free = kept.length - levels;
  if (free < 1) return null;
  const lawAt = (widthMm: number) => {
    const { knots } = shape;
    const next = knots.findIndex((knot) => knot.widthMm >= widthMm);
    if (next <= 0) return (next === 0 ? knots[0]! : knots.at(-1)!).aspect;
    const [from, to] = [knots[next - 1]!, knots[next]!];
    return from.aspect + ((widthMm - from.widthMm) / (to.widthMm - from.widthMm)) * (to.aspect - from.aspect);
  };
  const parts = new Map<string, Matrix>();
  parts.set('way tape', Matrix.diag(kept.map(({ widthMm, sdMm }) => (sdMm === undefined ? widthMm! ** -2 : 0))));
  parts.set('height', Matrix.diag(kept.map(({ heightMm }) => heightMm! ** -2)));
  return {
    seen: Matrix.columnVector(
      kept.map(({ widthMm, heightMm }) => {
        const aspect = lawAt(widthMm!);
        return (Math.sqrt(kept.length / free) * (heightMm! / widthMm! - aspect)) / aspect;
      }),
    ),
    line: null,
    fixed: Matrix.diag(kept.map(({ widthMm, sdMm = 0 }) => (sdMm / widthMm!) ** 2 + TRADE.aspectLawSd ** 2 / 4)),
    parts,
    worth: free / kept.length,
  };
}

/** Rows that no line of theirs can touch. */
function contrasts({ line, seen }: Told): Matrix {
  if (!line) return Matrix.eye(seen.rows);
  const { leftSingularVectors } = new SVD(line, { computeLeftSingularVectors: true, autoTranspose: false });
  // The thin factor spans the line; what a full basis has beyond it comes from the projector's own vectors.
  const spanned = leftSingularVectors.subMatrix(0, seen.rows - 1, 0, line.columns - 1);
  const rest = Matrix.sub(Matrix.eye(seen.rows), spanned.mmul(spanned.transpose()));
  const { leftSingularVectors: basis } = new SVD(rest);
  return basis.subMatrix(0, seen.rows - 1, 0, seen.rows - line.columns - 1).transpose();
}

/** What is learned of the cases, and what their restricted likelihood makes of the same. */
function learnedAndLikely() {
  const calibrations = CASES.map(learningOf);
  const learned = learnErrors(calibrations);
  const assumed = new Map<string, number>([
    ...WAYS.map((way): [string, number] => [`way ${way}`, TRADE.measureSdMm[way]]),
    ['height', TRADE.heightSdMm],
    ['balloon', TRADE.balloonShare],
    ...[...new Set(CASES.map(({ inflatorId }) => inflatorId))].map((id): [string, number] => [
      `dose ${id}`,
      TRADE.doseShare[CASES.find(({ inflatorId }) => inflatorId === id)!.kind],
    ]),
  ]);
  const found = new Map<string, { sd: number; low: number; high: number; readings: number }>([
    ...WAYS.map((way): [string, { sd: number; low: number; high: number; readings: number }] => {
      const { sdMm, lowMm, highMm, readings } = learned.ways[way];
      return [`way ${way}`, { sd: sdMm, low: lowMm, high: highMm, readings }];
    }),
    ['height', learned.height],
    ['balloon', learned.balloon],
    ...[...learned.doses].map(([id, each]): [string, typeof each] => [`dose ${id}`, each]),
  ]);
  const keys = [...assumed.keys()];
  const at = keys.map((key) => Math.log(found.get(key)!.sd ** 2));
  const volumes = CASES.map((each, i) => volumesTold(each, calibrations[i]!.shape));
  const told = [...volumes, ...CASES.map((each, i) => aspectsTold(each, calibrations[i]!.shape))].filter(
    (each): each is Told => each !== null && each.seen.rows > (each.line?.columns ?? 0),
  );
  const turns = new Map(told.map((each) => [each, contrasts(each)]));
  /** A matrix over the readings, with all of their line turned away. */
  const turned = (each: Told, matrix: Matrix) => {
    const rows = turns.get(each)!;
    return rows.mmul(matrix).mmul(rows.transpose());
  };

  const covarianceOf = ({ fixed, parts }: Told, logs: readonly number[]) => {
    const sum = fixed.clone();
    for (const [key, unit] of parts) sum.add(Matrix.mul(unit, Math.exp(logs[keys.indexOf(key)]!)));
    return sum;
  };
  /** Twice the logarithm of the restricted likelihood and the prior. */
  const likelihood = (logs: readonly number[]) => {
    let sum = 0;
    for (const each of told) {
      const left = turns.get(each)!.mmul(each.seen);
      const spread = turned(each, covarianceOf(each, logs));
      const squares = left.transpose().mmul(inverse(spread)).mmul(left).get(0, 0);
      sum -= each.worth * (Math.log(determinant(spread)) + squares);
    }
    keys.forEach((key, i) => (sum -= PRIOR * (logs[i]! + assumed.get(key)! ** 2 / Math.exp(logs[i]!))));
    return sum;
  };
  /** Fisher's information on the logarithms, the prior's with it. */
  const information = Matrix.diag(
    keys.map((key, i) => (PRIOR / 2) * Math.max(1, assumed.get(key)! ** 2 / Math.exp(at[i]!))),
  );
  for (const each of told) {
    const sure = inverse(turned(each, covarianceOf(each, at)));
    const effects = [...each.parts].map(([key, unit]) => {
      const i = keys.indexOf(key);
      return { i, effect: sure.mmul(turned(each, Matrix.mul(unit, Math.exp(at[i]!)))) };
    });
    for (const one of effects)
      for (const other of effects) {
        const trace = Matrix.mul(one.effect, other.effect.transpose()).sum();
        information.set(one.i, other.i, information.get(one.i, other.i) + (each.worth / 2) * trace);
      }
  }
  const unsure = inverse(information);
  return { learned, found, assumed, keys, at, volumes, likelihood, unsure };
}

describe('what is learned of errors, against restricted likelihood by its definition', () => {
  it('lies where it is highest: a step of Newton’s leads nowhere, and no part’s change is likelier', () => {
    const { keys, at, likelihood, unsure } = learnedAndLikely();
    const best = likelihood(at);
    const step = 1e-3;
    const moved = (i: number, by: number) => likelihood(at.map((log, k) => (k === i ? log + by : log)));
    const slope = keys.map((_, i) => (moved(i, step) - moved(i, -step)) / (4 * step));
    const newton = unsure.mmul(Matrix.columnVector(slope)).to1DArray();
    newton.forEach((by, i) =>
      expect({ part: keys[i], near: Math.abs(by) < 2e-3 }).toEqual({ part: keys[i], near: true }),
    );
    keys.forEach((_, i) => {
      expect(moved(i, 0.1)).toBeLessThan(best);
      expect(moved(i, -0.1)).toBeLessThan(best);
    });
  });

  it('has moved from what was assumed, each way of measuring by its own readings', () => {
    const { found, assumed } = learnedAndLikely();
    for (const key of ['way tape', 'way hole', 'height', 'dose electric'])
      expect({ key, moved: Math.abs(found.get(key)!.sd / assumed.get(key)! - 1) > 0.01 }).toEqual({ key, moved: true });
    expect(found.get('way bracket')).toMatchObject({ sd: TRADE.measureSdMm.bracket, readings: 0 });
    expect(found.get('dose fourth pump')).toMatchObject({ sd: TRADE.doseShare.hand, readings: 0 });
    expect(found.get('way caliper')!.readings).toBe(2);
    expect(found.get('way hole')!.readings).toBe(2);
    expect(found.get('height')!.readings).toBe(12);
    expect(found.get('dose electric')!.readings).toBe(MOST_READINGS);
  });

  it('is as sure as the information says, by the chi-square law', () => {
    const { found, keys, unsure } = learnedAndLikely();
    keys.forEach((key, i) => {
      const { sd, low, high } = found.get(key)!;
      const freedom = 2 / unsure.get(i, i);
      expect(low / (sd * Math.sqrt(freedom / jstat.chisquare.inv(0.975, freedom)))).toBeCloseTo(1, 2);
      expect(high / (sd * Math.sqrt(freedom / jstat.chisquare.inv(0.025, freedom)))).toBeCloseTo(1, 2);
    });
  });

  /** Satterthwaite: two over the squared relative deviation of the variance that the parts make together. */
  it('is worth as many readings as the sum of its parts is sure', () => {
    const { learned, keys, at, volumes, unsure } = learnedAndLikely();
    for (const inflatorId of learned.worths.keys()) {
      const own = volumes.filter((each, i) => each && CASES[i]!.inflatorId === inflatorId) as Told[];
      const readings = own.reduce((sum, { seen }) => sum + seen.rows, 0);
      const shares = keys.map((key, i) =>
        own.reduce((sum, { seen, parts }) => {
          const whole = [...parts].reduce((all, [k, unit]) => all + Math.exp(at[keys.indexOf(k)]!) * unit.trace(), 0);
          const part = parts.get(key)?.trace() ?? 0;
          return sum + (seen.rows * Math.exp(at[i]!) * part) / whole / readings;
        }, 0),
      );
      const column = Matrix.columnVector(shares);
      const degrees = 2 / column.transpose().mmul(unsure).mmul(column).get(0, 0);
      const worth = readings === 0 ? PRIOR : Math.min(PRIOR + readings, Math.max(PRIOR, degrees));
      expect(learned.worths.get(inflatorId)! / worth).toBeCloseTo(1, 2);
    }
    expect(learned.worths.get('fourth pump')).toBe(PRIOR);
    expect(learned.worths.get('third pump')).toBeLessThanOrEqual(PRIOR + 2);
  });
});
