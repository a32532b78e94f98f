import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import type { ModellingSize } from './code';

/** Ways to tie clusters with an empty modelling balloon. */
export const TYINGS = ['loop', 'figure-eight', 'band'] as const;
export type Tying = (typeof TYINGS)[number];

/**
 * Pulled length each way takes at a join, beside the knot, mm: from memory. Two or three balloons of each cluster are
 * looped (common practice).
 */
const ROUND_MM: Readonly<Record<Tying, number>> = { loop: 150, 'figure-eight': 255, band: 75 };

/** Joiners for a number of clusters. */
export interface JoinerPlan {
  way: Tying;
  /** One piece pulled, mm. */
  reachMm: number;
  /** What one join takes of it, mm. */
  takesMm: number;
  joinsAPiece: number;
  joins: number;
  pieces: number;
  balloons: number;
}

export type JoinerProblemCode =
  | 'bad-count'
  /** A piece is too short for even one join in this way; `nearest` is the way that needs least. */
  | 'too-short';

/**
 * Empty modelling balloons that join clusters into a line: each of the `clusters` is tied to the next. A piece,
 * pulled to `TRADE.modellingPull` of its own length, serves as many joins as it is long enough for. Half a balloon is
 * often enough (common practice).
 *
 * Problems: `bad-count` (not a whole number from 2), `too-short`.
 */
export function joinersFor({
  size,
  clusters,
  way,
  halved,
  trade = TRADE,
}: {
  size: ModellingSize;
  clusters: number;
  way: Tying;
  halved: boolean;
  trade?: Trade | undefined;
}): Result<JoinerPlan, JoinerProblemCode> {
  if (!(Number.isInteger(clusters) && clusters >= 2))
    return problem('bad-count', { field: 'clusters', detail: { least: 2 } });
  const ownMm = trade.modellingRest.length * size.lengthMm * (halved ? 0.5 : 1);
  const reachMm = trade.modellingPull * ownMm;
  const takesMm = ROUND_MM[way] + trade.knotMm;
  const joinsAPiece = Math.floor(reachMm / takesMm);
  if (joinsAPiece < 1) return problem('too-short', { field: halved ? 'halved' : 'way', detail: { reachMm, takesMm } });
  const joins = clusters - 1;
  const pieces = Math.ceil(joins / joinsAPiece);
  return ok({
    way,
    reachMm,
    takesMm,
    joinsAPiece,
    joins,
    pieces,
    balloons: halved ? Math.ceil(pieces / 2) : pieces,
  });
}

/**
 * The way that suits clusters of so many balloons: fillers a band, quads a loop, larger ones a figure eight (from
 * memory).
 */
export function tyingFor({ balloons }: { balloons: number }): Tying {
  if (balloons <= 3) return 'band';
  return balloons <= 4 ? 'loop' : 'figure-eight';
}
