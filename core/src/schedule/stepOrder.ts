import { ok, problem, type Result } from '../result';
import type { Step } from './kinds';

/** Steps with what hangs on them. */
export interface StepOrder {
  /** Each step after all it waits for. */
  inOrder: readonly Step[];
  /** What waits for each. */
  before: ReadonlyMap<string, readonly string[]>;
  /** From the beginning of each to the end of the longest chain that it begins, ms. */
  tailMs: ReadonlyMap<string, number>;
}

/**
 * Steps in an order in which each comes after all it waits for, and how long the longest chain is that each begins.
 *
 * Problems: `unknown-step` and `circle`, with the field of the step.
 *
 * Source: topological sorting (Kahn, Communications of the ACM 5, 1962).
 */
export function stepOrder(steps: readonly Step[]): Result<StepOrder, 'unknown-step' | 'circle'> {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const before = new Map<string, string[]>(steps.map(({ id }) => [id, []]));
  const waits = new Map<string, number>();
  for (const [at, { id, after }] of steps.entries()) {
    for (const other of after) {
      const own = before.get(other);
      if (!own) return problem('unknown-step', { field: `steps.${at}.after` });
      own.push(id);
    }
    waits.set(id, after.length);
  }
  const free = steps.filter(({ after }) => after.length === 0);
  const inOrder: Step[] = [];
  for (let next = free.shift(); next; next = free.shift()) {
    inOrder.push(next);
    for (const id of before.get(next.id)!) {
      const left = waits.get(id)! - 1;
      waits.set(id, left);
      if (left === 0) free.push(byId.get(id)!);
    }
  }
  if (inOrder.length < steps.length)
    return problem('circle', { field: `steps.${steps.findIndex((step) => !inOrder.includes(step))}.after` });
  const tailMs = new Map<string, number>();
  for (const { id, lastsMs } of [...inOrder].reverse())
    tailMs.set(id, lastsMs + Math.max(0, ...before.get(id)!.map((other) => tailMs.get(other)!)));
  return ok({ inOrder, before, tailMs });
}
