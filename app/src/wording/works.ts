import type { KindOfWork } from '@leggero/core';

import { listed } from './trade';

export const WORK_WORDS: Record<KindOfWork, { title: string; means: string }> = {
  linking: { title: 'Linking work', means: 'chains, rings and baskets that close' },
  classic: { title: 'Classic work', means: 'columns, arches and spirals of equal balloons' },
  garland: { title: 'Garlands', means: 'clusters that should look alike' },
  organic: { title: 'Organic work', means: 'sizes mixed on purpose' },
};

/** "linking and classic work": the kinds for which a difference is too much. */
export function workList(kinds: readonly KindOfWork[]): string {
  return listed(kinds.map((kind) => WORK_WORDS[kind].title.toLowerCase()));
}
