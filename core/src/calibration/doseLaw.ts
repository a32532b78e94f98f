import type { Inflator } from '../inflator';
import { generalLeastSquares, least, most, type GeneralFit, type PriorRow } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { designRow, type CurveTerm, type DoseCurve } from './doseCurve';
import { fitShapeLaw, joinLimits } from './fitShapeLaw';
import { priorOf, type KnownBefore } from './knownBefore';
import { carriedOn, growthAt, grownLaw, grownSd, limitsBefore } from './lengthening';
import { observationsOf, pointsOf, type Point } from './point';
import type { Reading } from './reading';
import type { ReadingErrors } from './readingErrors';
import { widthAtVolumeMm, type ShapeLaw } from './shapeLaw';

/** What a fit is made in. */
export interface Frame {
  trade: Trade;
  nominalMm: number;
  readings: readonly Reading[];
  pump: Inflator;
  errors: ReadingErrors;
  known: KnownBefore;
  balloons: readonly number[];
  marksMm: number;
}

/** A dose law with its shape, and the points it rests on. */
export interface Law {
  points: readonly Point[];
  shape: ShapeLaw;
  fit: GeneralFit;
  curve: Omit<DoseCurve, 'lowestDose' | 'highestDose'>;
}

/**
 * The laws of dose and shape through the readings of a frame but those set aside: `no-widths` when none is left,
 * `not-rising` when more air seems to make the balloon smaller.
 */
export function fitLaw(frame: Frame, without: ReadonlySet<number>): Law | 'no-widths' | 'not-rising' {
  const { nominalMm, pump, errors, known, marksMm } = frame;
  const kept = frame.readings.flatMap((reading, i) => (without.has(i) || reading.outcome === 'burst' ? [] : [reading]));
  const seen = fitShapeLaw({ readings: kept, errors, answers: known.answers, trade: frame.trade });
  const measured = kept.some(({ heightMm, widthMm }) => heightMm !== undefined && widthMm !== undefined);
  const base = measured
    ? carriedOn({ law: seen, nominalMm, growth: known.growth, trade: frame.trade })
    : expectedShape(seen, known.shape);
  // Only where both nozzles were read can they be told apart; one alone speaks for the inflator.
  const bothNozzles = new Set(kept.map(({ nozzle }) => nozzle).filter(Boolean)).size === 2;
  const terms: CurveTerm[] = ['dead', 'dose'];
  if (bothNozzles) terms.push('nozzle');
  if (!measured) terms.push('growth');
  const all = pointsOf({ readings: frame.readings, balloons: frame.balloons, terms, shape: base, nominalMm, marksMm });
  const points = all.filter(({ index }) => !without.has(index));
  if (points.length === 0) return 'no-widths';

  const fit = fitDoses({
    points,
    terms,
    base,
    nominalMm,
    errors,
    prior: priorOf({ ...frame, terms, readings: kept, base }),
    trade: frame.trade,
  });
  if (!fit || falls(points, errors, fit, frame.trade)) return 'not-rising';
  const of = (term: CurveTerm) => fit.coefficients[terms.indexOf(term)] ?? 0;
  if (!(of('dose') > Math.abs(of('nozzle')))) return 'not-rising';
  const law = measured ? base : grownBy(base, fit, terms.indexOf('growth'), frame);
  const shape = known.shape?.expected ? joinLimits({ law, expected: known.shape.expected }) : law;
  return {
    points,
    shape,
    fit,
    curve: {
      nominalMm,
      inflator: pump.kind,
      deadVolumeL: of('dead'),
      doseVolumeL: of('dose'),
      nozzleVolumeL: of('nozzle'),
      terms,
      covariance: fit.covariance,
      degreesOfFreedom: fit.degreesOfFreedom + errors.worth,
      varianceRatio: fit.varianceRatio,
      errors,
      marksMm,
      shape,
    },
  };
}

/** The law of a balloon that nobody measured, with its limits where it was seen past them alone. */
function grownBy(base: ShapeLaw, fit: GeneralFit, at: number, { nominalMm, trade }: Frame): ShapeLaw {
  const growth = fit.coefficients[at]!;
  const law = grownLaw({ base, growth, nominalMm, sd: grownSd(growth, trade) });
  const growthSd = Math.sqrt(fit.covariance[at]![at]!);
  const unsure = law.knots.map((knot) => ({
    ...knot,
    sd: Math.hypot(knot.sd, growthSd * growthAt(knot.widthMm / nominalMm)),
  }));
  return { ...law, ...limitsBefore(law, unsure, trade) };
}

/** Round or as the line's other sizes are, before its own growth; the round limit is what its own answers show. */
function expectedShape(seen: ShapeLaw, known: ShapeLaw | undefined): ShapeLaw {
  return { ...seen, knots: known?.seen ? known.knots : [] };
}

