import type { HoldTestRecord } from '@leggero/contract';

import { dayText } from '@/wording/day';

/** "Neck wrapped twice, stuffed, 5 Oct". */
export function closingText({ wraps, stuffed, startedAt }: HoldTestRecord): string {
  const day = dayText(startedAt);
  return `Neck wrapped ${wraps === 1 ? 'once' : 'twice'}${stuffed ? ', stuffed' : ''}, ${day}`;
}
