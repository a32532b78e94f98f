import {
  DOSE_SCALES,
  type Decor,
  type Finish,
  type HoleAnswer,
  type InflatorKind,
  type ModelKind,
  type Nozzle,
  type Origin,
  type Outcome,
  type Shape,
  type Way,
} from '@leggero/core';

/** Plain words for the trade's codes. */
export const KIND_WORDS: Record<ModelKind, string> = {
  round: 'Round',
  linking: 'Linking',
  modelling: 'Modelling',
  foil: 'Foil',
  'stretch-foil': 'Stretchy foil',
};
export const DECOR_WORDS: Record<Decor, string> = { none: 'Plain', print: 'Printed', confetti: 'Confetti' };
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

export const WAY_WORDS: Record<Way, { title: string; means: string }> = {
  tape: { title: 'Tape', means: 'around the widest place' },
  caliper: { title: 'Caliper', means: 'across the widest place' },
  hole: { title: 'Hole', means: 'the hole it just passes' },
  bracket: { title: 'Two holes', means: 'stops at one, passes the next' },
  reference: { title: 'By eye', means: 'beside a balloon of known size' },
};
export const INFLATOR_WORDS: Record<InflatorKind, { title: string; means: string }> = {
  hand: { title: 'Hand pump', means: 'hand pump' },
  timed: { title: 'Timed', means: 'timed inflator' },
  twin: { title: 'Two nozzles', means: 'two-nozzle inflator' },
};
export const NOZZLE_WORDS: Record<Nozzle, string> = { left: 'Left', right: 'Right' };

/** "strokes" or "seconds". */
export function doseUnit(kind: InflatorKind): 'strokes' | 'seconds' {
  return DOSE_SCALES[kind].unit === 'stroke' ? 'strokes' : 'seconds';
}

/** "3½ strokes", "2.4 s". */
export function dosed(dose: number, kind: InflatorKind): string {
  return `${doseText(dose, kind)} ${unitBeside(dose, kind)}`;
}

/** What stands beside a dose: "stroke" for one or half of one, "strokes", "s". */
export function unitBeside(dose: number, kind: InflatorKind): string {
  if (DOSE_SCALES[kind].unit === 'second') return 's';
  return dose === 1 || dose === 0.5 ? 'stroke' : 'strokes';
}

/** "3½" strokes: they go in halves; "2.4" seconds. Finer strokes, from other sources, as decimals. */
export function doseText(dose: number, kind: InflatorKind = 'hand'): string {
  if (DOSE_SCALES[kind].unit === 'second') return dose.toFixed(1);
  const whole = Math.floor(dose);
  if (dose === whole) return String(whole);
  if (dose - whole === 0.5) return `${whole === 0 ? '' : whole}½`;
  return dose.toFixed(2);
}

/** "a tape" as a sentence begins: "A tape". */
export function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** "1 reading", "7 readings". */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** "for the evening", "1 day", "3 days", "3 weeks". */
export function standing(days: number): string {
  if (days === 0) return 'for the evening';
  return days % 7 === 0 ? counted(days / 7, 'week') : counted(days, 'day');
}

/** "number 6", "numbers 2, 5 and 9" from places counted from 0. */
export function numbersOf(indices: readonly number[]): string {
  return `${indices.length === 1 ? 'number' : 'numbers'} ${listed(indices.map((index) => String(index + 1)))}`;
}

/** "a, b and c". */
export function listed(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

/** "95 %". */
export function percent(fraction: number): string {
  return `${Math.round(100 * fraction)} %`;
}

/** "pre-stretched, rounded off"; "as it comes" for neither. */
export function preparation({ preStretched, roundedOff }: { preStretched: boolean; roundedOff: boolean }): string {
  const words = [preStretched && 'pre-stretched', roundedOff && 'rounded off'].filter(Boolean);
  return words.length > 0 ? words.join(', ') : 'as it comes';
}

/** How a share of nominal feels in the hand. */
export function feelOf(fraction: number): string {
  if (fraction > 0.93) return 'hard, shiny, quick to pop';
  if (fraction > 0.86) return 'firm, gives a little';
  if (fraction > 0.75) return 'soft, springs back';
  if (fraction > 0.6) return 'very soft, nests well';
  return 'slack, with a long neck';
}
