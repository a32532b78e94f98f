import type { Rows } from '@leggero/contract';

import { resultsOf } from './checks';
import { readingsOf } from './shelf';

/** How the nouns of many rows are grouped, each by itself: done part by part, before a page waits for all of it. */
export const GROUPED_AHEAD = [
  ({ reading }: Rows) => void readingsOf(reading),
  ({ checkResult }: Rows) => void resultsOf(checkResult),
] as const;
