import type { CheckRecord, RowOf } from '@leggero/contract';
import { and, asc, eq, getTableColumns, type SQL } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { groupBy, withoutStudio } from '../db/shape';
import { checkResults, checks } from '../db/tables';
import { listRows } from '../records/store';

/** Checks that meet a condition, newest first, each with its results by place. */
export async function checksOf(scope: Scope, condition: SQL): Promise<CheckRecord[]> {
  const { database, studioId } = scope;
  const [rows, results] = await Promise.all([
    listRows(scope, 'check', condition),
    database
      .select(getTableColumns(checkResults))
      .from(checkResults)
      .innerJoin(checks, eq(checks.id, checkResults.checkId))
      .where(and(eq(checks.studioId, studioId), condition))
      .orderBy(asc(checkResults.position)),
  ]);
  const byCheck = groupBy(results, (result) => result.checkId);
  return rows.map((row) => ({ ...row, results: (byCheck.get(row.id) ?? []).map(withoutStudio) }));
}

/** A check with its results. */
export async function withResults(scope: Scope, row: RowOf<'check'>): Promise<CheckRecord> {
  return { ...row, results: await listRows(scope, 'checkResult', eq(checkResults.checkId, row.id)) };
}
