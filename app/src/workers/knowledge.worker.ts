import { knowShelf, type Inflator, type ShelfBalloon, type ShelfKnowledge } from '@leggero/core';

import { answerWith } from './answer';

/** What the worker is sent. */
export interface KnowledgeQuestion {
  balloons: ShelfBalloon[];
  inflators: Map<string, Inflator>;
}

/** Works out what a large shelf teaches, off the page's own thread. */
answerWith<KnowledgeQuestion, ShelfKnowledge>({ work: knowShelf });
