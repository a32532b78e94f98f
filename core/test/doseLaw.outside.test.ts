import { inverse, Matrix } from 'ml-matrix';

import {
  aspectAt,
  assumedErrors,
  balloonsOf,
  carriedOn,
  fitCalibration,
  fitShapeLaw,
  grownLaw,
  growthAt,
  TRADE,
  widthAtVolumeMm,
  type CalibrationFit,
  type Inflator,
  type InflatorKnowledge,
  type Reading,
  type Shape,
  type ShapeLaw,
} from '../src';
import { inch, problemOf, value } from './results';
import { volumeTold } from './volumeTold';

/*
 * A fit of doses must stand where generalised least squares with a prior stand, by the definition of both: the normal
 * equations with the whole covariance of the readings (Rao, Linear Statistical Inference, 4a.2), rows of what is known
 * (Theil and Goldberger, International Economic Review 2 (1961)), their Student worths at the answer itself (Lange,
 * Little and Taylor, JASA 84 (1989); none counts for more than it says), solved by a reference library of matrices.
 */

const NOMINAL_MM = inch(11);
const STUDENT_FREEDOM = 4;
const SPHERE: ShapeLaw = { knots: [], seen: false, roundLimit: { kind: 'no-shapes-seen' } };

type Term = 'dead' | 'dose' | 'nozzle' | 'growth';

interface Known {
  inflator?: InflatorKnowledge | null;
  shape?: ShapeLaw;
  growth?: { mean: number; sd: number };
  answers?: { round: number; oval: number; pear: number };
}

interface Case {
  readings: Reading[];
  pump?: Inflator;
  known?: Known;
  terms: Term[];
  /** The law before its own growth. */
  base: ShapeLaw;
  /** What is known of one term, beside what is lost. */
  prior: { term: Term; value: number; sd: number; student?: boolean }[];
  lost: { mean: number; sd: number };
  /** Answers as what they say of the growth. */
  told?: { growth: number; value: number }[];
}

/** Widths off a plain law by a wobble of their own. */
const read = (doses: readonly number[], more: (i: number) => Partial<Reading> = () => ({}), strokeL = 0.5): Reading[] =>
  doses.map((dose, i) => ({
    dose,
    widthMm: Math.cbrt((6e6 * strokeL * (dose - 0.2)) / Math.PI) * (1 - 0.002 * dose) + 2 * Math.sin(5 * i + 1),
    outcome: 'ok',
    ...more(i),
  }));

const LINE: ShapeLaw = {
  knots: [
    { widthMm: 180, aspect: 1.01, sd: 0.02 },
    { widthMm: 240, aspect: 1.05, sd: 0.02 },
    { widthMm: 280, aspect: 1.12, sd: 0.03 },
  ],
  seen: true,
  roundLimit: { kind: 'shown', widthMm: 230, sdMm: 5 },
};
const KNOWN_PUMP: InflatorKnowledge = {
  kind: 'hand',
  doseVolumeL: 0.47,
  doseSdL: 0.02,
  lostDoses: 0.3,
  lostSd: 0.25,
  calibrations: 3,
};
const usualGrowth = TRADE.aspectGrowth;
const firstDoseSd = TRADE.firstDoseSd;
const answers = { round: 1.01, oval: 1.09, pear: 1.25 };
const shape = (i: number) => (['round', 'round', 'oval', 'oval', 'pear'] as const)[i];

const tall = read([4, 7, 10, 13, 16], (i) => ({ heightMm: 150 + 32 * i }));
const someTall = read([4, 7, 10, 13, 16], (i) => (i % 2 ? { heightMm: 150 + 32 * i } : {}));
const ORDERED = ['round', 'round', 'round', 'round', 'oval', 'oval', 'oval', 'pear', 'pear'] as const;
const answered = read([3, 4, 6, 8, 10, 12, 14, 15, 16], (i) => ({ shape: ORDERED[i]! }));
/** What answers tell of the growth of a sphere. */
const toldBy = (readings: readonly Reading[], stand: Readonly<Record<Shape, number>>) =>
  readings.map(({ widthMm, shape: given }) => ({
    growth: growthAt(widthMm! / NOMINAL_MM),
    value: stand[given!] - 1,
  }));
