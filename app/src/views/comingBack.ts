import type { ModelRecord, RepairRecord } from '@leggero/contract';
import { isLost, TALLIES } from '@leggero/core';
import type { Need } from '@leggero/core/recipe';

import { twoIn } from './eventCost';
import type { ShownRun } from './inflation';
import type { StockBook } from './stock';

/** Balloons of one kind that went out for an event, and how many of them are left. */
export interface ComingBack {
  model: ModelRecord;
  out: number;
  /** Filled, or lost in filling, as stations tapped them; as its pieces need where no station had any to make. */
  used: number;
  tapped: boolean;
  /** Made anew where it stood. */
  repaired: number;
  left: number;
}

/** What is left of the balloons that went out for an event and were not brought back. A pair takes one of each of its two. */
export function comingBack({
  eventId,
  models,
  book,
  runs,
  repairs,
  needs,
}: {
  eventId: string;
  models: readonly ModelRecord[];
  book: StockBook;
  runs: readonly Pick<ShownRun, 'batches' | 'progress'>[];
  repairs: readonly RepairRecord[];
  needs: readonly Need[];
}): ComingBack[] {
  const twoOf = twoIn(models);
  const tapped = new Map<string, number>();
  const repaired = new Map<string, number>();
  const add = (to: Map<string, number>, modelId: string | null, count: number) => {
    if (modelId === null) return;
    for (const one of twoOf(modelId) ?? [modelId]) to.set(one, (to.get(one) ?? 0) + count);
  };
  // A run that was begun and never tapped in says nothing.
  for (const { batches, progress } of runs.filter(({ progress: { done, lost } }) => done + lost > 0))
    for (const { batch, by } of progress.batches) {
      const modelId = batches.find(({ id }) => id === batch)?.modelId ?? null;
      for (const what of TALLIES) if (what === 'done' || isLost(what)) add(tapped, modelId, by[what]);
    }
  for (const { modelId } of repairs) add(repaired, modelId, 1);
  const needed = new Map(needs.map(({ balloon, count }) => [balloon, count]));
  return models.flatMap((model): ComingBack[] => {
    const out = book.of(model.id).outFor.get(eventId) ?? 0;
    if (out <= 0) return [];
    const anew = repaired.get(model.id) ?? 0;
    const used = tapped.get(model.id) ?? needed.get(model.id) ?? 0;
    return [{ model, out, used, tapped: tapped.has(model.id), repaired: anew, left: Math.max(0, out - used - anew) }];
  });
}
