import type { CheckCreate, CheckRecord, CheckResultRecord } from '@leggero/contract';
import { and, asc, desc, eq, getTableColumns, isNotNull } from 'drizzle-orm';

import { findOwned, insertOnce, type Scope } from '../db/records';
import { checkResults, checks, pieces } from '../db/tables';
import { groupBy } from '../db/shape';
import { holesStillThere } from '../sizer/store';

/** A check as the contract has it. */
function checkOf(row: typeof checks.$inferSelect, results: CheckResultRecord[]): CheckRecord {
  const { studioId: _, startedAt, ...rest } = row;
  return { ...rest, startedAt: startedAt.toISOString(), results };
}

/** One balloon's result as the contract has it. */
function checkResultOf(row: typeof checkResults.$inferSelect): CheckResultRecord {
  const { studioId: _, takenAt, ...rest } = row;
  return { ...rest, takenAt: takenAt.toISOString() };
}

/** Checks, newest first, each with its results by place: of one model, or all that are for a piece. */
export async function checksOf(
  { database, studioId }: Scope,
  of: { modelId: string } | 'pieces',
): Promise<CheckRecord[]> {
  const which = and(
    eq(checks.studioId, studioId),
    of === 'pieces' ? isNotNull(checks.pieceId) : eq(checks.modelId, of.modelId),
  );
  const [rows, results] = await Promise.all([
    database.select().from(checks).where(which).orderBy(desc(checks.startedAt)),
    database
      .select(getTableColumns(checkResults))
      .from(checkResults)
      .innerJoin(checks, eq(checks.id, checkResults.checkId))
      .where(which)
      .orderBy(asc(checkResults.position)),
  ]);
  const byCheck = groupBy(results, (result) => result.checkId);
  return rows.map((row) => checkOf(row, (byCheck.get(row.id) ?? []).map(checkResultOf)));
}

/** Creates a check; repeated, answers it with the results it has by then. */
export async function createCheck(scope: Scope, create: CheckCreate): Promise<{ row: CheckRecord; created: boolean }> {
  const there = await holesStillThere(scope, [create.holeId]);
  const piece = create.pieceId === null ? null : await findOwned(scope, pieces, create.pieceId);
  const outcome = await insertOnce(scope, checks, {
    ...create,
    // A piece that is gone by now leaves the check standing.
    pieceId: piece?.id ?? null,
    holeId: there(create.holeId),
    startedAt: new Date(create.startedAt),
  });
  const results = outcome.created
    ? []
    : await scope.database
        .select()
        .from(checkResults)
        .where(and(eq(checkResults.checkId, create.id), eq(checkResults.studioId, scope.studioId)))
        .orderBy(asc(checkResults.position));
  return { row: checkOf(outcome.row, results.map(checkResultOf)), created: outcome.created };
}

/** Adds the result of one balloon to one of the studio's checks. */
export async function createCheckResult(
  scope: Scope,
  create: CheckResultRecord,
): Promise<{ row: CheckResultRecord; created: boolean }> {
  const { stopsHoleId, passesHoleId } = create;
  const there = await holesStillThere(scope, [stopsHoleId, passesHoleId]);
  const { row, created } = await insertOnce(scope, checkResults, {
    ...create,
    stopsHoleId: there(stopsHoleId),
    passesHoleId: there(passesHoleId),
    takenAt: new Date(create.takenAt),
  });
  return { row: checkResultOf(row), created };
}
