import { leastSquares } from '../statistics';
import { MOST_DOSE } from '../inflator';
import { ok, problem, type Problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import type { ModellingSize } from './code';

const MM3_PER_LITRE = 1e6;

/**
 * Air in a tube `widthMm` across and `lengthMm` long, litres: a cylinder with half a sphere at each end, within its
 * length.
 */
export function tubeVolumeL({ widthMm, lengthMm }: { widthMm: number; lengthMm: number }): number {
  const radius = widthMm / 2;
  const straight = Math.max(0, lengthMm - widthMm);
  return (Math.PI * radius * radius * straight + (4 / 3) * Math.PI * radius ** 3) / MM3_PER_LITRE;
}

/** What was seen after one dose: how long the inflated part was. */
export interface LengthReading {
  dose: number;
  lengthMm: number;
}

/** How length follows from dose. */
export interface LengthLaw {
  /** Length that one stroke or second adds, mm. */
  perDoseMm: number;
  /** Length at no dose, mm; below 0 where the start is lost. */
  atNoneMm: number;
  /** Standard deviation of one length about the line, mm; `null` with fewer than three readings. */
  sdMm: number | null;
  readings: number;
}

export type LengthReadingProblemCode = 'bad-reading' | 'longer-than-full';
export type LengthProblemCode = LengthReadingProblemCode | 'no-readings' | 'not-rising' | 'no-volume';

/**
 * Fits length against dose: a modelling balloon keeps its width while a bubble of air grows along it, so length grows
 * evenly with the dose. One reading gives a line from nothing; more a straight line by least squares.
 *
 * Problems: `no-readings`; `bad-reading` (field `readings.<i>.<dose|lengthMm>`, a length above the full one
 * included); `not-rising`.
 */
export function fitLength({
  size,
  readings,
}: {
  size: ModellingSize;
  readings: readonly LengthReading[];
}): Result<LengthLaw, LengthProblemCode> {
  if (readings.length === 0) return problem('no-readings', { field: 'readings' });
  for (const [i, reading] of readings.entries()) {
    const bad = lengthReadingProblem({ size, reading, path: `readings.${i}.` });
    if (bad) return { ok: false, problem: bad };
  }
  if (new Set(readings.map(({ dose }) => dose)).size < 2) {
    const perDoseMm = mean(readings.map(({ dose, lengthMm }) => lengthMm / dose));
    return ok({ perDoseMm, atNoneMm: 0, sdMm: null, readings: readings.length });
  }
  const line = leastSquares({
    rows: readings.map(({ dose }) => [1, dose]),
    observed: readings.map(({ lengthMm }) => lengthMm),
  });
  const [atNoneMm = 0, perDoseMm = 0] = line?.coefficients ?? [];
  if (!line || !(perDoseMm > 0)) return problem('not-rising', { field: 'readings' });
  const { chiSquare, degreesOfFreedom } = line;
  const sdMm = degreesOfFreedom > 0 ? Math.sqrt(chiSquare / degreesOfFreedom) : null;
  return ok({ perDoseMm, atNoneMm, sdMm, readings: readings.length });
}

/** The first thing about a reading that cannot be, with its field under `path`; `null` when it can be used. */
export function lengthReadingProblem({
  size,
  reading: { dose, lengthMm },
  path = '',
}: {
  size: Pick<ModellingSize, 'lengthMm'>;
  reading: LengthReading;
  path?: string;
}): Problem<LengthReadingProblemCode> | null {
  if (!(dose > 0 && dose <= MOST_DOSE)) return problem('bad-reading', { field: `${path}dose` }).problem;
  const mostMm = LONGEST_SHARE * size.lengthMm;
  if (lengthMm > 0 && lengthMm <= mostMm) return null;
  return problem('longer-than-full', { field: `${path}lengthMm`, detail: { mostMm } }).problem;
}

/** A tube stretches a little past the length of its code before it bursts (from memory). */
const LONGEST_SHARE = 1.15;

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/**
 * The law of a balloon nobody has read, from the litres one stroke or second moves.
 *
 * Problem: `no-volume` (not above 0).
 */
export function estimateLength({
  size,
  doseVolumeL,
}: {
  size: ModellingSize;
  doseVolumeL: number;
}): Result<LengthLaw, LengthProblemCode> {
  if (!(doseVolumeL > 0)) return problem('no-volume', { field: 'doseVolumeL' });
  const area = Math.PI * (size.widthMm / 2) ** 2;
  return ok({ perDoseMm: (doseVolumeL * MM3_PER_LITRE) / area, atNoneMm: 0, sdMm: null, readings: 0 });
}

/** The dose for a length by a law, not rounded; never below 0. */
export function doseForLength({ law, lengthMm }: { law: LengthLaw; lengthMm: number }): number {
  return Math.max(0, (lengthMm - law.atNoneMm) / law.perDoseMm);
}

/** How long to fill for a number of twists. */
export interface TailPlan {
  /** Of tail for each twist, mm. */
  eachMm: number;
  /** Empty end to leave, mm. */
  tailMm: number;
  /** Length to fill to after letting a little out, mm. */
  fillMm: number;
  /** Filled first, before that little is let out ("burped"), mm. */
  firstMm: number;
}

export type TailProblemCode = 'bad-twists' | 'too-many-twists';

/**
 * The empty tail to leave: each twist pushes air on, and takes `TRADE.twistTail` widths of tail (common practice:
 * about an inch for the one twist of a loop leaf on a 260). Fill, let a little out so that it bends
 * (`TRADE.burpShare`), tie.
 *
 * Problems: `bad-twists` (not a whole number from 0); `too-many-twists`, with the most this balloon bears.
 */
export function tailFor({
  size,
  twists,
  trade = TRADE,
}: {
  size: ModellingSize;
  twists: number;
  trade?: Trade | undefined;
}): Result<TailPlan, TailProblemCode> {
  if (!(Number.isInteger(twists) && twists >= 0)) return problem('bad-twists', { field: 'twists' });
  const each = trade.twistTail * size.widthMm;
  // Half the balloon must stay for what is twisted.
  const most = Math.floor(size.lengthMm / 2 / each);
  if (twists > most) return problem('too-many-twists', { field: 'twists', detail: { most } });
  const tailMm = twists * each;
  const fillMm = size.lengthMm - tailMm;
  return ok({ eachMm: each, tailMm, fillMm, firstMm: Math.min(size.lengthMm, fillMm * (1 + trade.burpShare)) });
}
