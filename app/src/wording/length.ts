import type { LengthProblemCode } from '@leggero/core';

/** What is wrong with a length as typed, and what would do. */
export const LENGTH_PROBLEMS: Record<LengthProblemCode, string> = {
  empty: 'Enter a length, such as 9 3/4 or 24.8 cm.',
  'not-a-length': 'This cannot be read as a length. Try 9 3/4, 9.75 or 24.8 cm.',
  negative: 'A length is more than zero.',
  'zero-denominator': 'A fraction cannot have a zero below the line.',
  'too-large': 'That is more than 30 m. Check the unit.',
  'inches-over-foot': 'Twelve inches make a foot: beside feet there are fewer.',
};
