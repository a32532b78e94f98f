import { and, eq } from 'drizzle-orm';
import type { MySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core';

import { HttpProblem } from '../http/problem';
import { databaseError, type Database } from './connect';

/** A table whose rows belong to a studio. */
export type OwnedTable = MySqlTable & { id: MySqlColumn; studioId: MySqlColumn };

/** Who asks: every store call is scoped to one studio. */
export interface Scope {
  database: Database;
  studioId: string;
}

/** The condition that names one row of one studio. */
export function ownedBy<T extends OwnedTable>(table: T, { studioId }: Scope, id: string) {
  return and(eq(table.id, id), eq(table.studioId, studioId));
}

/** One row of the studio; a 404 problem when it is not there or not the studio's. */
export async function readOwned<T extends OwnedTable>(scope: Scope, table: T, id: string): Promise<T['$inferSelect']> {
  const row = await findOwned(scope, table, id);
  if (!row) throw HttpProblem.notFound();
  return row;
}

/** Deletes one row of the studio; nothing to delete is as good. */
export async function removeOwned(scope: Scope, table: OwnedTable, id: string): Promise<void> {
  await scope.database.delete(table).where(ownedBy(table, scope, id));
}

/** Changes one row of the studio and reads it back; an empty change changes nothing. */
export async function changeOwned<T extends OwnedTable>(
  scope: Scope,
  table: T,
  id: string,
  change: Record<string, unknown>,
): Promise<T['$inferSelect']> {
  if (Object.keys(change).length > 0) {
    await scope.database
      .update(table)
      .set(change as never)
      .where(ownedBy(table, scope, id));
  }
  return readOwned(scope, table, id);
}

/**
 * Inserts a row under the id it brought, unless that id is taken: then what is stored stays. Answers the stored row and
 * whether it is new. An id taken by another studio is a conflict that says nothing of whose it is.
 */
export async function insertOnce<T extends OwnedTable>(
  scope: Scope,
  table: T,
  row: Omit<T['$inferInsert'], 'studioId'> & { id: string },
): Promise<{ row: T['$inferSelect']; created: boolean }> {
  try {
    await scope.database.insert(table).values({ ...row, studioId: scope.studioId } as never);
  } catch (error) {
    if (databaseError(error)?.code !== 'ER_DUP_ENTRY') throw error;
    const stored = await findOwned(scope, table, row.id);
    if (!stored) throw HttpProblem.conflict('This id, or its place, is already taken.');
    return { row: stored, created: false };
  }
  return { row: await readOwned(scope, table, row.id), created: true };
}

/** One row of the studio, or null. */
export async function findOwned<T extends OwnedTable>(
  scope: Scope,
  table: T,
  id: string,
): Promise<T['$inferSelect'] | null> {
  const rows = (await scope.database
    .select()
    .from(table as MySqlTable)
    .where(ownedBy(table, scope, id))
    .limit(1)) as T['$inferSelect'][];
  return rows[0] ?? null;
}
