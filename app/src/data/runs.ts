import type { InflationRecord, Rows } from '@leggero/contract';

import { openRun, runsOf } from '@/views/runs';

import { asTheyAre, useView } from './records';

const INFLATION = ['inflation'] as const;

/** The inflation run of an event that goes on, null where none does; undefined until that is known. */
export function useOpenRun(eventId: string): InflationRecord | null | undefined {
  const rows: Pick<Rows, 'inflation'> | undefined = useView(INFLATION, asTheyAre).data;
  return rows && (openRun(runsOf(rows.inflation).of(eventId)) ?? null);
}
