import { isLost, TALLIES, type Tallied } from './kinds';

/** One tap at a station. */
export interface Tally {
  /** Which batch. */
  batch: string;
  what: Tallied;
  /** Two where two were filled at once. */
  count: number;
}

/** How far a batch is. */
export interface BatchProgress {
  batch: string;
  wanted: number;
  /** Balloons by what was said of them. */
  by: Record<Tallied, number>;
  /** Of them lost. */
  lost: number;
  /** Still to make; never below 0. */
  left: number;
  /** Made beyond what was wanted, as two stations do that end one batch. */
  over: number;
}

/** How far a run is. */
export interface Progress {
  batches: BatchProgress[];
  wanted: number;
  done: number;
  lost: number;
  left: number;
  /** The first that is not through; null once all are. */
  next: string | null;
}

/**
 * How far a run is: its batches in working order with what was tapped at all stations. Taps for batches that the recipe
 * no longer has count for none; nothing is lost with them, for what they say of losses is theirs.
 */
export function progressOf({
  batches,
  tallies,
}: {
  batches: readonly { key: string; count: number }[];
  tallies: readonly Tally[];
}): Progress {
  const by = new Map(batches.map(({ key }) => [key, nothingYet()]));
  for (const { batch, what, count } of tallies) {
    const own = by.get(batch);
    if (own) own[what] += count;
  }
  const of = batches.map(({ key, count: wanted }): BatchProgress => {
    const own = by.get(key)!;
    const lost = TALLIES.reduce((sum, what) => sum + (isLost(what) ? own[what] : 0), 0);
    const left = Math.max(0, wanted - own.done);
    return { batch: key, wanted, by: own, lost, left, over: Math.max(0, own.done - wanted) };
  });
  const sum = (count: (each: BatchProgress) => number) => of.reduce((all, each) => all + count(each), 0);
  return {
    batches: of,
    wanted: sum(({ wanted }) => wanted),
    done: sum(({ by: { done } }) => done),
    lost: sum(({ lost }) => lost),
    left: sum(({ left }) => left),
    next: of.find(({ left }) => left > 0)?.batch ?? null,
  };
}

/** No balloon of which anything was said. */
export const nothingYet = (): Record<Tallied, number> => ({ done: 0, popped: 0, pinhole: 0, size: 0, other: 0 });
