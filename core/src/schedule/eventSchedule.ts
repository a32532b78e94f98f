import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { eventSteps, type EventPlan, type EventStep, type PieceToDo } from './eventSteps';
import type { ScheduleProblemCode, Stretch } from './kinds';
import { scheduleBack, type Schedule } from './scheduleBack';

/** What an event asks of its schedule. */
export interface EventAsked {
  pieces: readonly PieceToDo[];
  plan: EventPlan;
  /** When all is to stand, ms since 1970: the opening less the time kept in hand. */
  dueMs: number;
  opensMs: number;
  nowMs: number;
  /** Turns of the neck: how long ahead balloons may be inflated. */
  wraps: 1 | 2;
  /** Steps that are done, by their ids, and balloons that are made already. */
  done?: ReadonlySet<string> | undefined;
  made?: number | undefined;
  /** Hours of work, one after another, from now to the opening and long before. */
  hours: readonly Stretch[];
}

export interface EventSchedule extends Schedule {
  all: EventStep[];
  /** From the first balloon to the opening, h; null where none is inflated. */
  aheadH: number | null;
  /** Balloons wait for a night before they are loaded. */
  overnight: boolean;
}

const HOUR_MS = 3_600_000;
/** A pause as long between hours of work is a night. */
const NIGHT_MS = 6 * HOUR_MS;

/**
 * The schedule of an event backwards from its opening. Where balloons wait for a night, they are measured in the morning
 * before they are loaded. Balloons are not inflated longer ahead than their necks allow (`aheadH` of `trade`).
 *
 * Problems: `nobody`, `no-station`, and those of `scheduleBack`.
 */
export function eventSchedule(asked: EventAsked, trade: Trade = TRADE): Result<EventSchedule, ScheduleProblemCode> {
  if (!(asked.plan.people >= 1)) return problem('nobody', { field: 'people' });
  if (!(asked.plan.stations >= 1)) return problem('no-station', { field: 'stations' });
  const first = scheduled(asked, false, trade);
  if (!first.ok || !first.value.overnight) return first;
  return scheduled(asked, true, trade);
}

function scheduled(
  { pieces, plan, dueMs, opensMs, nowMs, wraps, hours, done, made }: EventAsked,
  morning: boolean,
  trade: Trade,
): Result<EventSchedule, ScheduleProblemCode> {
  const mostH = wraps === 2 ? trade.aheadH.twice : trade.aheadH.once;
  const inflateFromMs = opensMs - mostH * HOUR_MS;
  const steps = eventSteps({ pieces, plan, done, made, overnight: morning, inflateFromMs, trade });
  const means = { people: plan.people, stations: plan.stations, hours };
  const back = scheduleBack({ steps, means, dueMs, nowMs });
  if (!back.ok) return back;
  const inflating = back.value.steps.find(({ id }) => id === 'inflate');
  const loading = back.value.steps.find(({ id }) => id === 'load');
  const overnight =
    inflating !== undefined && loading !== undefined && nightBetween(inflating.startMs, loading.startMs, hours);
  return ok({
    ...back.value,
    all: steps,
    aheadH: inflating ? (opensMs - inflating.startMs) / HOUR_MS : null,
    overnight: overnight || morning,
  });
}

/** When what opens at a moment is taken down: after so many days, or after an evening; ms since 1970. */
export function closesMs(
  { opensMs, daysStanding }: { opensMs: number; daysStanding: number },
  { eveningH }: Pick<Trade, 'eveningH'> = TRADE,
): number {
  return opensMs + HOUR_MS * (daysStanding === 0 ? eveningH : 24 * daysStanding);
}

/** Whether hours of work pause for a night between two moments. */
function nightBetween(fromMs: number, toMs: number, hours: readonly Stretch[]): boolean {
  return hours.some(({ toMs: endMs }, i) => {
    const next = hours[i + 1];
    return next !== undefined && endMs >= fromMs && next.fromMs <= toMs && next.fromMs - endMs >= NIGHT_MS;
  });
}
