import type { Rows } from '@leggero/contract';
import type { Pace } from '@leggero/core/pace';

import { pacesOfRuns } from '@/views/runPaces';

import { asTheyAre, useView } from './records';

const TAPPED = ['inflationBatch', 'turn', 'tally'] as const;

/** How fast balloons were filled in all runs; none until they have come. `usualS`: the trade's pace, see `paceOf`. */
export function useSeenPaces(usualS: number): Pace[] {
  const rows: Pick<Rows, (typeof TAPPED)[number]> | undefined = useView(TAPPED, asTheyAre).data;
  return rows ? pacesOfRuns(rows, usualS) : [];
}
