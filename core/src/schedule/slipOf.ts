import { ok, problem, type Result } from '../result';
import type { Means, ScheduleProblemCode, Step } from './kinds';
import { placeSteps } from './placeSteps';
import type { Schedule } from './scheduleBack';

/** What follows where a step takes longer than was planned. */
export interface Slip {
  /** Steps that begin later than planned, by how much, in the order in which they begin. */
  moved: { id: string; byMs: number }[];
  /** By how much its end passes what was due; 0 where it does not. */
  lateMs: number;
}

/** Less is no slip. */
const SAME_MS = 1000;

/**
 * What follows where one step of a plan takes `byMs` longer: every other begins when it was planned to, or as soon as
 * what it waits for has ended and hands are free.
 *
 * Problems: `unknown-step` (field `stepId`), and those of `placeSteps`.
 */
export function slipOf({
  steps,
  means,
  schedule,
  stepId,
  byMs,
  dueMs = schedule.endsMs,
}: {
  steps: readonly Step[];
  means: Means;
  schedule: Schedule;
  stepId: string;
  byMs: number;
  /** When it is late: later than what was planned for, where time was kept in hand. */
  dueMs?: number;
}): Result<Slip, ScheduleProblemCode> {
  if (!steps.some(({ id }) => id === stepId)) return problem('unknown-step', { field: 'stepId' });
  const planned = new Map(schedule.steps.map(({ id, startMs }) => [id, startMs]));
  const delayed = steps.map((step) => ({
    ...step,
    notBeforeMs: planned.get(step.id)!,
    lastsMs: step.lastsMs + (step.id === stepId ? byMs : 0),
  }));
  // Who was to begin first goes on first.
  const placed = placeSteps({
    steps: delayed,
    means,
    fromMs: schedule.startsMs,
    urgency: ({ id }) => -planned.get(id)!,
  });
  if (!placed.ok) return placed;
  const moved = placed.value
    .map(({ id, startMs }) => ({ id, byMs: startMs - planned.get(id)! }))
    .filter((each) => each.byMs > SAME_MS)
    .sort((a, b) => planned.get(a.id)! - planned.get(b.id)!);
  const endMs = Math.max(...placed.value.map((step) => step.endMs));
  return ok({ moved, lateMs: Math.max(0, endMs - dueMs) });
}
