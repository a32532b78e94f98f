import type { EventRecord } from '@leggero/contract';

import type { ShownRun } from './inflation';
import { sameWidth } from './widths';

const HOUR_MS = 3_600_000;

/** When balloons were made, ms since 1970, and whether a station says so or the event's plan. */
export interface MadeAt {
  ms: number;
  from: 'run' | 'plan';
}

/** When balloons of one kind and fill were made for an event: as stations tapped them, halfway through; else as planned. */
export function madeAt(
  { opensAt, hoursBefore }: Pick<EventRecord, 'opensAt' | 'hoursBefore'>,
  runs: readonly ShownRun[],
  { modelId, fillMm }: { modelId: string | null; fillMm: number },
): MadeAt | null {
  const taps = runs
    .flatMap(({ batches }) => batches)
    .filter((batch) => batch.modelId === modelId && sameWidth(batch.fillMm, fillMm))
    .flatMap(({ turns }) => turns.flatMap(({ tallies }) => tallies))
    .flatMap(({ what, at }) => (what === 'done' ? [Date.parse(at)] : []))
    .sort((a, b) => a - b);
  if (taps.length > 0) return { ms: taps[Math.floor(taps.length / 2)]!, from: 'run' };
  return opensAt === null ? null : { ms: Date.parse(opensAt) - hoursBefore * HOUR_MS, from: 'plan' };
}
