import { keptApart, type KeptApart } from '@leggero/core/garland';

import { answerWith } from '@/device/answer';

import { packed, type PackAnswer, type PackQuestion, type TouchQuestion } from './packing';
import type { ApartQuestion } from './viewGarland';

/** Packs a garland, touches it up, or lays its colours apart, off the page's own thread. */
answerWith<PackQuestion | TouchQuestion | ApartQuestion, PackAnswer | KeptApart>({
  work: (question, tell) => ('first' in question ? keptApart(question) : packed(question, tell)),
});
