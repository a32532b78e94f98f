import type { HoldTestRecord, Write } from '@leggero/contract';

import { newId, nowUtc } from '@/device/id';

/** What begins a hold test: how a balloon was tied, now, and its width at the knot. */
export function startOfHold(tied: Pick<HoldTestRecord, 'modelId' | 'wraps' | 'stuffed'>, widthMm: number): Write[] {
  const id = newId();
  return [
    { put: 'holdTest', row: { ...tied, id, startedAt: nowUtc() } },
    { put: 'holdReading', row: { id: newId(), holdTestId: id, hours: 0, widthMm } },
  ];
}
