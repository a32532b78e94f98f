import type { ProblemDetails } from './problemDetails';

/** A refusal of any kind, for who passes it on. */
interface AnyProblem {
  code: string;
  field?: string;
  detail?: object | undefined;
}

/**
 * A refusal as data: what is wrong, which field of the options caused it (dotted where nested: `readings.3.widthMm`),
 * and what its sentence needs, by its code. Words live in the app.
 */
export type Problem<Code extends string = string> = string extends Code
  ? AnyProblem
  : Code extends keyof ProblemDetails
    ? { code: Code; field?: string; detail: ProblemDetails[Code] }
    : { code: Code; field?: string; detail?: undefined };

/** What a core function answers when the user's input may be unusable. */
export type Result<Value, Code extends string = string> =
  { ok: true; value: Value } | { ok: false; problem: Problem<Code> };

/** Wraps a usable answer. */
export function ok<Value>(value: Value): { ok: true; value: Value } {
  return { ok: true, value };
}

type Rest<Code> = Code extends keyof ProblemDetails
  ? [rest: { field?: string; detail: ProblemDetails[Code] }]
  : [rest?: { field?: string }];

/** Wraps a refusal; a code that has details wants them. */
export function problem<Code extends string>(code: Code, ...[rest]: Rest<Code>): { ok: false; problem: Problem<Code> } {
  return { ok: false, problem: { code, ...rest } as Problem<Code> };
}
