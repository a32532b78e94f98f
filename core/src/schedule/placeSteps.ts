import { ok, problem, type Result } from '../result';
import type { Means, PlacedStep, ScheduleProblemCode, Step, Stretch } from './kinds';
import { loadOf } from './load';
import { stepOrder, type StepOrder } from './stepOrder';

/** Which of the steps that may be placed is placed next: the one of which this is largest. */
export type Urgency = (step: Step, order: StepOrder) => number;

/** What is placed, into what, and from when on. */
export interface PlaceOptions {
  steps: readonly Step[];
  means: Means;
  fromMs: number;
  urgency?: Urgency;
}

/** The longest chain first. */
export const byTail: Urgency = ({ id }, { tailMs }) => tailMs.get(id)!;

/**
 * Places steps one by one, each as early as it can be: after all it waits for, in hours of work, and where as many people
 * and stations are free all along as it holds. Which comes next of those that may is the most urgent.
 *
 * Problems: `bad-length`, `too-many` (`most`), `unknown-step`, `circle`, `no-hours`, each with the field of its step.
 *
 * Source: serial schedule generation (Kelley, in Muth and Thompson, Industrial Scheduling, 1963; Kolisch, European Journal
 * of Operational Research 90, 1996).
 */
export function placeSteps({
  steps,
  means,
  fromMs,
  urgency = byTail,
}: PlaceOptions): Result<PlacedStep[], ScheduleProblemCode> {
  for (const [at, { lastsMs, people, stations }] of steps.entries()) {
    if (!(Number.isFinite(lastsMs) && lastsMs >= 0)) return problem('bad-length', { field: `steps.${at}.lastsMs` });
    for (const of of ['people', 'stations'] as const)
      if ((of === 'people' ? people : stations) > means[of])
        return problem('too-many', { field: `steps.${at}.${of}`, detail: { most: means[of] } });
  }
  const sorted = stepOrder(steps);
  if (!sorted.ok) return sorted;
  const { before } = sorted.value;
  const load = loadOf(means);
  const placed = new Map<string, PlacedStep>();
  const waits = new Map(steps.map(({ id, after }) => [id, after.length]));
  const byId = new Map(steps.map((step) => [step.id, step]));
  const free = steps.filter(({ after }) => after.length === 0);
  while (free.length > 0) {
    const ranks = free.map((step) => urgency(step, sorted.value));
    const [step] = free.splice(ranks.indexOf(Math.max(...ranks)), 1) as [Step];
    const earliest = Math.max(fromMs, step.notBeforeMs ?? -Infinity, ...step.after.map((id) => placed.get(id)!.endMs));
    const own = placeOne(step, earliest, means.hours, load);
    if (!own) return problem('no-hours', { field: `steps.${steps.indexOf(step)}.lastsMs` });
    load.hold(own.parts, step.people, step.stations);
    placed.set(step.id, own);
    for (const id of before.get(step.id)!) {
      const left = waits.get(id)! - 1;
      waits.set(id, left);
      if (left === 0) free.push(byId.get(id)!);
    }
  }
  return ok(steps.map(({ id }) => placed.get(id)!));
}

/** A step at the earliest time at which it can be; null where the hours end before. */
function placeOne(
  step: Step,
  earliestMs: number,
  hours: readonly Stretch[],
  load: ReturnType<typeof loadOf>,
): PlacedStep | null {
  const { id, lastsMs, anyHour, people, stations } = step;
  if (lastsMs === 0) return { id, startMs: earliestMs, endMs: earliestMs, parts: [] };
  for (let at = earliestMs; Number.isFinite(at);) {
    const parts = anyHour ? [{ fromMs: at, toMs: at + lastsMs }] : partsFrom(at, lastsMs, hours);
    if (!parts) return null;
    const until = load.blockedUntil(parts, people, stations);
    if (until === null) return { id, startMs: parts[0]!.fromMs, endMs: parts.at(-1)!.toMs, parts };
    at = until;
  }
  return null;
}

/** So much work in hours of work, from a moment on; null where they end before. */
function partsFrom(fromMs: number, lastsMs: number, hours: readonly Stretch[]): Stretch[] | null {
  const parts: Stretch[] = [];
  let left = lastsMs;
  for (let at = firstAfter(hours, fromMs); at < hours.length; at += 1) {
    const from = Math.max(fromMs, hours[at]!.fromMs);
    const to = Math.min(hours[at]!.toMs, from + left);
    if (to <= from) continue;
    parts.push({ fromMs: from, toMs: to });
    left -= to - from;
    // Parts of a millisecond are lost in moments of this century.
    if (left < 0.5) return parts;
  }
  return null;
}

/** Place of the first stretch that has not ended by a moment. */
function firstAfter(hours: readonly Stretch[], atMs: number): number {
  let [low, high] = [0, hours.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (hours[middle]!.toMs <= atMs) low = middle + 1;
    else high = middle;
  }
  return low;
}
