import type { Shape } from '../balloon';
import { MOST_STROKES } from '../inflator';
import { problem, type Problem } from '../result';

/** How a reading ended: as wished, hard to the touch, or with a burst. */
export const OUTCOMES = ['ok', 'hard', 'burst'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** What was seen after one dose. */
export interface Reading {
  /** Strokes given in all, counted from empty. */
  dose: number;
  /** Largest diameter across, mm. Only a burst may lack it. */
  widthMm?: number | undefined;
  /** Crown to where the neck starts, mm. */
  heightMm?: number | undefined;
  /** Standard uncertainty of the width, mm; `TRADE.widthSdMm` when absent. */
  sdMm?: number | undefined;
  /** The shape seen, when the height was not measured. */
  shape?: Shape | undefined;
  outcome: Outcome;
}

export type ReadingProblemCode = 'bad-dose' | 'bad-width' | 'bad-height' | 'bad-uncertainty';

/** Latex stretches past its nominal size before it bursts, but not to twice it: wider is a slip of unit or finger. */
export const WIDEST_FRACTION = 1.6;
const NARROWEST_FRACTION = 0.1;
const TALLEST_ASPECT = 2.5;
const FLATTEST_ASPECT = 0.5;

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
  const { dose, widthMm, heightMm, sdMm, outcome } = reading;
  if (!(dose > 0 && dose <= MOST_STROKES)) {
    return problem('bad-dose', { field: `${path}dose`, detail: { most: MOST_STROKES } }).problem;
  }
  if (widthMm === undefined) {
    return outcome === 'burst' ? null : problem('bad-width', { field: `${path}widthMm` }).problem;
  }
  const leastMm = nominalMm * NARROWEST_FRACTION;
  const mostMm = nominalMm * WIDEST_FRACTION;
  if (!(widthMm >= leastMm && widthMm <= mostMm)) {
    return problem('bad-width', { field: `${path}widthMm`, detail: { leastMm, mostMm } }).problem;
  }
  if (heightMm !== undefined) {
    const least = widthMm * FLATTEST_ASPECT;
    const most = widthMm * TALLEST_ASPECT;
    if (!(heightMm >= least && heightMm <= most)) {
      const detail = { leastMm: least, mostMm: most };
      return problem('bad-height', { field: `${path}heightMm`, detail }).problem;
    }
  }
  if (sdMm !== undefined && !(sdMm > 0 && sdMm <= nominalMm)) {
    return problem('bad-uncertainty', { field: `${path}sdMm` }).problem;
  }
  return null;
}