const CASES: [string, Case][] = [
  [
    'heights, one balloon filled on, nothing known of the pump',
    {
      readings: tall,
      known: { inflator: null },
      terms: ['dead', 'dose'],
      base: carriedOn({ law: fitShapeLaw({ readings: tall, errors: assumedErrors('hand') }), nominalMm: NOMINAL_MM }),
      prior: [],
      lost: { mean: 0, sd: firstDoseSd.hand },
    },
  ],
  [
    'heights of some, which tell the shape of all',
    {
      readings: someTall,
      known: { inflator: null },
      terms: ['dead', 'dose'],
      base: carriedOn({
        law: fitShapeLaw({ readings: someTall, errors: assumedErrors('hand') }),
        nominalMm: NOMINAL_MM,
      }),
      prior: [],
      lost: { mean: 0, sd: firstDoseSd.hand },
    },
  ],
  [
    'widths of fresh balloons, the pump on record',
    {
      readings: read([3, 6, 9, 9, 14], (i) => ({ balloon: i + 1, way: i > 2 ? 'caliper' : 'tape' })),
      pump: { kind: 'hand', doseVolumeL: 0.52 },
      terms: ['dead', 'dose', 'growth'],
      base: SPHERE,
      prior: [
        { term: 'dose', value: 0.52, sd: 0.52 * TRADE.recordedStrokeShare, student: true },
        { term: 'growth', value: usualGrowth.mean, sd: usualGrowth.sd },
      ],
      lost: { mean: 0, sd: firstDoseSd.hand },
    },
  ],
  [
    'answers, two balloons, a burst that says nothing, and a pump known from others',
    {
      readings: [
        ...read([5, 8, 12, 14, 17], (i) => ({ balloon: i < 2 ? 1 : 2, shape: shape(i) })),
        { dose: 19, widthMm: 250, shape: 'pear', balloon: 3, outcome: 'burst' },
      ],
      known: { inflator: KNOWN_PUMP, growth: { mean: 0.2, sd: 0.05 }, answers },
      terms: ['dead', 'dose', 'growth'],
      base: SPHERE,
      prior: [
        { term: 'dose', value: 0.47, sd: 0.02, student: true },
        { term: 'growth', value: 0.2, sd: 0.05 },
      ],
      lost: { mean: 0.3, sd: 0.25 },
      told: toldBy(read([5, 8, 12, 14, 17], (i) => ({ shape: shape(i) })).slice(1), answers),
    },
  ],
  [
    'many answers, of which the last round, the first and last oval and the first pear tell',
    {
      readings: answered,
      known: { inflator: null },
      terms: ['dead', 'dose', 'growth'],
      base: SPHERE,
      prior: [{ term: 'growth', value: usualGrowth.mean, sd: usualGrowth.sd }],
      lost: { mean: 0, sd: firstDoseSd.hand },
      told: toldBy(
        [3, 4, 6, 7].map((i) => answered[i]!),
        TRADE.shapeAnswerAspect,
      ),
    },
  ],
  [
    'a timed inflator with two nozzles, both read',
    {
      readings: read([2, 3, 4, 5, 6, 7], (i) => ({ nozzle: i % 2 ? 'right' : 'left' }), 1.3),
      pump: { kind: 'twin' },
      terms: ['dead', 'dose', 'nozzle', 'growth'],
      base: SPHERE,
      prior: [
        { term: 'nozzle', value: 0, sd: Infinity },
        { term: 'growth', value: usualGrowth.mean, sd: usualGrowth.sd },
      ],
      lost: { mean: 0, sd: firstDoseSd.twin },
    },
  ],
  [
    'one nozzle of two, which speaks for the inflator',
    {
      readings: read([2, 3, 4, 5], () => ({ nozzle: 'left' }), 1.3),
      pump: { kind: 'twin' },
      terms: ['dead', 'dose', 'growth'],
      base: SPHERE,
      prior: [{ term: 'growth', value: usualGrowth.mean, sd: usualGrowth.sd }],
      lost: { mean: 0, sd: firstDoseSd.twin },
    },
  ],
  [
    'one nozzle of two, where some readings do not say which',
    {
      readings: read([2, 3, 4, 5, 6], (i) => (i % 2 ? { nozzle: 'left' } : {}), 1.3),
      pump: { kind: 'twin' },
      terms: ['dead', 'dose', 'growth'],
      base: SPHERE,
      prior: [{ term: 'growth', value: usualGrowth.mean, sd: usualGrowth.sd }],
      lost: { mean: 0, sd: firstDoseSd.twin },
    },
  ],
  [
    'the shape of the line’s other sizes, with answers beside it',
    {
      readings: read([5, 9, 12, 15], (i) => (i === 3 ? { shape: 'oval' } : {})),
      known: { inflator: null, shape: LINE },
      terms: ['dead', 'dose', 'growth'],
      base: LINE,
      prior: [
        {
          term: 'growth',
          value: 0,
          sd: Math.hypot(TRADE.growthBetween.sizes, aspectAt({ law: LINE, widthMm: NOMINAL_MM }).sd),
        },
      ],
      lost: { mean: 0, sd: firstDoseSd.hand },
      told: read([5, 9, 12, 15])
        .slice(3)
        .map(({ widthMm }) => ({
          growth: growthAt(widthMm! / NOMINAL_MM),
          value: TRADE.shapeAnswerAspect.oval - aspectAt({ law: LINE, widthMm: widthMm! }).aspect,
        })),
    },
  ],
];

