import { MOST_BATCHES, type InflationBatch, type Write } from '@leggero/contract';
import type { Batch } from '@leggero/core/recipe';

import { newId, nowUtc } from '@/device/id';
import type { SizeTarget } from '@/parts/piece/sizeTarget';

import type { BalloonLooks } from '@/parts/look';

/** What is known of the balloons of a recipe: asked for where a batch is put into a run, for it takes a while. */
export interface AboutBalloons {
  targets: ReadonlyMap<string, SizeTarget>;
  lookOf: (balloon: string) => BalloonLooks;
  /** Whether a balloon is one of the shelf. */
  known: (balloon: string) => boolean;
}

/** What puts a batch of a recipe into a run, as it is now. */
function batchInto(inflationId: string, batch: Batch, place: number, about: AboutBalloons): Write {
  const { key, balloon, fillMm, toleranceMm, count } = batch;
  const { targets, lookOf, known } = about;
  const target = targets.get(key);
  const which = { modelId: known(balloon) ? balloon : null, colourHex: lookOf(balloon).colour };
  const how = { dose: target?.dose ?? null, timed: (target?.kind ?? 'hand') !== 'hand' };
  const row = { id: newId(), inflationId, key, place: placeOf(place), ...which, fillMm, toleranceMm, count, ...how };
  return { put: 'inflationBatch', row };
}

/** A bench holds so many; what is more stands at its end. */
const placeOf = (at: number) => Math.min(at, MOST_BATCHES - 1);

/**
 * What begins an inflation run by a recipe: its batches are kept as they are now, so that nothing that is read or drawn
 * later moves a target under the hand that fills it.
 */
export function runOf(eventId: string, batches: readonly Batch[], about: () => AboutBalloons): Write[] {
  const id = newId();
  const known = about();
  return [
    { put: 'inflation', row: { id, eventId, startedAt: nowUtc() } },
    ...batches.map((batch, place) => batchInto(id, batch, place, known)),
  ];
}

/**
 * What takes a recipe that changed into a run that goes on: batches that are new, that are of another count or in another
 * place; of those that the recipe has no more nothing is left to make. What was tapped stays. None where all is as it was.
 */
export function changesOf(
  inflationId: string,
  { kept, batches, about }: { kept: readonly InflationBatch[]; batches: readonly Batch[]; about: () => AboutBalloons },
): Write[] {
  const before = new Map(kept.map((batch) => [batch.key, batch]));
  let known: AboutBalloons | null = null;
  const wanted = new Set(batches.map(({ key }) => key));
  const there = batches.flatMap((batch, at): Write[] => {
    const was = before.get(batch.key);
    if (!was) return [batchInto(inflationId, batch, at, (known ??= about()))];
    const { count } = batch;
    const place = placeOf(at);
    const same = was.count === count && was.place === place;
    return same ? [] : [{ change: 'inflationBatch', id: was.id, by: { count, place } }];
  });
  const gone = kept.filter(({ key, count }) => !wanted.has(key) && count > 0);
  return [...there, ...gone.map(({ id }): Write => ({ change: 'inflationBatch', id, by: { count: 0 } }))];
}
