import type { Write } from '@leggero/contract';
import type { Batch } from '@leggero/core/recipe';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import type { SizeTarget } from '@/parts/piece/sizeTarget';

import type { BalloonLooks } from './look';

/** As many writes make one command as the server takes, with room to spare. */
const AT_ONCE = 150;

/**
 * Begins an inflation run by a recipe: its batches are kept as they are now, so that nothing that is read or drawn later
 * moves a target under the hand that fills it.
 */
export function beginRun(
  eventId: string,
  batches: readonly Batch[],
  {
    targets,
    lookOf,
    known,
  }: {
    targets: ReadonlyMap<string, SizeTarget>;
    lookOf: (balloon: string) => BalloonLooks;
    /** Whether a balloon is one of the shelf. */
    known: (balloon: string) => boolean;
  },
): void {
  const inflationId = newId();
  const rows = batches.map(({ key, balloon, fillMm, toleranceMm, count }, place): Write => {
    const target = targets.get(key);
    const about = { modelId: known(balloon) ? balloon : null, colourHex: lookOf(balloon).colour };
    const how = { dose: target?.dose ?? null, timed: (target?.kind ?? 'hand') !== 'hand' };
    return {
      put: 'inflationBatch',
      row: { id: newId(), inflationId, key, place, ...about, fillMm, toleranceMm, count, ...how },
    };
  });
  write({ put: 'inflation', row: { id: inflationId, eventId, startedAt: nowUtc() } }, ...rows.slice(0, AT_ONCE));
  for (let at = AT_ONCE; at < rows.length; at += AT_ONCE) write(...rows.slice(at, at + AT_ONCE));
}
