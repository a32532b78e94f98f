import type { Visitor } from './visitor';

/**
 * How long a page says the same before it is taken at its word, ms: long lists grow by and by, and a worker is asked
 * only once the hand has rested.
 */
const STILL_MS = 1200;

/** What is counted from now on goes on between two looks: how long there is to spare, in hours, minutes or both. */
const COUNTED_DOWN = /\d+ (?:h(?: \d+ min)?|min)\b/g;

/** What a page says while a worker is at it. */
const AT_WORK = /are running|Working (it|out)|^(Building .*|Packing|Making it again and again)\s\d+\s%$/m;

/** What a page says once it says it for a while, and nothing is worked out for it any more. */
export async function stillText(visitor: Visitor): Promise<string> {
  for (let before = ''; ;) {
    const now = await visitor.text();
    const atWork = visitor.page.workers().length > 0 || AT_WORK.test(now);
    if (now === before && !atWork) return now.replaceAll(COUNTED_DOWN, '…');
    before = now;
    await new Promise((resolve) => setTimeout(resolve, STILL_MS));
  }
}
