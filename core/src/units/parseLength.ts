import { ok, problem, type Result } from '../result';
import { INCHES_PER_FOOT, LONGEST_MM, MM_PER, type LengthUnit } from './length';
import { readNumber } from './readNumber';

export type LengthProblemCode =
  | 'empty'
  | 'not-a-length'
  | 'negative'
  | 'zero-denominator'
  | 'too-large'
  /** Feet with twelve inches or more beside them. */
  | 'inches-over-foot';

/** Fractions that have a character of their own. */
const VULGAR: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/** Millimetres of a unit as it is written. */
const MM_OF: Readonly<Record<string, number>> = {
  '"': MM_PER.in,
  '”': MM_PER.in,
  '″': MM_PER.in,
  in: MM_PER.in,
  inch: MM_PER.in,
  inches: MM_PER.in,
  cm: MM_PER.cm,
  mm: MM_PER.mm,
  m: 1000,
  metres: 1000,
  meters: 1000,
};

const DECIMAL = /^(\d+(?:[.,]\d*)?|[.,]\d+)$/;
const FRACTION = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*[/⁄]\s*(\d+)$/;

/**
 * Reads a length as people write it and gives it in millimetres: "9 3/4", "9¾", `9-3/4"`, "9.75in", "24.8 cm",
 * "24,8 cm", "248mm", "6 ft 2 in", `6'2½"`, "1.9 m". A bare number is in `unit`. A comma is a decimal comma; digits are
 * never grouped.
 *
 * Problems: `empty`; `negative`; `zero-denominator`; `too-large` (over 30 m); `inches-over-foot` (6 ft 14 in);
 * `not-a-length` for all else.
 */
export function parseLength({ text, unit }: { text: string; unit: LengthUnit }): Result<number, LengthProblemCode> {
  const typed = text.trim().toLowerCase();
  if (typed === '') return problem('empty', { field: 'text' });
  if (/^[-−–]\s*[\d.,¼½¾⅛⅜⅝⅞⅓⅔]/.test(typed)) return problem('negative', { field: 'text' });

  const inFeet = FEET.exec(typed);
  const value = inFeet ? readFeet(inFeet[1]!, inFeet[2]) : readOne(typed, unit);
  if (value === 'zero-denominator') return problem('zero-denominator', { field: 'text' });
  if (value === null) return problem('not-a-length', { field: 'text' });
  if (value.inches >= INCHES_PER_FOOT && value.feet > 0) return problem('inches-over-foot', { field: 'text' });
  const mm = value.mm + (value.feet * INCHES_PER_FOOT + value.inches) * MM_PER.in;
  if (mm > LONGEST_MM) return problem('too-large', { field: 'text', detail: { mostMm: LONGEST_MM } });
  return ok(mm);
}

/** Feet, and inches beside them. */
const FEET = /^(\S+?)\s*(?:ft|foot|feet|['’′])\.?\s*(?:(\S.*?)\s*(?:inches|inch|in|["”″]|''|’’)?\.?)?$/;

interface Read {
  mm: number;
  feet: number;
  inches: number;
}

function readFeet(feet: string, inches: string | undefined): Read | 'zero-denominator' | null {
  const [whole, rest] = [readFigure(spelledOut(feet)), inches === undefined ? 0 : readFigure(spelledOut(inches))];
  if (whole === 'zero-denominator' || rest === 'zero-denominator') return 'zero-denominator';
  return whole === null || rest === null ? null : { mm: 0, feet: whole, inches: rest };
}

function readOne(typed: string, unit: LengthUnit): Read | 'zero-denominator' | null {
  const parts = /^(.*?)\s*(inches|inch|in|cm|mm|metres|meters|m|["”″])?\.?$/.exec(typed);
  const own = parts?.[2];
  const value = readFigure(spelledOut(parts?.[1] ?? ''));
  if (value === null || value === 'zero-denominator') return value;
  const perUnit = own === undefined ? MM_PER[unit] : MM_OF[own];
  return perUnit === undefined ? null : { mm: value * perUnit, feet: 0, inches: 0 };
}

/** "9¾" as "9 3/4". */
function spelledOut(figure: string): string {
  return figure.replace(/\s*-?\s*([¼½¾⅛⅜⅝⅞⅓⅔])/g, (_, glyph: string) => ` ${VULGAR[glyph]}`).trim();
}

function readFigure(text: string): number | 'zero-denominator' | null {
  if (DECIMAL.test(text)) return readNumber(text);
  const match = FRACTION.exec(text);
  if (!match) return null;
  const [, whole = '0', over, under] = match;
  if (Number(under) === 0) return 'zero-denominator';
  return Number(whole) + Number(over) / Number(under);
}
