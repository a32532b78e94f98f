import type { InflationBatch, Rows } from '@leggero/contract';

import { batchesOf } from '@/views/runs';

import { asTheyAre, useView } from './records';

const BATCH = ['inflationBatch'] as const;

/** The batches of runs as they were accepted, by run; undefined until they have come. */
export function useRunBatches(): ((inflationId: string) => readonly InflationBatch[]) | undefined {
  const rows: Pick<Rows, 'inflationBatch'> | undefined = useView(BATCH, asTheyAre).data;
  return rows && ((inflationId) => batchesOf(rows.inflationBatch).of(inflationId));
}
