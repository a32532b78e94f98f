import { ok, problem, type Result } from '../result';
import { logGamma } from '../statistics';

/** How closely to look: the standard's general inspection levels. */
export const INSPECTION_LEVELS = ['I', 'II', 'III'] as const;
export type InspectionLevel = (typeof INSPECTION_LEVELS)[number];

/** Acceptable quality limits for which there is a plan here, as shares of a lot that may be off. */
export const QUALITY_LIMITS = [0.01, 0.015, 0.025, 0.04, 0.065, 0.1] as const;
export type QualityLimit = (typeof QUALITY_LIMITS)[number];

/** How many of a lot to check, and how many of those may be off. */
export interface SamplingPlan {
  /** The standard's code letter for the lot before arrows are followed. */
  letter: string;
  sampleSize: number;
  /** Accept the lot up to this many off... */
  acceptMost: number;
  /** ...and size them all again from this many. */
  rejectFrom: number;
  /** The sample would be the whole lot: every balloon is checked. */
  all: boolean;
}

const LETTERS = 'ABCDEFGHJKLMNPQR';
const SAMPLE_SIZES = [2, 3, 5, 8, 13, 20, 32, 50, 80, 125, 200, 315, 500, 800, 1250, 2000];
/** Largest lot of each row, and its letters for levels I, II, III. */
const ROWS: readonly [number, string][] = [
  [8, 'AAB'],
  [15, 'ABC'],
  [25, 'BCD'],
  [50, 'CDE'],
  [90, 'CEF'],
  [150, 'DFG'],
  [280, 'EGH'],
  [500, 'FHJ'],
  [1200, 'GJK'],
  [3200, 'HKL'],
  [10000, 'JLM'],
  [35000, 'KMN'],
  [150000, 'LNP'],
  [500000, 'MPQ'],
  [Infinity, 'NQR'],
];
/**
 * Acceptance numbers down one column of the table, from the row where 0 stands; the two gaps hold the arrows up and
 * down.
 */
const ACCEPT = [0, null, null, 1, 2, 3, 5, 7, 10, 14, 21];
/** Row of the 0 in the column of each limit. */
const ZERO_ROW: Record<QualityLimit, number> = { 0.01: 4, 0.015: 3, 0.025: 2, 0.04: 1, 0.065: 0, 0.1: -1 };

/**
 * The single sampling plan of normal inspection for a lot.
 *
 * Source: MIL-STD-105E (1989), tables I and II-A (the same plans stand in ISO 2859-1 and ANSI/ASQ Z1.4). The table's
 * columns are one sequence of acceptance numbers shifted by a row a step, which is how it is kept here.
 *
 * Problems: `bad-lot` (a lot of fewer than two).
 */
export function samplingPlan({
  lotSize,
  limit = 0.04,
  level = 'I',
}: {
  lotSize: number;
  limit?: QualityLimit;
  level?: InspectionLevel;
}): Result<SamplingPlan, 'bad-lot'> {
  if (!(Number.isInteger(lotSize) && lotSize >= 2)) return problem('bad-lot', { field: 'lotSize' });
  const [, letters] = ROWS.find(([most]) => lotSize <= most)!;
  const letter = letters[INSPECTION_LEVELS.indexOf(level)]!;
  const { row, acceptMost } = followArrows(LETTERS.indexOf(letter), limit);
  const sampleSize = SAMPLE_SIZES[row]!;
  const all = sampleSize >= lotSize;
  return ok({
    letter,
    sampleSize: all ? lotSize : sampleSize,
    acceptMost,
    rejectFrom: acceptMost + 1,
    all,
  });
}

/**
 * The row whose plan holds: the table's arrows lead up to the 0, down to the 1, or up to the last number of the
 * column.
 */
function followArrows(row: number, limit: QualityLimit): { row: number; acceptMost: number } {
  const zero = ZERO_ROW[limit];
  let offset = row - zero;
  if (offset < 0) offset = 0;
  if (offset === 1) offset = 0;
  if (offset === 2) offset = 3;
  if (zero < 0 && offset < 3) offset = 3;
  offset = Math.min(offset, ACCEPT.length - 1);
  return { row: zero + offset, acceptMost: ACCEPT[offset]! };
}

/**
 * The probability that a plan accepts a lot of which `shareOff` is off: at most `acceptMost` off among the sample,
 * drawn from a large lot (binomial).
 *
 * Source: operating characteristic, MIL-STD-105E, tables X.
 */
export function acceptedShare({
  plan: { sampleSize, acceptMost },
  shareOff,
}: {
  plan: Pick<SamplingPlan, 'sampleSize' | 'acceptMost'>;
  shareOff: number;
}): number {
  if (shareOff <= 0) return 1;
  if (shareOff >= 1) return acceptMost >= sampleSize ? 1 : 0;
  let sum = 0;
  for (let k = 0; k <= Math.min(acceptMost, sampleSize); k += 1) {
    const ways = logGamma(sampleSize + 1) - logGamma(k + 1) - logGamma(sampleSize - k + 1);
    sum += Math.exp(ways + k * Math.log(shareOff) + (sampleSize - k) * Math.log1p(-shareOff));
  }
  return Math.min(1, sum);
}
