import type { EventRecord, ModelRecord, Rows } from '@leggero/contract';
import { TALLIES, type Tallied } from '@leggero/core';
import { nothingYet } from '@leggero/core/inflation';
import type { Pace } from '@leggero/core/pace';
import { weakMapMemoize } from 'reselect';

import { inflationsOf, INFLATION_NOUNS, lastTapOf, pacesOf, stationsOf } from './inflation';

type Counts = Record<Tallied, number>;

/** What an inflation run really took, beside what was planned. */
export interface Taken {
  runId: string;
  eventId: string;
  eventName: string;
  startedAt: string;
  going: boolean;
  planned: number;
  counts: Counts;
  /** From its beginning to its last tap, s. */
  lastedS: number;
  stations: number;
  paces: (Pace & { station: string })[];
}

/** What the runs of all events took, newest first. `usualS`: the trade's pace, see `paceOf`. */
export const takenOf = weakMapMemoize(
  (rows: Pick<Rows, (typeof INFLATION_NOUNS)[number]>, events: readonly EventRecord[], usualS: number): Taken[] =>
    events
      .flatMap(({ id: eventId, name: eventName }) =>
        inflationsOf(rows, eventId).map((run): Taken => {
          const counts = nothingYet();
          for (const { by } of run.progress.batches) for (const what of TALLIES) counts[what] += by[what];
          return {
            ...{ runId: run.id, eventId, eventName, startedAt: run.startedAt, going: run.endedAt === null },
            planned: run.progress.wanted,
            counts,
            lastedS: Math.max(0, (Date.parse(lastTapOf(run)) - Date.parse(run.startedAt)) / 1000),
            stations: stationsOf(run).length,
            paces: pacesOf(run, usualS),
          };
        }),
      )
      .filter(({ counts }) => TALLIES.some((what) => counts[what] > 0))
      .sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1)),
);

/** Why balloons of one kind were lost in runs, over all of them. */
export const causesOf = weakMapMemoize(
  (rows: Pick<Rows, 'inflationBatch' | 'turn' | 'tally'>): ReadonlyMap<ModelRecord['id'], Counts> => {
    const by = new Map<string, Counts>();
    for (const { turnId, what, count } of rows.tally.values()) {
      const batchId = rows.turn.get(turnId)?.batchId;
      const modelId = batchId === undefined ? null : rows.inflationBatch.get(batchId)?.modelId;
      if (!modelId) continue;
      const counts = by.get(modelId) ?? nothingYet();
      counts[what] += count;
      by.set(modelId, counts);
    }
    return by;
  },
);
