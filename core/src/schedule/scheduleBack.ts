import { ok, type Result } from '../result';
import type { Means, PlacedStep, ScheduleProblemCode, Step, Stretch } from './kinds';
import { byTail, placeSteps, type Urgency } from './placeSteps';

/** A step as late as it can be, and how much sooner it could be. */
export interface ScheduledStep extends PlacedStep {
  /**
   * How much sooner it could be begun, by those there are, if all began now; below zero where it should have been. Of what
   * is done in hours of work alone those are counted.
   */
  floatMs: number;
  /** No step has less of it: what delays this delays the end. */
  critical: boolean;
}

/** A plan backwards from when all must be done. */
export interface Schedule {
  /** In the order in which they begin. */
  steps: ScheduledStep[];
  startsMs: number;
  endsMs: number;
  /** How much too late it is: 0 where it can be kept. */
  lateMs: number;
  /** The step that would have to begin before it may; null where it can be kept. */
  lateStep: string | null;
}

export interface ScheduleOptions {
  steps: readonly Step[];
  means: Means;
  /** When all must be done. */
  dueMs: number;
  nowMs: number;
}

/** Orders of placing that are tried: the longest chain first, the longest step, most hands, what most waits for. */
const URGENCIES: readonly Urgency[] = [
  byTail,
  ({ lastsMs }) => lastsMs,
  ({ people, stations, lastsMs }) => (people + stations) * lastsMs,
  ({ id }, { before, tailMs }) => before.get(id)!.length * 1e12 + tailMs.get(id)!,
];
/** Floats that differ by less are the same: in which order pieces are built is nobody's delay. */
const SAME_MS = 300_000;

/**
 * Steps backwards from when all must be done, each as late as it can be: a mirror of placing them as early as can be from
 * the last on. Of a few orders of placing the one is taken that begins latest. How much air a step has is the way from
 * where it would be if all began now, in the same order, to where it is.
 *
 * Problems: those of `placeSteps`.
 *
 * Source: critical path method (Kelley and Walker, Critical-Path Planning and Scheduling, 1959), with means that are held
 * (serial schedule generation, backwards; Kolisch, 1996).
 */
export function scheduleBack({ steps, means, dueMs, nowMs }: ScheduleOptions): Result<Schedule, ScheduleProblemCode> {
  const mirror = mirrored(steps, means);
  let best: PlacedStep[] | null = null;
  for (const urgency of URGENCIES) {
    const tried = placeSteps({ ...mirror, fromMs: -dueMs, urgency });
    if (!tried.ok) return tried;
    if (best === null || lastEnd(tried.value) < lastEnd(best)) best = tried.value;
  }
  const latest = best!.map(turned);
  const planned = new Map(latest.map(({ id, startMs }) => [id, startMs]));
  const early = placeSteps({ steps, means, fromMs: nowMs, urgency: ({ id }) => -planned.get(id)! });
  if (!early.ok) return early;
  const floats = latest.map(({ startMs }, i) => {
    const from = early.value[i]!.startMs;
    return steps[i]!.anyHour ? startMs - from : workBetween(means.hours, from, startMs);
  });
  const least = Math.min(...floats);
  const scheduled = latest.map((step, i): ScheduledStep => {
    return { ...step, floatMs: floats[i]!, critical: floats[i]! < least + SAME_MS };
  });
  const over = latest.map(({ startMs }, i) => Math.max(nowMs, steps[i]!.notBeforeMs ?? -Infinity) - startMs);
  const lateMs = Math.max(0, ...over);
  return ok({
    steps: scheduled.sort((a, b) => a.startMs - b.startMs || a.endMs - b.endMs),
    startsMs: Math.min(dueMs, ...latest.map(({ startMs }) => startMs)),
    endsMs: dueMs,
    lateMs,
    lateStep: lateMs > 0 ? steps[over.indexOf(lateMs)]!.id : null,
  });
}

/** Hours of work between two moments, ms; below zero where the second comes first. */
function workBetween(hours: readonly Stretch[], fromMs: number, toMs: number): number {
  if (toMs < fromMs) return -workBetween(hours, toMs, fromMs);
  return hours.reduce((sum, hour) => sum + Math.max(0, Math.min(hour.toMs, toMs) - Math.max(hour.fromMs, fromMs)), 0);
}

const lastEnd = (placed: readonly PlacedStep[]): number => Math.max(-Infinity, ...placed.map(({ endMs }) => endMs));

const turnedStretch = ({ fromMs, toMs }: Stretch): Stretch => ({ fromMs: -toMs, toMs: -fromMs });

const turned = ({ id, startMs, endMs, parts }: PlacedStep): PlacedStep => ({
  ...{ id, startMs: -endMs, endMs: -startMs },
  parts: parts.map(turnedStretch).reverse(),
});

/** The same steps in the other direction of time. When one may begin is not asked there, but held against what came out. */
function mirrored(steps: readonly Step[], means: Means): { steps: Step[]; means: Means } {
  const after = new Map<string, string[]>(steps.map(({ id }) => [id, []]));
  for (const step of steps) for (const id of step.after) after.get(id)?.push(step.id);
  const known = (step: Step) => step.after.every((id) => after.has(id));
  return {
    // A step that waits for one there is not keeps that, so that it is told.
    steps: steps.map((step) => ({
      ...step,
      after: known(step) ? after.get(step.id)! : step.after,
      notBeforeMs: null,
    })),
    means: { ...means, hours: means.hours.map(turnedStretch).reverse() },
  };
}
