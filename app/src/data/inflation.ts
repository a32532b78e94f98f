import { INFLATION_NOUNS, inflationsOf, type ShownRun } from '@/views/inflation';

import { useView } from './records';

const asTheyAre = <Given>(rows: Given): Given => rows;

/** The inflation runs of an event, newest first; undefined until they have come. */
export function useInflations(eventId: string): ShownRun[] | undefined {
  const rows = useView(INFLATION_NOUNS, asTheyAre).data;
  return rows && inflationsOf(rows, eventId);
}
