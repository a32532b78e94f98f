import type { HoldTestCreate, HoldTestRecord } from '@leggero/contract';
import { eq } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { holdReadings, holdTests } from '../db/tables';
import { makeRow, type Outcome } from '../records/commands';
import type { Asked } from '../records/guard';
import { listHanging, listRows } from '../records/store';

/** Hold tests, newest first, each with its widths by hours: of one model, or of all. */
export async function holdTestsOf(scope: Scope, modelId?: string): Promise<HoldTestRecord[]> {
  const which = modelId === undefined ? undefined : eq(holdTests.modelId, modelId);
  const [rows, readings] = await Promise.all([
    listRows(scope, 'holdTest', which),
    listHanging(scope, 'holdReading', 'holdTestId', { of: 'holdTest', which }),
  ]);
  return rows.map((row) => ({ ...row, readings: readings.get(row.id) ?? [] }));
}

/** Starts a hold test with its width at the knot, both or neither. */
export async function createHoldTest(
  asked: Asked,
  { firstReadingId, firstWidthMm, ...test }: HoldTestCreate,
): Promise<Outcome<HoldTestRecord>> {
  const { row, created } = await makeRow(asked, 'holdTest', test);
  const first = { id: firstReadingId, holdTestId: test.id, hours: 0, widthMm: firstWidthMm };
  if (created) await makeRow(asked, 'holdReading', first);
  const readings = await listRows(asked, 'holdReading', eq(holdReadings.holdTestId, test.id));
  return { row: { ...row, readings }, created };
}
