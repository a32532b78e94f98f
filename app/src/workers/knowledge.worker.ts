import { knowShelf, type Inflator, type ShelfBalloon } from '@leggero/core';

/** What the worker is sent. */
export interface KnowledgeQuestion {
  balloons: ShelfBalloon[];
  inflators: Map<string, Inflator>;
}

/** Works out what a large shelf teaches, off the page's own thread. */
self.onmessage = ({ data }: MessageEvent<KnowledgeQuestion>) => {
  (self as unknown as Worker).postMessage(knowShelf(data));
};
