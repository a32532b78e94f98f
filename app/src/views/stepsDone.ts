import type { SiteTick } from '@leggero/contract';
import { STEP_KINDS, type StepKind } from '@leggero/core/schedule';

/** What of a schedule is done: steps by their ids, and balloons that stations made. */
export interface StepsDone {
  done: ReadonlySet<string>;
  made: number;
}

/** A step of a schedule among the steps of an event's lists. */
const DONE = 'done ';
export const tickOfStep = (stepId: string): string => `${DONE}${stepId}`;

export function stepsDone(ticks: readonly SiteTick[], made: number): StepsDone {
  const ids = ticks.flatMap(({ key }) => (key.startsWith(DONE) ? [key.slice(DONE.length)] : []));
  return { done: new Set(ids), made };
}

/** A step of an event's schedule by its id; null of one that is none. */
export function stepOfId(id: string): { kind: StepKind; piece: string | null } | null {
  const [first, piece = null] = id.split(' ');
  const kind = STEP_KINDS.find((each) => each === first);
  return kind ? { kind, piece } : null;
}
