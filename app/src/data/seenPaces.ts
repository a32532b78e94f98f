import type { Pace } from '@leggero/core/pace';

import { pacesOfRuns } from '@/views/runPaces';
import { TAPPED_NOUNS, type TappedRows } from '@/views/runs';

import { asTheyAre, useView } from './records';

/** How fast balloons were filled in all runs; none until they have come. `usualS`: the trade's pace, see `paceOf`. */
export function useSeenPaces(usualS: number): Pace[] {
  const rows: TappedRows | undefined = useView(TAPPED_NOUNS, asTheyAre).data;
  return rows ? pacesOfRuns(rows, usualS) : [];
}
