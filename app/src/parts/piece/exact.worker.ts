import { howExact } from '@leggero/core/building';

import { answerWith } from '@/device/answer';

import type { ExactAnswer, ExactQuestion } from './useExact';

/** Builds a piece some ten thousand times, off the page's own thread. */
answerWith<ExactQuestion, ExactAnswer>({
  work: (question, tell) => howExact({ ...question, onDone: (built, of) => tell(built / of) }),
});
