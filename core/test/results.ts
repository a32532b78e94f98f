import type { Result } from '../src/result';

/** Inches as millimetres. */
export const inch = (inches: number) => inches * 25.4;

/** What a result carries; throws with its problem where it has none. */
export function value<Value>(result: Result<Value>): Value {
  if (!result.ok) throw new Error(`${result.problem.code} ${JSON.stringify(result.problem.detail)}`);
  return result.value;
}

/** The problem of a result, or 'none'. */
export const problemOf = (result: Result<unknown>) => (result.ok ? 'none' : result.problem);
