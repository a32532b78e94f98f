import type { EventRecord, ModelRecord, WorkPlan } from '@leggero/contract';

import { twoIn } from '@/views/eventCost';
import { eventDay } from '@/views/eventPlan';
import type { StepsDone } from '@/views/stepsDone';

import type { EventWork } from './useEventWork';

interface EventDayOf {
  event: EventRecord;
  opensAt: string;
  plan: WorkPlan;
  work: EventWork;
  models: readonly ModelRecord[];
  progress: StepsDone;
  nowMs: number;
}

/** The schedule of an event from all that is to do for it. */
export function eventDayOf({
  event,
  opensAt,
  plan,
  work,
  models,
  progress,
  nowMs,
}: EventDayOf): ReturnType<typeof eventDay> {
  const twoOf = twoIn(models);
  return eventDay({
    ...{ event, opensAt, plan, progress, works: work.works, nowMs, trade: work.pricing.trade },
    isPair: (balloon) => twoOf(balloon) !== null,
    buys: work.lines.some(({ bought }) => bought.bags > 0),
  });
}
