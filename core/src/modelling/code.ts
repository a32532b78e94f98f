import { ok, problem, type Result } from '../result';
import { MM_PER_INCH } from '../units';

/** Sizes modelling balloons are sold in. Source: common practice. */
const MODELLING_CODES: readonly string[] = ['130', '160', '260', '350', '360', '646'];

/** What a code says. */
export interface ModellingSize {
  code: string;
  /** Across and along when full, mm. */
  widthMm: number;
  lengthMm: number;
}

export type CodeProblemCode =
  | 'not-digits'
  /** Fewer or more than three digits; `nearest` is the likeliest code. */
  | 'not-three-digits'
  /** A nought where the width or the length should be. */
  | 'no-size';

/**
 * Reads a modelling balloon's code: the first digit is its width in inches, the other two its length in inches
 * (common practice: 260 means 2 in across and 60 in long). It is often misread as 26 by 0, or as centimetres.
 *
 * Problems: `not-digits`, `not-three-digits`, `no-size`, with the nearest code that is sold as `nearest`.
 */
export function readModellingCode(text: string): Result<ModellingSize, CodeProblemCode> {
  const code = text.trim();
  const detail = { nearest: nearestCode(code) };
  if (!/^\d+$/.test(code)) return problem('not-digits', { field: 'code', detail });
  if (code.length !== 3) return problem('not-three-digits', { field: 'code', detail });
  const width = Number(code[0]);
  const length = Number(code.slice(1));
  if (width === 0 || length === 0) return problem('no-size', { field: 'code', detail });
  return ok({ code, widthMm: width * MM_PER_INCH, lengthMm: length * MM_PER_INCH });
}

/** The code that is sold which shares the longest beginning with what was typed. */
function nearestCode(typed: string): string {
  const shared = (code: string) => {
    let count = 0;
    while (count < code.length && code[count] === typed[count]) count += 1;
    return count;
  };
  return MODELLING_CODES.reduce((best, code) => (shared(code) > shared(best) ? code : best), '260');
}