const MOST_ROUNDS = 6;
const SETTLED_SHARE = 1e-4;
/** What may be lost goes with the stroke, taken no smaller than this share of the first idea of it. */
const LEAST_OF_FIRST = 0.5;

/**
 * The dose law through the points, in rounds: what strokes err by and lose goes with their volume, and what growth
 * adds with the width that the law itself expects at a dose. (Taken at the width measured, growth would explain away
 * whatever was measured too wide.)
 */
function fitDoses({
  points,
  terms,
  base,
  nominalMm,
  errors,
  prior,
  trade,
}: {
  points: readonly Point[];
  terms: readonly CurveTerm[];
  base: ShapeLaw;
  nominalMm: number;
  errors: ReadingErrors;
  prior: (strokeL: number) => PriorRow[];
  trade: Trade;
}): GeneralFit | null {
  const firstL = strokeAtFirst(points);
  let strokeL = firstL;
  let fit: GeneralFit | null = null;
  const once = (rough: boolean): GeneralFit | null => {
    if (fit && terms.includes('growth')) {
      const growth = fit.coefficients[terms.indexOf('growth')]!;
      const shape = grownLaw({ base, growth, nominalMm, sd: 0 });
      for (const point of points) point.row = rowExpected(point, terms, fit.coefficients, shape, nominalMm);
    }
    const { observations, groups } = observationsOf(points, errors, strokeL, trade);
    return generalLeastSquares({
      observations,
      groups,
      // Flat readings would shrink the stroke, and with it what may be lost, to nothing.
      prior: prior(Math.max(strokeL, LEAST_OF_FIRST * firstL)),
      priorWorth: errors.worth,
      rough,
      start: fit?.coefficients,
    });
  };
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    fit = once(true);
    if (!fit) return null;
    const next = fit.coefficients[1]!;
    const moved = Math.abs(next / strokeL - 1);
    strokeL = next;
    if (moved < SETTLED_SHARE) break;
  }
  return once(false);
}

/** The row of a point with its growth at the width that a law (dead volume, dose volume, ...) expects there. */
function rowExpected(
  { reading: { dose, nozzle }, widthMm }: Point,
  terms: readonly CurveTerm[],
  [dead, perDose]: readonly number[],
  shape: ShapeLaw,
  nominalMm: number,
): number[] {
  const volumeL = dead! + perDose! * dose;
  const expectedMm = volumeL > 0 ? widthAtVolumeMm({ law: shape, volumeL }) : widthMm;
  return designRow(terms, { dose, nozzle, widthMm: expectedMm, nominalMm });
}

/** A first idea of the stroke: as if nothing were lost. */
function strokeAtFirst(points: readonly Point[]): number {
  const strokes = points.map(({ volumeL, reading }) => volumeL / reading.dose).sort((a, b) => a - b);
  return strokes[Math.floor(strokes.length / 2)]!;
}

/**
 * Whether the readings alone say that more air makes it smaller, through either nozzle: whatever is known beforehand,
 * something is wrong.
 */
function falls(points: readonly Point[], errors: ReadingErrors, { coefficients }: GeneralFit, trade: Trade): boolean {
  const strokeL = Math.max(0, coefficients[1]!);
  const ways = new Set(points.map(({ reading }) => reading.nozzle));
  const apart =
    ways.size > 1 ? [...ways].map((way) => points.filter(({ reading }) => reading.nozzle === way)) : [points];
  return apart.some((some) => {
    // Where widths rise by and large they cannot surely fall.
    if (rises(some)) return false;
    const slope = slopeAlone(some, errors, strokeL, trade);
    return slope !== null && slope.perDoseL + FALLS_DEVIATIONS * slope.sdL < 0;
  });
}

/** Whether more air by and large makes wider: the sign of the plain line's slope. */
function rises(points: readonly Point[]): boolean {
  const middle = points.reduce((sum, { reading }) => sum + reading.dose, 0) / points.length;
  return points.reduce((sum, { reading, volumeL }) => sum + (reading.dose - middle) * volumeL, 0) > 0;
}

/** How surely widths must fall to be refused. */
const FALLS_DEVIATIONS = 2;

/** The slope of readings by themselves, litres a dose, with its deviation; `null` when they do not tell. */
export function slopeAlone(
  points: readonly Point[],
  errors: ReadingErrors,
  strokeL: number,
  trade: Trade = TRADE,
): { perDoseL: number; sdL: number } | null {
  const doses = points.map(({ reading }) => reading.dose);
  if (least(doses) === most(doses)) return null;
  const { observations, groups } = observationsOf(points, errors, strokeL, trade);
  const rows = observations.map((one) => ({ ...one, row: one.row.slice(0, 2) }));
  const fit = generalLeastSquares({ observations: rows, groups, priorWorth: errors.worth, rough: true });
  return fit && { perDoseL: fit.coefficients[1]!, sdL: Math.sqrt(fit.covariance[1]![1]!) };
}
