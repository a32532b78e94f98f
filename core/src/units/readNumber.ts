/**
 * Reads a number as people write it: a comma is a decimal comma, digits are never grouped, and a dash of any length
 * is a minus. NaN for all else, an empty text too.
 */
export function readNumber(text: string): number {
  const typed = text.trim().replace(/^[−–]/, '-').replace(',', '.');
  return typed === '' ? NaN : Number(typed);
}
