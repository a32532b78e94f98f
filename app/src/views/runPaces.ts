import type { TallyRecord, TurnRecord } from '@leggero/contract';
import type { Trade } from '@leggero/core';
import { paceOf, tradeAtPace, type Made, type Pace } from '@leggero/core/pace';
import { weakMapMemoize } from 'reselect';

import { talliesOf, type TappedRows } from './runs';

/** What the taps of one turn say was made; worked out once for the same taps. */
const madeOf = weakMapMemoize((tallies: readonly TallyRecord[]): readonly Made[] =>
  tallies.flatMap(({ what, at, count }) => (what === 'done' ? [{ atMs: Date.parse(at), count }] : [])),
);

/** What the taps of some turns say was made, in the order they were made. */
export function madeIn(turns: readonly { tallies: readonly TallyRecord[] }[]): Made[] {
  return turns.flatMap(({ tallies }) => madeOf(tallies)).sort((a, b) => a.atMs - b.atMs);
}

/** The pace of every station of every run. */
export const pacesOfRuns = weakMapMemoize((rows: TappedRows, usualS: number): Pace[] => {
  const tallies = talliesOf(rows.tally);
  const stations = new Map<string, TurnRecord[]>();
  for (const turn of rows.turn.values()) {
    const run = rows.inflationBatch.get(turn.batchId)?.inflationId;
    const key = `${run} ${turn.station}`;
    stations.set(key, [...(stations.get(key) ?? []), turn]);
  }
  return [...stations.values()].flatMap((turns) => {
    const made = madeIn(turns.map(({ id }) => ({ tallies: tallies.of(id) })));
    return paceOf({ made, usualS }) ?? [];
  });
});

/** The trade at the pace of a studio's own runs; the very same for the very same paces. */
export const tradeAtOwnPace = weakMapMemoize((trade: Trade, seen: Pace[]) => tradeAtPace(trade, seen));
