import type { Shape } from '../balloon';
import { MOST_DOSE, type Nozzle } from '../inflator';
import { problem, type Problem } from '../result';

/** How a reading ended: as wished, hard to the touch, or with a burst. */
export const OUTCOMES = ['ok', 'hard', 'burst'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/**
 * Ways to take a width: tape around, caliper across, a hole it just passes, between two holes, against a balloon of
 * known size.
 */
export const WAYS = ['tape', 'caliper', 'hole', 'bracket', 'reference'] as const;
export type Way = (typeof WAYS)[number];

/** Standard uncertainty (mm) of one width by each way. */
export type WaySds = Readonly<Record<Way, number>>;

/** A width known only to lie between two holes. */
export interface Bracket {
  /** The hole it stops at, mm. */
  stopsMm: number;
  /** The larger hole it passes, mm. */
  passesMm: number;
}

/** What was seen after one dose. */
export interface Reading {
  /** Strokes or seconds given in all, counted from empty. */
  dose: number;
  /** Largest diameter across, mm. Absent with a bracket, and where a burst left none. */
  widthMm?: number | undefined;
  /** The two holes that the width lies between, in place of a width. */
  bracket?: Bracket | undefined;
  /** How the width was taken; a tape when absent. */
  way?: Way | undefined;
  /** Which nozzle of a two-nozzle inflator filled it. */
  nozzle?: Nozzle | undefined;
  /**
   * Which balloon of the calibration it was, by any number: readings of one balloon filled on share its errors. Where
   * none says so, `balloonsOf` takes them for one balloon filled on.
   */
  balloon?: number | undefined;
  /** Crown to where the neck starts, mm. */
  heightMm?: number | undefined;
  /** Standard uncertainty of the width, mm; that of its way when absent. */
  sdMm?: number | undefined;
  /** The shape seen, when the height was not measured. */
  shape?: Shape | undefined;
  outcome: Outcome;
}

export type ReadingProblemCode =
  | 'bad-dose'
  | 'bad-width'
  | 'bad-height'
  | 'bad-uncertainty'
  /** Not a whole number above 0. */
  | 'bad-balloon'
  | 'bad-bracket'
  /** The hole it stops at is not smaller than the one it passes. */
  | 'bracket-upside-down';

/** Latex stretches past its nominal size before it bursts, but not to twice it: wider is a slip of unit or finger. */
export const WIDEST_FRACTION = 1.6;
export const NARROWEST_FRACTION = 0.1;
const TALLEST_ASPECT = 2.5;
const FLATTEST_ASPECT = 0.5;

/** How a reading's width was taken: between two holes where it was not measured, with the tape where nothing is said. */
export function wayOf({ widthMm, way = 'tape', bracket }: Reading): Way {
  return bracket && widthMm === undefined ? 'bracket' : way;
}

/** Standard uncertainty (mm) of a reading's width. */
export function widthSdOf(reading: Reading, ways: WaySds): number {
  return reading.sdMm ?? ways[wayOf(reading)];
}

/** The width a reading stands for: as measured, or the middle of its bracket; `undefined` for a burst without one. */
export function widthSeenMm({ widthMm, bracket }: Reading): number | undefined {
  return widthMm ?? (bracket && (bracket.stopsMm + bracket.passesMm) / 2);
}

/**
 * For each reading, which balloon it was of (0, 1, ...). Where it is not said, readings of unlike doses through one
 * nozzle are taken as one balloon filled on, as the app proposes, and a dose given again began the next: their errors
 * then go together, which is the more careful assumption. The order of the readings decides nothing.
 */
export function balloonsOf(readings: readonly Reading[]): number[] {
  const known = new Map<string, number>();
  const times = new Map<string, number>();
  return readings.map(({ balloon, dose, nozzle = '' }) => {
    let key = `said ${balloon}`;
    if (balloon === undefined) {
      const given = `${nozzle} ${dose}`;
      const before = times.get(given) ?? 0;
      times.set(given, before + 1);
      key = `${nozzle} ${before}`;
    }
    const place = known.get(key) ?? known.size;
    known.set(key, place);
    return place;
  });
}

/** The first thing about a reading that cannot be, with its field under `path`; `null` when it can be used. */
export function readingProblem({
  reading,
  nominalMm,
  path = '',
}: {
  reading: Reading;
  nominalMm: number;
  path?: string;
}): Problem<ReadingProblemCode> | null {
  const { dose, widthMm, bracket, sdMm, outcome, balloon } = reading;
  const at = (field: string) => `${path}${field}`;
  if (!(dose > 0 && dose <= MOST_DOSE)) return problem('bad-dose', { field: at('dose') }).problem;
  const leastMm = nominalMm * NARROWEST_FRACTION;
  const mostMm = nominalMm * WIDEST_FRACTION;
  const possible = (mm: number) => mm >= leastMm && mm <= mostMm;
  if (bracket && widthMm === undefined) {
    const { stopsMm, passesMm } = bracket;
    if (!possible(passesMm))
      return problem('bad-bracket', { field: at('passesMm'), detail: { leastMm, mostMm } }).problem;
    if (!(stopsMm > 0))
      return problem('bad-bracket', { field: at('stopsMm'), detail: { leastMm: 0, mostMm: passesMm } }).problem;
    if (!(stopsMm < passesMm)) return problem('bracket-upside-down', { field: at('stopsMm'), detail: bracket }).problem;
  } else if (widthMm === undefined ? outcome !== 'burst' : !possible(widthMm)) {
    return problem('bad-width', { field: at('widthMm') }).problem;
  }
  const detail = heightProblem(reading);
  if (detail) return problem('bad-height', { field: at('heightMm'), detail }).problem;
  if (sdMm !== undefined && !(sdMm > 0 && sdMm <= nominalMm))
    return problem('bad-uncertainty', { field: at('sdMm') }).problem;
  if (balloon !== undefined && !(Number.isInteger(balloon) && balloon > 0))
    return problem('bad-balloon', { field: at('balloon') }).problem;
  return null;
}

/** The heights that a body of this reading's width can have, when its own is not among them. */
function heightProblem(reading: Reading): { leastMm: number; mostMm: number } | null {
  const { heightMm } = reading;
  const widthMm = widthSeenMm(reading);
  if (heightMm === undefined || widthMm === undefined) return null;
  const leastMm = widthMm * FLATTEST_ASPECT;
  const mostMm = widthMm * TALLEST_ASPECT;
  return heightMm >= leastMm && heightMm <= mostMm ? null : { leastMm, mostMm };
}
