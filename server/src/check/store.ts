import type { CheckRecord, RowOf } from '@leggero/contract';
import { eq, type SQL } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { checkResults } from '../db/tables';
import { listHanging, listRows } from '../records/store';

/** Checks that meet a condition, newest first, each with its results by place. */
export async function checksOf(scope: Scope, which: SQL): Promise<CheckRecord[]> {
  const [rows, results] = await Promise.all([
    listRows(scope, 'check', which),
    listHanging(scope, 'checkResult', 'checkId', { of: 'check', which }),
  ]);
  return rows.map((row) => ({ ...row, results: results.get(row.id) ?? [] }));
}

/** A check with its results. */
export async function withResults(scope: Scope, row: RowOf<'check'>): Promise<CheckRecord> {
  return { ...row, results: await listRows(scope, 'checkResult', eq(checkResults.checkId, row.id)) };
}
