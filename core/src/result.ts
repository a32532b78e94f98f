/** A refusal as data: what is wrong, and which field of the options caused it. Words live in the app. */
export interface Problem<Code extends string = string> {
  code: Code;
  /** The option that caused it, dotted where nested (`readings.3.widthMm`). */
  field?: string;
  /** Limits and counts the sentence needs; lengths in mm, volumes in litres. */
  detail?: Readonly<Record<string, number | string>>;
}

/** What a core function answers when the user's input may be unusable. */
export type Result<Value, Code extends string = string> =
  { ok: true; value: Value } | { ok: false; problem: Problem<Code> };

/** Wraps a usable answer. */
export function ok<Value>(value: Value): { ok: true; value: Value } {
  return { ok: true, value };
}

/** Wraps a refusal. */
export function problem<Code extends string>(
  code: Code,
  rest: Omit<Problem<Code>, 'code'> = {},
): { ok: false; problem: Problem<Code> } {
  return { ok: false, problem: { code, ...rest } };
}
