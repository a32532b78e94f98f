import type { HoldTestRecord } from '@leggero/contract';

/** "Neck wrapped twice, stuffed, 5 Oct". */
export function closingText({ wraps, stuffed, startedAt }: HoldTestRecord): string {
  const day = new Date(startedAt).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
  return `Neck wrapped ${wraps === 1 ? 'once' : 'twice'}${stuffed ? ', stuffed' : ''}, ${day}`;
}
