import type { CheckRecord, Rows, SizerRecord, TurnRecord } from '@leggero/contract';
import {
  ENOUGH_FOR_LIMITS,
  soundLimits,
  spokenWithin,
  whatMoved,
  type CountOff,
  type Moved,
  type SoundLimits,
  type Spoken,
} from '@leggero/core/control';
import { weakMapMemoize } from 'reselect';

import { viewCheck } from './checkView';

export const SIZED_NOUNS = ['check', 'checkResult', 'turn'] as const;

/** A balloon whose width was measured, with the target it was held to. */
export interface SizedBalloon {
  id: string;
  checkId: string;
  at: string;
  widthMm: number;
  targetMm: number;
  toleranceMm: number;
  /** How much larger it is than its target. */
  offMm: number;
  /** The turn of an inflation run that it was made in. */
  turn: TurnRecord | null;
}

const inTime = (a: { at: string }, b: { at: string }): number => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0);

/** The measured balloons of some checks, in the order they were measured. */
export const sizedOf = weakMapMemoize((checks: readonly CheckRecord[], turns: Rows['turn']): SizedBalloon[] =>
  checks
    .flatMap(({ id: checkId, targetMm, toleranceMm, turnId, results }) => {
      const turn = turnId === null ? null : (turns.get(turnId) ?? null);
      return results.flatMap(({ id, widthMm, takenAt: at }): SizedBalloon[] =>
        widthMm === null ? [] : [{ id, checkId, at, widthMm, targetMm, toleranceMm, offMm: widthMm - targetMm, turn }],
      );
    })
    .sort(inTime),
);

/** A size that comes so long after the one before was made by rested hands. */
const RESTED_MS = 600_000;
/** What moved is asked of so many of the newest: what moved last year is no news. */
const ASKED = 60;

/** The sizes of a balloon as a chart has them. */
export interface SizesView {
  sized: SizedBalloon[];
  /** Null while there are too few. */
  limits: SoundLimits | null;
  spoken: Spoken[];
  /** Of them those that speak of the newest check. */
  now: Spoken[];
  moved: Moved;
  /** The first size that what moved was asked of. */
  askedFrom: number;
}

/** How steady the sizes of a balloon are, and what moved them. */
export const sizesView = weakMapMemoize((sized: SizedBalloon[]): SizesView => {
  const values = sized.map(({ offMm }) => offMm);
  const newest = sized.findIndex(({ checkId }) => checkId === sized.at(-1)?.checkId);
  const limits = soundLimits({ values, base: newest >= ENOUGH_FOR_LIMITS ? newest : values.length });
  const spoken = limits ? spokenWithin(values, limits) : [];
  const askedFrom = Math.max(0, sized.length - ASKED);
  const moved = whatMoved(
    sized.slice(askedFrom).map(({ offMm: value, at, turn }, i) => {
      const before = sized[askedFrom + i - 1];
      const rested = before !== undefined && Date.parse(at) - Date.parse(before.at) > RESTED_MS;
      return { value, bag: turn?.bagId ?? null, hands: turn?.station ?? null, rested };
    }),
  );
  return { sized, limits, spoken, now: spoken.filter(({ to }) => to >= newest), moved, askedFrom };
});

/** How far measured balloons were off, by whose they were; those that were made in no turn are left out. */
export function offsBy(
  sized: readonly SizedBalloon[],
  whose: (turn: TurnRecord) => string,
): { of: string; offs: number[] }[] {
  const by = new Map<string, number[]>();
  for (const { turn, offMm } of sized) {
    if (!turn) continue;
    const of = whose(turn);
    by.set(of, [...(by.get(of) ?? []), offMm]);
  }
  return [...by].map(([of, offs]) => ({ of, offs }));
}

/** How many of a check were off, with the day it was begun. */
export interface CheckedShare extends CountOff {
  checkId: string;
  at: string;
}

/** What share of each check was off, the oldest first; checks of which nothing is known yet are left out. */
export const sharesOf = weakMapMemoize(
  (checks: readonly CheckRecord[], sizers: readonly SizerRecord[]): CheckedShare[] =>
    checks
      .flatMap((check): CheckedShare[] => {
        const { judgement } = viewCheck(check, sizers);
        if (!judgement || judgement.count === 0) return [];
        const off = judgement.tooLarge.length + judgement.tooSmall.length;
        return [{ checkId: check.id, at: check.startedAt, off, of: judgement.count }];
      })
      .sort(inTime),
);

/** Sizes that are a group of the chart of means: neighbours of one check (common practice: four or five). */
const GROUP = 4;

/** Whole groups of neighbouring sizes of the same check, with when each began; what is left over is in none. */
export function groupsOfSizes(sized: readonly SizedBalloon[]): { at: string; values: number[] }[] {
  const groups: { at: string; checkId: string; values: number[] }[] = [];
  for (const { checkId, at, offMm } of sized) {
    const last = groups.at(-1);
    if (last?.checkId === checkId && last.values.length < GROUP) last.values.push(offMm);
    else groups.push({ checkId, at, values: [offMm] });
  }
  return groups.filter(({ values }) => values.length === GROUP);
}
