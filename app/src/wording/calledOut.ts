import type { HoleAnswer, Tallied } from '@leggero/core';

/** Something that was called out at a station. */
export type Called =
  { kind: 'tap'; what: Tallied } | { kind: 'answer'; answer: HoleAnswer } | { kind: 'undo' } | { kind: 'check' };

/** What is said for a tap; what sounds alike counts too. */
const TAPS: Record<string, Called> = {
  done: { kind: 'tap', what: 'done' },
  next: { kind: 'tap', what: 'done' },
  popped: { kind: 'tap', what: 'popped' },
  pop: { kind: 'tap', what: 'popped' },
  burst: { kind: 'tap', what: 'popped' },
  pinhole: { kind: 'tap', what: 'pinhole' },
  leak: { kind: 'tap', what: 'pinhole' },
  'wrong size': { kind: 'tap', what: 'size' },
  undo: { kind: 'undo' },
  'take back': { kind: 'undo' },
  check: { kind: 'check' },
};

/** What is said of a balloon at the hole. */
const ANSWERS: Record<string, Called> = {
  'too big': { kind: 'answer', answer: 'stops' },
  stops: { kind: 'answer', answer: 'stops' },
  passes: { kind: 'answer', answer: 'passes' },
  right: { kind: 'answer', answer: 'passes' },
  'too small': { kind: 'answer', answer: 'falls' },
  falls: { kind: 'answer', answer: 'falls' },
};

/** What was called out in a phrase, in its order; other words are passed over. At the hole only the first answer counts. */
export function calledOut(phrase: string, checking: boolean): Called[] {
  const words = checking ? ANSWERS : TAPS;
  const found = [...phrase.toLowerCase().matchAll(new RegExp(`\\b(${Object.keys(words).join('|')})\\b`, 'g'))];
  const called = found.map(([word]) => words[word]!);
  return checking ? called.slice(0, 1) : called;
}