function fitted({ readings, pump = { kind: 'hand' }, known = {} }: Case): CalibrationFit {
  return value(fitCalibration({ nominalMm: NOMINAL_MM, readings, pump, known }));
}

/** The coefficients of a fit in the order of its terms. */
function coefficientsOf({ base }: Case, fit: CalibrationFit): number[] {
  const at = (law: ShapeLaw) => aspectAt({ law, widthMm: NOMINAL_MM }).aspect;
  const of: Record<Term, number> = {
    dead: fit.deadVolumeL,
    dose: fit.doseVolumeL,
    nozzle: fit.nozzleVolumeL,
    growth: (at(fit.shape) - at(base)) / growthAt(1),
  };
  return fit.terms.map((term) => of[term]);
}

/** The answer and its covariance by the normal equations, at what a fit says of stroke, growth and variance ratio. */
function byDefinition({ readings, pump, terms, base, prior, lost, told = [] }: Case, fit: CalibrationFit) {
  const errors = assumedErrors(pump?.kind ?? 'hand');
  const coefficients = coefficientsOf({ base } as Case, fit);
  const growth = terms.includes('growth') ? coefficients[terms.indexOf('growth')]! : 0;
  const law = terms.includes('growth') ? grownLaw({ base, growth, nominalMm: NOMINAL_MM, sd: 0 }) : base;
  const balloons = balloonsOf(readings);
  const used = readings
    .map((reading, i) => ({ ...reading, balloon: balloons[i]!, widthMm: reading.widthMm! }))
    .filter(({ outcome }) => outcome !== 'burst');
  const per = used.map((reading) => volumeTold(reading, base));
  const rows = used.map(({ dose, nozzle }) =>
    terms.map((term) => {
      if (term === 'dead') return 1;
      if (term === 'dose') return dose;
      if (term === 'nozzle') return nozzle === 'left' ? dose : -dose;
      const widthMm = widthAtVolumeMm({ law, volumeL: fit.deadVolumeL + fit.doseVolumeL * dose });
      return (-Math.PI / 6) * 1e-6 * widthMm ** 3 * growthAt(widthMm / NOMINAL_MM);
    }),
  );
  const covariance = new Matrix(
    used.map((a, i) =>
      used.map((b, j) => {
        const strokes = Math.min(a.dose, b.dose) * (errors.doseShare * fit.doseVolumeL) ** 2;
        const made = per[i]!.perShare * per[j]!.perShare * errors.balloonShare ** 2;
        const shared = a.balloon === b.balloon ? made + strokes : 0;
        if (i !== j) return shared;
        const width = per[i]!.perWidthMm * errors.ways[a.way ?? 'tape'];
        const height = per[i]!.perHeightMm * errors.heightMm;
        return shared + width ** 2 + height ** 2;
      }),
    ),
  );
  const row = (values: Partial<Record<Term, number>>) => terms.map((term) => values[term] ?? 0);
  const strokeL = fit.doseVolumeL;
  const beliefs = [
    { row: row({ dead: 1, dose: lost.mean }), value: 0, sd: lost.sd * strokeL, student: true },
    ...prior.map(({ term, value: mean, sd, student = false }) => ({
      row: row({ [term]: 1 }),
      value: mean,
      sd: sd === Infinity ? TRADE.nozzleShare * strokeL : sd,
      student,
    })),
    ...told.map(({ growth: by, value: mean }) => ({
      row: row({ growth: by }),
      value: mean,
      sd: TRADE.shapeAnswerSd,
      student: false,
    })),
  ];
  const weights = beliefs.map(({ row: of, value: mean, sd, student }) => {
    const off = (of.reduce((sum, x, i) => sum + x * coefficients[i]!, 0) - mean) / sd;
    return (student ? Math.min(1, (STUDENT_FREEDOM + 1) / (STUDENT_FREEDOM + off * off)) : 1) / (sd * sd);
  });
  const sure = inverse(covariance).div(fit.varianceRatio);
  const design = new Matrix(rows);
  const believed = new Matrix(beliefs.map(({ row: of }) => of));
  const weight = Matrix.diag(weights);
  const left = Matrix.add(design.transpose().mmul(sure).mmul(design), believed.transpose().mmul(weight).mmul(believed));
  const seen = Matrix.columnVector(per.map(({ volumeL }) => volumeL));
  const right = Matrix.add(
    design.transpose().mmul(sure).mmul(seen),
    believed
      .transpose()
      .mmul(weight)
      .mmul(Matrix.columnVector(beliefs.map(({ value: mean }) => mean))),
  );
  const spread = inverse(left);
  return { coefficients: spread.mmul(right).to1DArray(), covariance: spread };
}

