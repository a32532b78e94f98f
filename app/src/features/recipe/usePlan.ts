import { PLAN_DEFAULTS, type EventRecord, type WorkPlan } from '@leggero/contract';

import { write } from '@/data/outbox';
import { useRested } from '@/parts/useRested';

/** How an event's work is planned, as it is being changed: the page follows at once, and it is kept once the hand rests. */
export function usePlan({ id, plan }: EventRecord): [WorkPlan, (by: Partial<WorkPlan>) => void] {
  const stored = plan ?? PLAN_DEFAULTS;
  return useRested(stored, (by) => write({ change: 'event', id, by: { plan: { ...stored, ...by } } }));
}
