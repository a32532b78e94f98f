import type { Shape } from '../balloon';
import type { Inflator } from '../inflator';
import type { PriorRow } from '../statistics';
import { TRADE, type Trade } from '../trade';
import type { CurveTerm } from './doseCurve';
import { growthAt, type Lengthening } from './lengthening';
import { poolInflator, type InflatorKnowledge } from './poolInflator';
import { widthSeenMm, type Reading } from './reading';
import { aspectAt, type ShapeLaw } from './shapeLaw';

/** What is known of a balloon and its inflator before its own readings. */
export interface KnownBefore {
  /** What the inflator does with other balloons; its figure on record when absent, nothing when `null`. */
  inflator?: InflatorKnowledge | null | undefined;
  /**
   * The shape that the line's other sizes, or the shelf, let expect: its law is taken where no height was measured (a
   * sphere that lengthens when it was not seen either), its limits join those seen.
   */
  shape?: ShapeLaw | undefined;
  /** How much such balloons lengthen; as usual when absent. */
  growth?: Lengthening | undefined;
  /** What answers on the shape stand for, and how far to stay under what felt hard or burst; as assumed when absent. */
  answers?: Readonly<Record<Shape, number>> | undefined;
  margins?: { hard: number; burst: number } | undefined;
}

/** How far the Student laws of what is known beforehand reach: few other calibrations stand behind them. */
const PRIOR_FREEDOM = 4;

/** What is known of the terms before the readings, by what a stroke holds about, litres. */
export function priorOf({
  pump,
  known,
  nominalMm,
  trade,
  terms,
  readings,
  base,
}: {
  pump: Inflator;
  known: KnownBefore;
  nominalMm: number;
  trade: Trade;
  terms: readonly CurveTerm[];
  /** Those that are fitted: their answers tell of growth. */
  readings: readonly Reading[];
  /** The law of the shape before growth. */
  base: ShapeLaw;
}): (strokeL: number) => PriorRow[] {
  const row = (values: Partial<Record<CurveTerm, number>>) => terms.map((term) => values[term] ?? 0);
  const inflator = knownInflator(pump, known, trade);
  const lost = inflator
    ? { mean: inflator.lostDoses, sd: inflator.lostSd }
    : { mean: 0, sd: trade.firstDoseSd[pump.kind] };
  const lostRow = row({ dead: 1, dose: lost.mean });
  const nozzleRow = terms.includes('nozzle') ? row({ nozzle: 1 }) : null;
  const rows: PriorRow[] = [];
  if (inflator) {
    const { doseVolumeL, doseSdL } = inflator;
    rows.push({ row: row({ dose: 1 }), value: doseVolumeL, sd: doseSdL, degreesOfFreedom: PRIOR_FREEDOM });
  }
  if (terms.includes('growth')) {
    const { mean, sd } =
      base.knots.length > 0 ? growthOver(base, nominalMm, trade) : (known.growth ?? trade.aspectGrowth);
    rows.push({ row: row({ growth: 1 }), value: mean, sd });
    const answers = known.answers ?? trade.shapeAnswerAspect;
    for (const { shape, widthMm } of tellingAnswers(readings)) {
      const growth = growthAt(widthMm / nominalMm);
      const value = answers[shape] - aspectAt({ law: base, widthMm }).aspect;
      rows.push({ row: row({ growth }), value, sd: trade.shapeAnswerSd });
    }
  }
  return (strokeL) => [
    { row: lostRow, value: 0, sd: lost.sd * strokeL, degreesOfFreedom: PRIOR_FREEDOM },
    ...(nozzleRow ? [{ row: nozzleRow, value: 0, sd: trade.nozzleShare * strokeL }] : []),
    ...rows,
  ];
}

interface Answer {
  shape: Shape;
  widthMm: number;
}

/**
 * The answers that bound how much a balloon lengthens: the last that was round, the first and the last that were oval,
 * the first that was a pear. Those between follow from them, and one eye gave them all: taken each on its own, eight
 * rounds would outweigh what eight rounds can tell.
 */
function tellingAnswers(readings: readonly Reading[]): Answer[] {
  const given = readings.flatMap((reading): Answer[] => {
    const { shape } = reading;
    const widthMm = widthSeenMm(reading);
    return shape === undefined || widthMm === undefined ? [] : [{ shape, widthMm }];
  });
  const sorted = given.sort((a, b) => a.widthMm - b.widthMm);
  const of = (shape: Shape) => sorted.filter((answer) => answer.shape === shape);
  const oval = of('oval');
  return [...of('round').slice(-1), ...oval.slice(0, 1), ...oval.slice(1).slice(-1), ...of('pear').slice(0, 1)];
}

/** How much a balloon may lengthen over a law of another size of its line. */
function growthOver(base: ShapeLaw, nominalMm: number, trade: Trade): Lengthening {
  return { mean: 0, sd: Math.hypot(trade.growthBetween.sizes, aspectAt({ law: base, widthMm: nominalMm }).sd) };
}

/** What is known of the inflator: as given, or by its figure on record. */
export function knownInflator(
  pump: Inflator,
  { inflator }: KnownBefore,
  trade: Trade = TRADE,
): InflatorKnowledge | null {
  return inflator === undefined ? poolInflator({ inflator: pump, fits: [], trade }) : inflator;
}
