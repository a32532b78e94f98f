import type { Trade } from '../trade';

/** A tap that says balloons are done. */
export interface Made {
  /** Milliseconds since 1970, as the device's clock had it. */
  atMs: number;
  count: number;
}

/** How long one balloon takes at a station. */
export interface Pace {
  /** Seconds for each balloon, pauses left out. */
  eachS: number;
  /** Balloons it was seen on. */
  balloons: number;
  /** Stretches of work that a pause parts. */
  stretches: number;
}

/** A gap so many times the usual one is a pause; hands that tie a hard knot need three or four. */
const PAUSE_FACTOR = 6;
/** ... and never one shorter than this, ms. */
const SHORTEST_PAUSE_MS = 60_000;
const FEWEST_GAPS = 5;

/** Time from each tap to the next, ms. */
const gapsOf = (made: readonly Made[]): number[] => made.slice(1).map(({ atMs }, i) => atMs - made[i]!.atMs);

/** From which gap on it is a pause, ms: told from the gaps of the taps, and from `usualS` where there are few. */
export function pauseFromMs({ made, usualS }: { made: readonly Made[]; usualS: number }): number {
  const gapsMs = gapsOf(made);
  const inOrder = gapsMs.filter((gap) => gap > 0).sort((a, b) => a - b);
  const usualMs = inOrder.length < FEWEST_GAPS ? usualS * 1000 : inOrder[Math.floor(inOrder.length / 2)]!;
  return Math.max(SHORTEST_PAUSE_MS, PAUSE_FACTOR * usualMs);
}

/**
 * The pace at which one station works, from its taps in the order they were made: the time between two taps belongs to
 * the balloons of the second. Pauses are left out, and gaps of a clock that was set back; `null` without a gap that
 * counts. `usualS`: the pace to go by while there are few.
 *
 * Source: common practice (time study: pauses are counted apart).
 */
export function paceOf({ made, usualS }: { made: readonly Made[]; usualS: number }): Pace | null {
  const pauseMs = pauseFromMs({ made, usualS });
  let [workedMs, balloons, stretches, working] = [0, 0, 0, false];
  gapsOf(made).forEach((gap, i) => {
    const counts = gap >= 0 && gap < pauseMs;
    if (counts) {
      workedMs += gap;
      balloons += made[i + 1]!.count;
      if (!working) stretches += 1;
    }
    working = counts;
  });
  return balloons === 0 || workedMs === 0 ? null : { eachS: workedMs / 1000 / balloons, balloons, stretches };
}

/** Seconds until `left` balloons are made by stations that work at these paces side by side; `null` without any. */
export function timeLeftS({ left, paces }: { left: number; paces: readonly Pick<Pace, 'eachS'>[] }): number | null {
  const perSecond = paces.reduce((sum, { eachS }) => sum + 1 / eachS, 0);
  return perSecond > 0 ? left / perSecond : null;
}

/** How many balloons the usual pace counts for beside a studio's own (from memory). */
const USUAL_WORTH = 48;

/** What is known of a pace once some was seen: the usual one and the own, each by its balloons. */
export function learnPace({ usualS, seen }: { usualS: number; seen: readonly Pace[] }): Pace {
  const balloons = seen.reduce((sum, each) => sum + each.balloons, 0);
  const workedS = seen.reduce((sum, { eachS, balloons: of }) => sum + eachS * of, 0);
  const stretches = seen.reduce((sum, each) => sum + each.stretches, 0);
  return { eachS: (USUAL_WORTH * usualS + workedS) / (USUAL_WORTH + balloons), balloons, stretches };
}

/** The trade's numbers with the pace at which balloons are sized as a studio's own runs have it. */
export function tradeAtPace(trade: Trade, seen: readonly Pace[]): Trade {
  const { eachS, balloons } = learnPace({ usualS: trade.paceS.sized, seen });
  return balloons === 0 ? trade : { ...trade, paceS: { ...trade.paceS, sized: eachS } };
}
