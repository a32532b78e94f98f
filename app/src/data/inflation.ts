import type { CheckRecord } from '@leggero/contract';

import { CHECK_NOUNS, checksOfTurn } from '@/views/checks';
import { INFLATION_NOUNS, inflationsOf, type ShownRun } from '@/views/inflation';

import { asTheyAre, useView } from './records';

/** The inflation runs of an event, newest first; undefined until they have come. */
export function useInflations(eventId: string): ShownRun[] | undefined {
  const rows = useView(INFLATION_NOUNS, asTheyAre).data;
  return rows && inflationsOf(rows, eventId);
}

/** The checks of a station's turns, by turn; undefined until they have come. */
export function useTurnChecks(): ((turnId: string) => CheckRecord[]) | undefined {
  const rows = useView(CHECK_NOUNS, asTheyAre).data;
  return rows && ((turnId) => checksOfTurn(rows, turnId));
}
