import { planOf, type EventRecord, type WorkPlan } from '@leggero/contract';
import type { Result, Trade } from '@leggero/core';
import { workOf, type PieceWork } from '@leggero/core/recipe';
import {
  closesMs,
  downSteps,
  eventSchedule,
  placeSteps,
  whatGives,
  type EventAsked,
  type EventSchedule,
  type EventStep,
  type Given,
  type PlacedStep,
  type ScheduleProblemCode,
} from '@leggero/core/schedule';

import type { StepsDone } from './stepsDone';
import { workHours } from './workHours';

/** A step of an event's schedule as pages show it. */
export interface PlannedStep extends PlacedStep, Pick<EventStep, 'kind' | 'piece' | 'people' | 'stations'> {
  /** Null of what comes after the opening. */
  floatMs: number | null;
  critical: boolean;
}

/** Steps of one kind that are shown as one: each piece of its own is built, and put up. */
export interface StepGroup {
  kind: PlannedStep['kind'];
  steps: PlannedStep[];
  startMs: number;
  endMs: number;
  /** At once, at most. */
  people: number;
  stations: number;
  /** The least of its steps; null of what comes after the opening. */
  floatMs: number | null;
  critical: boolean;
}

/** The schedule of an event, from what is bought to the way back. */
export interface EventDay {
  opensMs: number;
  schedule: EventSchedule;
  /** In the order in which they begin. */
  steps: PlannedStep[];
  groups: StepGroup[];
  /** What would have to give, the gentlest first; empty where it can be kept. */
  given: Given[];
  asked: EventAsked;
}

interface EventDayOptions {
  event: EventRecord;
  opensAt: string;
  plan: WorkPlan;
  works: readonly PieceWork[];
  isPair: (balloon: string) => boolean;
  /** Something is to be bought for it. */
  buys: boolean;
  progress: StepsDone;
  nowMs: number;
  trade: Trade;
}

const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;
/** So far before the earlier of now and the opening work may begin, and go on after the later. */
const REACH_MS = 45 * DAY_MS;
/** How long one works where days are longer, minutes after midnight. */
const LONG_DAY_MIN = 1320;

/** What an event asks of its schedule. */
function askedOf({ event, opensAt, plan, works, isPair, buys, progress, nowMs }: EventDayOptions): EventAsked {
  const opensMs = Date.parse(opensAt);
  return {
    pieces: works.map((work) => {
      const { balloons, stuffed, knots, clusters } = workOf([work], isPair);
      return { id: work.piece, balloons, stuffed, knots, clusters, copies: work.copies };
    }),
    plan: {
      ...{ people: plan.people, stations: plan.stations, sized: plan.sized },
      travelMs: plan.travelMin * MINUTE_MS,
      deliveryMs: buys ? plan.deliveryDays * DAY_MS : 0,
    },
    ...{ opensMs, dueMs: opensMs - plan.spareMin * MINUTE_MS, nowMs, wraps: event.wraps },
    ...{ done: progress.done, made: progress.made },
    hours: hoursOf(plan, event.timeZone, opensMs, nowMs),
  };
}

const hoursOf = ({ dayFromMin, dayToMin }: WorkPlan, timeZone: string | null, opensMs: number, nowMs: number) =>
  workHours({
    fromMs: Math.min(opensMs, nowMs) - REACH_MS,
    toMs: Math.max(opensMs, nowMs) + REACH_MS,
    ...{ dayFromMin, dayToMin, timeZone },
  });

/** The schedule of an event backwards from its opening, and what would have to give where it cannot be kept. */
export function eventDay(options: EventDayOptions): Result<EventDay, ScheduleProblemCode> {
  const { event, plan, progress, nowMs, trade } = options;
  const asked = askedOf(options);
  const made = eventSchedule(asked, trade);
  if (!made.ok) return made;
  const schedule = made.value;
  const after = downSteps({
    ...{ pieces: asked.pieces, plan: asked.plan, done: progress.done, trade },
    closesMs: closesMs({ opensMs: asked.opensMs, daysStanding: event.daysStanding }, trade),
  });
  const means = { people: plan.people, stations: plan.stations, hours: asked.hours };
  const down = placeSteps({ steps: after, means, fromMs: asked.opensMs });
  if (!down.ok) return down;
  const known = new Map([...schedule.all, ...after].map((step) => [step.id, step]));
  const shown = (step: PlacedStep, floatMs: number | null, critical: boolean): PlannedStep => {
    const { kind, piece, people, stations } = known.get(step.id)!;
    return { ...step, kind, piece, people, stations, floatMs, critical };
  };
  // Where it can be kept nobody asks what would have to give.
  const given = () => {
    const longDay = { ...plan, dayToMin: Math.max(plan.dayToMin, LONG_DAY_MIN) };
    return whatGives(asked, { longHours: hoursOf(longDay, event.timeZone, asked.opensMs, nowMs) }, trade);
  };
  const steps = [
    ...schedule.steps.map((step) => shown(step, step.floatMs, step.critical)),
    ...down.value.map((step) => shown(step, null, false)),
  ];
  return {
    ok: true,
    value: {
      ...{ opensMs: asked.opensMs, schedule, asked, steps, groups: groupsOf(steps, plan.people) },
      given: schedule.lateMs > 0 ? given() : [],
    },
  };
}

function groupsOf(steps: readonly PlannedStep[], people: number): StepGroup[] {
  const kinds = [...new Set(steps.map(({ kind }) => kind))];
  return kinds.map((kind): StepGroup => {
    const own = steps.filter((step) => step.kind === kind);
    const floats = own.flatMap(({ floatMs }) => (floatMs === null ? [] : [floatMs]));
    return {
      ...{ kind, steps: own },
      startMs: Math.min(...own.map(({ startMs }) => startMs)),
      endMs: Math.max(...own.map(({ endMs }) => endMs)),
      people: Math.min(
        people,
        own.reduce((sum, step) => sum + step.people, 0),
      ),
      stations: Math.max(...own.map(({ stations }) => stations)),
      floatMs: floats.length === 0 ? null : Math.min(...floats),
      critical: own.some(({ critical }) => critical),
    };
  });
}

/** How an event is changed so that something gives; null where that is for people to do. */
export function changeGiving(
  { give }: Given,
  event: Pick<EventRecord, 'plan'>,
): Partial<Pick<EventRecord, 'plan' | 'wraps'>> | null {
  const plan = planOf(event);
  const planned = (by: Partial<WorkPlan>) => ({ plan: { ...plan, ...by } });
  switch (give.kind) {
    case 'wrap-twice':
      return { wraps: 2 };
    case 'faster-delivery':
      return planned({ deliveryDays: 1 });
    case 'longer-days':
      return planned({ dayToMin: Math.max(plan.dayToMin, LONG_DAY_MIN) });
    case 'stations':
      return planned({ stations: give.count });
    case 'people':
      return planned({ people: give.count, stations: Math.max(plan.stations, give.count) });
    case 'no-spare-time':
      return planned({ spareMin: 0 });
    case 'by-eye':
      return planned({ sized: false });
    case 'leave-out':
    case 'later':
      return null;
  }
}
