import type { HoldReadingRecord, HoldTestCreate, HoldTestRecord } from '@leggero/contract';
import { holdTestProblem } from '@leggero/core';
import { and, asc, desc, eq, getTableColumns } from 'drizzle-orm';

import { insertOnce, readOwned, type Scope } from '../db/records';
import { holdReadings, holdTests } from '../db/tables';
import { groupBy, withoutStudio } from '../db/shape';
import { HttpProblem } from '../http/problem';
import { HOLD_REFUSED } from '../http/words';

/** Hold tests, newest first, each with its widths by hours: of one model, or of all. */
export async function holdTestsOf({ database, studioId }: Scope, modelId?: string): Promise<HoldTestRecord[]> {
  const which = and(
    eq(holdTests.studioId, studioId),
    modelId === undefined ? undefined : eq(holdTests.modelId, modelId),
  );
  const [rows, taken] = await Promise.all([
    database.select().from(holdTests).where(which).orderBy(desc(holdTests.startedAt)),
    database
      .select(getTableColumns(holdReadings))
      .from(holdReadings)
      .innerJoin(holdTests, eq(holdTests.id, holdReadings.holdTestId))
      .where(which)
      .orderBy(asc(holdReadings.hours)),
  ]);
  const byTest = groupBy(taken, (reading) => reading.holdTestId);
  return rows.map((row) => holdTestOf(row, (byTest.get(row.id) ?? []).map(withoutStudio)));
}

function holdTestOf(row: typeof holdTests.$inferSelect, readings: HoldReadingRecord[]): HoldTestRecord {
  const { studioId: _, startedAt, wraps, ...rest } = row;
  return { ...rest, wraps: wraps === 1 ? 1 : 2, startedAt: startedAt.toISOString(), readings };
}

/** Starts a hold test with its width at the knot, both or neither. */
export async function createHoldTest(
  scope: Scope,
  { firstReadingId, firstWidthMm, ...test }: HoldTestCreate,
): Promise<{ row: HoldTestRecord; created: boolean }> {
  const outcome = await scope.database.transaction(async (tx) => {
    const within = { ...scope, database: tx as unknown as Scope['database'] };
    const started = await insertOnce(within, holdTests, { ...test, startedAt: new Date(test.startedAt) });
    const first = { id: firstReadingId, holdTestId: test.id, hours: 0, widthMm: firstWidthMm };
    if (started.created) await insertOnce(within, holdReadings, first);
    return started;
  });
  return { row: holdTestOf(outcome.row, await readingsOf(scope, test.id)), created: outcome.created };
}

async function readingsOf({ database, studioId }: Scope, testId: string): Promise<HoldReadingRecord[]> {
  const rows = await database
    .select()
    .from(holdReadings)
    .where(and(eq(holdReadings.holdTestId, testId), eq(holdReadings.studioId, studioId)))
    .orderBy(asc(holdReadings.hours));
  return rows.map(withoutStudio);
}

/** Adds a width to one of the studio's hold tests; refuses one that cannot be, naming the field. */
export async function createHoldReading(
  scope: Scope,
  create: HoldReadingRecord,
): Promise<{ row: HoldReadingRecord; created: boolean }> {
  const test = await readOwned(scope, holdTests, create.holdTestId);
  const earlier = await readingsOf(scope, create.holdTestId);
  const together = [...earlier.filter(({ id }) => id !== create.id), create];
  const bad = holdTestProblem({ ...holdTestOf(test, []), readings: together });
  if (bad) {
    const path = bad.problem.field?.endsWith('hours') ? 'hours' : 'widthMm';
    throw HttpProblem.unusable({ path, message: HOLD_REFUSED[bad.problem.code] });
  }
  const { row, created } = await insertOnce(scope, holdReadings, create);
  return { row: withoutStudio(row), created };
}
