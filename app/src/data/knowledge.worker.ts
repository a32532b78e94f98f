import { knowShelf, type ShelfKnowledge } from '@leggero/core';

import type { KnowledgeQuestion } from '@/views/knowledge';

import { answerWith } from '@/device/answer';

/** Works out what a large shelf teaches, off the page's own thread. */
answerWith<KnowledgeQuestion, ShelfKnowledge>({ work: knowShelf });
