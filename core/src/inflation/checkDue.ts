import { most } from '../statistics';
import type { Made } from './pace';

/** Why a size is asked for now. */
export type WhyCheck = 'start' | 'hands' | 'pause' | 'leaning' | 'plan';

/** What happened at a station since a size was last checked there. */
export interface SinceCheck {
  /** Balloons made of this batch since; all of them where none was checked. */
  made: number;
  /** None of this batch was checked at this station. */
  none: boolean;
  /** Other hands took over. */
  hands: boolean;
  /** There was a pause. */
  paused: boolean;
  /** The last ones leaned to one side, though not for sure. */
  leaning: boolean;
}

/**
 * What happened at a station since it last checked a size of a batch. `made`: its taps of that batch, in the order they
 * were made; `checkedAtMs`: its checks of it; `turnAtMs`: when its present turn began; `pauseMs`: from which gap on it
 * is a pause.
 */
export function sinceCheckOf({
  made,
  checkedAtMs,
  turnAtMs,
  pauseMs,
  leaning,
}: {
  made: readonly Made[];
  checkedAtMs: readonly number[];
  turnAtMs: number;
  pauseMs: number;
  leaning: boolean;
}): SinceCheck {
  const last = checkedAtMs.length === 0 ? null : most(checkedAtMs);
  const since = last === null ? made : made.filter(({ atMs }) => atMs > last);
  // The pause after a check counts as well.
  const from = last ?? since[0]?.atMs ?? 0;
  const gaps = since.map(({ atMs }, i) => atMs - (since[i - 1]?.atMs ?? from));
  return {
    made: since.reduce((sum, { count }) => sum + count, 0),
    none: last === null,
    hands: last !== null && turnAtMs > last,
    paused: gaps.some((gap) => gap >= pauseMs),
    leaning,
  };
}

/** Whether to check a size, and when the next one is due. */
export interface CheckDue {
  why: WhyCheck | null;
  /** Balloons until the plan asks for one; 0 once it does. */
  inBalloons: number;
}

/** Nobody checks more often than every second one: then each is sized. */
const SHORTEST_WAIT = 2;

/** Balloons from one check to the next, so that a lot's checks are spread evenly over it. */
export function checkEvery({ lot, checks }: { lot: number; checks: number }): number {
  return Math.max(SHORTEST_WAIT, Math.floor(lot / Math.max(1, checks)));
}

/**
 * Whether a station should check a size now: at the first balloons of a batch, of other hands, after a pause; then by the
 * plan, and twice as often where the last ones leaned.
 *
 * `every`: balloons from one check to the next by the plan, see `checkEvery`.
 *
 * Source: common practice; sampling at the start and after each change, any handbook of quality control.
 */
export function checkDue({ since, every }: { since: SinceCheck; every: number }): CheckDue {
  const wait = since.leaning ? Math.max(SHORTEST_WAIT, Math.floor(every / 2)) : every;
  const inBalloons = Math.max(0, wait - since.made);
  if (since.made === 0) return { why: null, inBalloons };
  if (since.none) return { why: 'start', inBalloons: 0 };
  if (since.hands) return { why: 'hands', inBalloons: 0 };
  if (since.paused) return { why: 'pause', inBalloons: 0 };
  if (inBalloons > 0) return { why: null, inBalloons };
  return { why: since.leaning && since.made < every ? 'leaning' : 'plan', inBalloons: 0 };
}
