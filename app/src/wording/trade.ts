import type { BalloonKind, Finish, HoleAnswer, Origin, Outcome, Shape } from '@leggero/core';

/** Plain words for the trade's codes. */
export const KIND_WORDS: Record<BalloonKind, string> = { round: 'Round', linking: 'Linking' };
export const FINISH_WORDS: Record<Finish, string> = {
  matte: 'Matte',
  pearl: 'Pearl',
  mirror: 'Mirror',
  clear: 'Clear',
};
export const SHAPE_WORDS: Record<Shape, string> = { round: 'Round', oval: 'Oval', pear: 'Pear' };
export const OUTCOME_WORDS: Record<Outcome, string> = { ok: 'Soft', hard: 'Hard', burst: 'Burst' };
export const ORIGIN_WORDS: Record<Origin, string> = {
  measured: 'measured',
  estimated: 'estimated',
  rule: 'rule of thumb',
};
export const ANSWER_WORDS: Record<HoleAnswer, { title: string; means: string }> = {
  stops: { title: 'Stops', means: 'too big' },
  passes: { title: 'Just passes', means: 'right' },
  falls: { title: 'Falls through', means: 'too small' },
};

/** "3½ strokes". */
export function strokes(dose: number): string {
  return `${doseText(dose)} ${dose === 1 || dose === 0.5 ? 'stroke' : 'strokes'}`;
}

/** "3½": doses go in halves; finer ones, from other sources, as decimals. */
export function doseText(dose: number): string {
  const whole = Math.floor(dose);
  if (dose === whole) return String(whole);
  if (dose - whole === 0.5) return `${whole === 0 ? '' : whole}½`;
  return dose.toFixed(2);
}

/** "1 reading", "7 readings". */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** "same day", "3 days", "3 weeks". */
export function standing(days: number): string {
  if (days <= 1) return 'same day';
  return days % 7 === 0 ? counted(days / 7, 'week') : counted(days, 'day');
}

/** "number 6", "numbers 2, 5 and 9" from places counted from 0. */
export function numbersOf(indices: readonly number[]): string {
  const numbers = indices.map((index) => String(index + 1));
  if (numbers.length === 1) return `number ${numbers[0]}`;
  return `numbers ${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1)}`;
}
