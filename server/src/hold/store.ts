import type { HoldTestCreate, HoldTestRecord } from '@leggero/contract';
import { and, asc, eq, getTableColumns } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { groupBy, withoutStudio } from '../db/shape';
import { holdReadings, holdTests } from '../db/tables';
import { makeRow, type Outcome } from '../records/commands';
import type { Asked } from '../records/guard';
import { listRows } from '../records/store';

/** Hold tests, newest first, each with its widths by hours: of one model, or of all. */
export async function holdTestsOf(scope: Scope, modelId?: string): Promise<HoldTestRecord[]> {
  const { database, studioId } = scope;
  const which = modelId === undefined ? undefined : eq(holdTests.modelId, modelId);
  const [rows, taken] = await Promise.all([
    listRows(scope, 'holdTest', which),
    database
      .select(getTableColumns(holdReadings))
      .from(holdReadings)
      .innerJoin(holdTests, eq(holdTests.id, holdReadings.holdTestId))
      .where(and(eq(holdTests.studioId, studioId), which))
      .orderBy(asc(holdReadings.hours)),
  ]);
  const byTest = groupBy(taken, (reading) => reading.holdTestId);
  return rows.map((row) => ({ ...row, readings: (byTest.get(row.id) ?? []).map(withoutStudio) }));
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
