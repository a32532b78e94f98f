import { useInflations } from '@/data/inflation';
import { useSiteTicks } from '@/data/site';
import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { openRun } from '@/views/runs';
import { stepsDone, tickOfStep, type StepsDone } from '@/views/stepsDone';

/** What of an event's schedule is done, and how that is said and taken back. */
export interface Done extends StepsDone {
  say: (stepIds: readonly string[]) => void;
  takeBack: (stepId: string) => void;
}

/** Undefined until it is known. */
export function useStepsDone(eventId: string): Done | undefined {
  const ticks = useSiteTicks(eventId);
  const runs = useInflations(eventId);
  if (!ticks || !runs) return undefined;
  const run = openRun(runs) ?? runs[0];
  return {
    ...stepsDone(ticks, run?.progress.done ?? 0),
    say: (stepIds) =>
      void write(
        ...stepIds.map((stepId) => {
          const row = { id: newId(), eventId, key: tickOfStep(stepId), at: nowUtc() };
          return { put: 'siteTick' as const, row };
        }),
      ),
    takeBack: (stepId) =>
      void write(
        ...ticks.filter(({ key }) => key === tickOfStep(stepId)).map(({ id }) => ({ remove: 'siteTick' as const, id })),
      ),
  };
}
