import type { ShelfBalloon } from '@leggero/core';

import { answerWith } from '@/device/answer';
import { learnInParts, type KnowledgeQuestion, type Lesson } from '@/views/knowledge';

/** Works out what a large shelf teaches, off the page's own thread. */
answerWith<KnowledgeQuestion, Lesson, ShelfBalloon[]>({
  work: (question, _, ahead) => learnInParts(question, ahead),
});
