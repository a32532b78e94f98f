import { ok, problem, type Result } from '../result';
import { LONGEST_MM, MM_PER, type LengthUnit } from './length';
import { readNumber } from './readNumber';

export type LengthProblemCode = 'empty' | 'not-a-length' | 'negative' | 'zero-denominator' | 'too-large';

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

const UNITS: Readonly<Record<string, LengthUnit>> = {
  '"': 'in',
  '”': 'in',
  '″': 'in',
  in: 'in',
  inch: 'in',
  inches: 'in',
  cm: 'cm',
  mm: 'mm',
};

const DECIMAL = /^(\d+(?:[.,]\d*)?|[.,]\d+)$/;
const FRACTION = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*[/⁄]\s*(\d+)$/;

/**
 * Reads a length as people write it and gives it in millimetres: "9 3/4", "9¾", `9-3/4"`, "9.75in", "24.8 cm",
 * "24,8 cm", "248mm". A bare number is in `unit`. A comma is a decimal comma; digits are never grouped.
 *
 * Problems: `empty`; `negative`; `zero-denominator`; `too-large` (over 30 m); `not-a-length` for all else.
 */
export function parseLength({ text, unit }: { text: string; unit: LengthUnit }): Result<number, LengthProblemCode> {
  const typed = text.trim().toLowerCase();
  if (typed === '') return problem('empty', { field: 'text' });
  if (/^[-−–]\s*[\d.,¼½¾⅛⅜⅝⅞⅓⅔]/.test(typed)) return problem('negative', { field: 'text' });

  const parts = /^(.*?)\s*(inches|inch|in|cm|mm|["”″])?\.?$/.exec(typed);
  const figure = parts?.[1] ?? '';
  const own = parts?.[2] === undefined ? unit : UNITS[parts[2]];
  const spelled = figure.replace(/\s*-?\s*([¼½¾⅛⅜⅝⅞⅓⅔])/g, (_, glyph: string) => ` ${VULGAR[glyph]}`).trim();
  const value = readFigure(spelled);
  if (value === 'zero-denominator') return problem('zero-denominator', { field: 'text' });
  if (value === null || own === undefined) return problem('not-a-length', { field: 'text' });

  const mm = value * MM_PER[own];
  if (mm > LONGEST_MM) return problem('too-large', { field: 'text', detail: { mostMm: LONGEST_MM } });
  return ok(mm);
}

function readFigure(text: string): number | 'zero-denominator' | null {
  if (DECIMAL.test(text)) return readNumber(text);
  const match = FRACTION.exec(text);
  if (!match) return null;
  const [, whole = '0', over, under] = match;
  if (Number(under) === 0) return 'zero-denominator';
  return Number(whole) + Number(over) / Number(under);
}
