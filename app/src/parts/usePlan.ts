import { planOf, type EventRecord, type WorkPlan } from '@leggero/contract';

import { write } from '@/data/outbox';
import { useRested } from '@/parts/useRested';

/** How an event's work is planned, as it is being changed: the page follows at once, and it is kept once the hand rests. */
export function usePlan(event: EventRecord): [WorkPlan, (by: Partial<WorkPlan>) => void] {
  const { id } = event;
  const stored = planOf(event);
  return useRested(stored, (by) => write({ change: 'event', id, by: { plan: { ...stored, ...by } } }));
}
