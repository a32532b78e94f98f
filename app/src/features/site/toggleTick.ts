import type { SiteTick } from '@leggero/contract';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';

/** Says of a step that it was looked at, or takes back whatever says so. */
export function toggleTick(eventId: string, key: string, seen: readonly SiteTick[]): void {
  if (seen.length > 0) write(...seen.map(({ id }) => ({ remove: 'siteTick' as const, id })));
  else write({ put: 'siteTick', row: { id: newId(), eventId, key, at: nowUtc() } });
}