describe('a fit of doses, against generalised least squares by its definition', () => {
  it.each(CASES)('%s', (_, each) => {
    const fit = fitted(each);
    expect(fit.outliers).toEqual([]);
    expect(fit.terms).toEqual(each.terms);
    const told = byDefinition(each, fit);
    coefficientsOf(each, fit).forEach((found, i) => {
      const sd = Math.sqrt(told.covariance.get(i, i));
      expect(Math.abs(found - told.coefficients[i]!) / sd).toBeLessThan(0.002);
      fit.covariance[i]!.forEach((own, j) => {
        const scale = sd * Math.sqrt(told.covariance.get(j, j));
        expect(Math.abs(own - told.covariance.get(i, j)) / scale).toBeLessThan(0.01);
      });
    });
  });
});

describe('readings that fall', () => {
  const falling = (nozzle?: 'left' | 'right') => [
    { dose: 4, widthMm: 200, outcome: 'ok' as const, ...(nozzle ? { nozzle } : {}) },
    { dose: 6, widthMm: 170, outcome: 'ok' as const, ...(nozzle ? { nozzle } : {}) },
  ];
  const code = (readings: Reading[], kind: Inflator['kind'] = 'hand', known: Known = {}) => {
    const problem = problemOf(fitCalibration({ nominalMm: NOMINAL_MM, readings, pump: { kind }, known }));
    return problem === 'none' ? problem : problem.code;
  };

  it('are refused where they surely fall, whatever is known of the pump', () => {
    expect(code(falling())).toBe('not-rising');
    expect(code(falling(), 'hand', { inflator: KNOWN_PUMP })).toBe('not-rising');
  });

  it('through either nozzle, though all of them together rise', () => {
    const other = read([8, 10], () => ({ nozzle: 'right' }), 1);
    expect(code([...falling('left'), ...other], 'twin')).toBe('not-rising');
    expect(
      code(
        read([4, 6, 8, 10], (i) => ({ nozzle: i > 1 ? 'right' : 'left' }), 0.5),
        'twin',
      ),
    ).toBe('none');
  });

  it('are none where one nozzle seems to give nothing: it is taken for a weak one', () => {
    const left = read([2, 4, 6], () => ({ nozzle: 'left' }), 1);
    const right = [2, 4, 6].map((dose): Reading => ({ dose, widthMm: 160, nozzle: 'right', outcome: 'ok' }));
    const readings = [...left, ...right];
    const fit = value(fitCalibration({ nominalMm: NOMINAL_MM, readings, pump: { kind: 'twin' } }));
    const rates = [fit.doseVolumeL + fit.nozzleVolumeL, fit.doseVolumeL - fit.nozzleVolumeL];
    expect(rates[1]).toBeGreaterThan(0);
    expect(rates[1]).toBeLessThan(0.8 * rates[0]!);
  });

  it('are taken where they only seem to, within what tape and strokes err by', () => {
    const nearly: Reading[] = [
      { dose: 8, widthMm: 200.5, balloon: 1, outcome: 'ok' },
      { dose: 8.5, widthMm: 200, balloon: 2, outcome: 'ok' },
    ];
    expect(code(nearly)).toBe('none');
    expect(code([{ ...nearly[0]!, dose: 8.5 }])).toBe('none');
  });

  it('of one dose tell no slope, however far apart', () => {
    expect(
      code([200, 170, 150].map((widthMm, balloon) => ({ dose: 6, widthMm, balloon: balloon + 1, outcome: 'ok' }))),
    ).toBe('none');
  });
});
