import type { Observation } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { designRow, type CurveTerm } from './doseCurve';
import { widthSdOf, widthSeenMm, type Reading } from './reading';
import type { ReadingErrors } from './readingErrors';
import { volumeAtL, volumeSlopeL, type ShapeLaw } from './shapeLaw';

/**
 * What a unit of each error is worth in the volume of one reading, litres: of a millimetre of width and of height, of
 * the whole width, and what is fixed beforehand.
 */
interface ErrorWeights {
  perWidthMm: number;
  perHeightMm: number;
  perShare: number;
  /** Variance that nothing is learned of, litre^2: rounding to marks, or an uncertainty that the reading names. */
  fixedVariance: number;
}

/** A reading as the dose law takes it: a volume, what its errors are worth, and which balloon it was of. */
export interface Point {
  index: number;
  reading: Reading;
  balloon: number;
  row: number[];
  widthMm: number;
  volumeL: number;
  /** Where two holes gave the width: the volumes it lies between. */
  bounds: { low: number; high: number } | null;
  weights: ErrorWeights;
}

/** Points of all readings with a width that did not burst. */
export function pointsOf({
  readings,
  balloons,
  terms,
  shape,
  nominalMm,
  marksMm,
}: {
  readings: readonly Reading[];
  balloons: readonly number[];
  terms: readonly CurveTerm[];
  shape: ShapeLaw;
  nominalMm: number;
  marksMm: number;
}): Point[] {
  const points: Point[] = [];
  readings.forEach((reading, index) => {
    const widthMm = widthSeenMm(reading);
    if (reading.outcome === 'burst' || widthMm === undefined) return;
    const { dose, nozzle } = reading;
    const row = designRow(terms, { dose, nozzle, widthMm, nominalMm });
    const fixed = reading.sdMm ?? (reading.widthMm === undefined ? 0 : marksMm / Math.sqrt(12));
    points.push({
      index,
      reading,
      balloon: balloons[index]!,
      row,
      widthMm,
      ...volumeSeen(reading, widthMm, shape, fixed),
    });
  });
  return points;
}

function volumeSeen(
  reading: Reading,
  widthMm: number,
  law: ShapeLaw,
  fixedMm: number,
): Pick<Point, 'volumeL' | 'bounds' | 'weights'> {
  const { bracket, heightMm } = reading;
  const at = (mm: number) => volumeAtL({ law, widthMm: mm });
  const bounds =
    reading.widthMm === undefined && bracket ? { low: at(bracket.stopsMm), high: at(bracket.passesMm) } : null;
  if (bounds || heightMm === undefined) {
    const perWidthMm = volumeSlopeL({ law, widthMm });
    const fixedVariance = (perWidthMm * fixedMm) ** 2;
    const weights = { perWidthMm, perHeightMm: 0, perShare: widthMm * perWidthMm, fixedVariance };
    return { volumeL: at(widthMm), bounds, weights };
  }
  const volumeL = ((Math.PI / 6) * widthMm * widthMm * heightMm) / 1e6;
  const perWidthMm = (2 * volumeL) / widthMm;
  const fixedVariance = (perWidthMm * fixedMm) ** 2;
  const weights = { perWidthMm, perHeightMm: volumeL / heightMm, perShare: 3 * volumeL, fixedVariance };
  return { volumeL, bounds, weights };
}

/** Variance (litre^2) that one reading's measuring adds. */
export function measuringVariance({ reading, weights }: Point, errors: ReadingErrors, trade: Trade = TRADE): number {
  const { perWidthMm, perHeightMm, fixedVariance } = weights;
  const widthMm = reading.sdMm === undefined ? widthSdOf(reading, errors.ways) : 0;
  return (perWidthMm * widthMm) ** 2 + (perHeightMm * errors.heightMm) ** 2 + fixedVariance;
}

/** Covariance (litre^2) that two readings of one balloon share: what balloons differ by, and the strokes both had. */
export function sharedCovariance(a: Point, b: Point, errors: ReadingErrors, doseVolumeL: number): number {
  const strokes = Math.min(a.reading.dose, b.reading.dose) * (errors.doseShare * doseVolumeL) ** 2;
  return a.weights.perShare * b.weights.perShare * errors.balloonShare ** 2 + strokes;
}

function sharedOf(points: readonly Point[], errors: ReadingErrors, doseVolumeL: number): number[][] {
  const shared: number[][] = points.map(() => new Array<number>(points.length));
  for (let i = 0; i < points.length; i += 1) {
    for (let j = 0; j <= i; j += 1) {
      const value = sharedCovariance(points[i]!, points[j]!, errors, doseVolumeL);
      shared[i]![j] = value;
      shared[j]![i] = value;
    }
  }
  return shared;
}

/** Points as observations of a linear law, those of one balloon in one group. */
export function observationsOf(
  points: readonly Point[],
  errors: ReadingErrors,
  doseVolumeL: number,
  trade: Trade = TRADE,
): { observations: Observation[]; groups: { members: number[]; shared: number[][] }[] } {
  const byBalloon = new Map<number, number[]>();
  points.forEach(({ balloon }, i) => {
    const members = byBalloon.get(balloon);
    if (members) members.push(i);
    else byBalloon.set(balloon, [i]);
  });
  return {
    observations: points.map((point) => ({
      row: point.row,
      seen: point.bounds ?? point.volumeL,
      variance: measuringVariance(point, errors, trade),
    })),
    groups: [...byBalloon.values()].map((members) => ({
      members,
      shared: sharedOf(
        members.map((i) => points[i]!),
        errors,
        doseVolumeL,
      ),
    })),
  };
}
