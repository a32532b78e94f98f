import { keptApart, learnGarland, type KeptApart } from '@leggero/core/garland';

import { packed, type PackAnswer, type PackQuestion, type TouchQuestion } from './packing';
import type { LearnQuestion } from './softness';
import type { LearnAnswer } from './useSoftness';
import type { ApartQuestion } from './viewGarland';

export type GarlandQuestion = PackQuestion | TouchQuestion | ApartQuestion | LearnQuestion;

/** A garland packed, touched up, its colours laid apart; or what finished ones teach. */
export function garlandAnswer(
  question: GarlandQuestion,
  tell: (share: number) => void,
): PackAnswer | KeptApart | LearnAnswer {
  if ('first' in question) return keptApart(question);
  if ('garlands' in question)
    return learnGarland({ ...question, onDone: (done) => tell(done / question.garlands.length) });
  return packed(question, tell);
}
