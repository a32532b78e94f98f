import type { Result } from '@leggero/core';
import {
  keptApart,
  learnGarland,
  simulateGarland,
  type GarlandSimulation,
  type KeptApart,
  type PackGarlandProblemCode,
} from '@leggero/core/garland';

import { inHollows, type DecorateQuestion, type InHollows } from './decorators';
import { packed, type PackAnswer, type PackQuestion, type TouchQuestion } from './packing';
import type { LearnQuestion } from './softness';
import type { LearnAnswer } from './useSoftness';
import type { ApartQuestion } from './viewGarland';

/** What is asked to make a garland again and again. */
export type SimulateQuestion = Required<Omit<Parameters<typeof simulateGarland>[0], 'onDone'>>;
export type SimulateAnswer = Result<GarlandSimulation, PackGarlandProblemCode>;

export type GarlandQuestion =
  PackQuestion | TouchQuestion | ApartQuestion | DecorateQuestion | LearnQuestion | SimulateQuestion;

/** A garland packed, touched up, its colours laid apart, its hollows filled, made again and again; or what finished ones teach. */
export function garlandAnswer(
  question: GarlandQuestion,
  tell: (share: number) => void,
): PackAnswer | KeptApart | InHollows | LearnAnswer | SimulateAnswer {
  if ('first' in question) return keptApart(question);
  if ('trimmings' in question) return inHollows(question);
  if ('garlands' in question)
    return learnGarland({ ...question, onDone: (done) => tell(done / question.garlands.length) });
  if ('own' in question) return simulateGarland({ ...question, onDone: (made, of) => tell(made / of) });
  return packed(question, tell);
}
