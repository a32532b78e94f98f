import { INFLATION_NOUNS, inflationsOf, type ShownRun } from '@/views/inflation';

import { asTheyAre, useView } from './records';

/** The inflation runs of an event, newest first; undefined until they have come. */
export function useInflations(eventId: string): ShownRun[] | undefined {
  const rows = useView(INFLATION_NOUNS, asTheyAre).data;
  return rows && inflationsOf(rows, eventId);
}
