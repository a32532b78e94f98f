import { NOUNS, type ChangeOf, type MakeOf, type NounName, type RowOf } from '@leggero/contract';
import { and, asc, desc, eq, gt, inArray, sql, type SQL } from 'drizzle-orm';
import type { MySqlTable } from 'drizzle-orm/mysql-core';

import { databaseError } from '../db/connect';
import type { Scope } from '../db/records';
import { groupBy } from '../db/shape';
import { goingWith } from '../deed/going';
import { HttpProblem } from '../http/problem';
import { asSeen, inReach } from './reach';
import { columnOf, columnsOf, isPlain, plainColumnsOf, TABLES } from './tables';
import type { Writing } from './writing';

/** The condition that names one row that whoever asks has in reach. */
export function ownedBy(name: NounName, scope: Scope, id: string): SQL {
  return and(eq(TABLES[name].id, id), inReach(name, scope))!;
}

/** The order of a noun's lists. */
export function orderOf(name: NounName): SQL[] {
  return NOUNS[name].order.map((field) =>
    field.startsWith('-') ? desc(columnOf(name, field.slice(1))) : asc(columnOf(name, field)),
  );
}

/** Rows of the studio's, in the noun's order. */
export async function listRows<N extends NounName>(scope: Scope, name: N, which?: SQL): Promise<RowOf<N>[]> {
  const rows = (await scope.database
    .select(columnsOf(name))
    .from(TABLES[name] as MySqlTable)
    .where(and(inReach(name, scope), which))
    .orderBy(...orderOf(name))) as RowOf<N>[];
  return asSeen(name, scope.reach, rows);
}

/**
 * The rows of a noun that hang on those of another which meet a condition, in the noun's order: by the id they hang on.
 */
export async function listHanging<N extends NounName>(
  scope: Scope,
  name: N,
  field: keyof RowOf<N> & string,
  { of, which }: { of: NounName; which?: SQL | undefined },
): Promise<Map<string, RowOf<N>[]>> {
  const on = scope.database
    .select({ id: TABLES[of].id })
    .from(TABLES[of] as MySqlTable)
    .where(and(inReach(of, scope), which));
  return groupBy(await listRows(scope, name, inArray(columnOf(name, field), on)), (row) => String(row[field]));
}

/** The studio's rows of a noun after an id, in the order of ids: page by page all of them. */
export async function rowsAfter<N extends NounName>(
  scope: Scope,
  name: N,
  { last, most }: { last: string; most: number },
): Promise<RowOf<N>[]> {
  const { id } = TABLES[name];
  const rows = (await scope.database
    .select(columnsOf(name))
    .from(TABLES[name] as MySqlTable)
    .where(and(inReach(name, scope), gt(id, last)))
    .orderBy(asc(id))
    .limit(most)) as RowOf<N>[];
  return asSeen(name, scope.reach, rows);
}

/** Which of some nouns have rows that whoever asks has in reach: one statement for all of them. */
export async function withRows(scope: Scope, names: readonly NounName[]): Promise<Set<NounName>> {
  const asked = names.map(
    (name) =>
      sql`select ${name} as noun from dual where exists (select 1 from ${TABLES[name]} where ${inReach(name, scope)})`,
  );
  if (asked.length === 0) return new Set();
  const [rows] = (await scope.database.execute(sql.join(asked, sql` union all `))) as unknown as [{ noun: NounName }[]];
  return new Set(rows.map(({ noun }) => noun));
}

/** One row of the studio's, or null. */
export async function findRow<N extends NounName>(scope: Scope, name: N, id: string): Promise<RowOf<N> | null> {
  const [row] = await scope.database
    .select(columnsOf(name))
    .from(TABLES[name] as MySqlTable)
    .where(ownedBy(name, scope, id))
    .limit(1);
  return row ? asSeen(name, scope.reach, [row as RowOf<N>])[0]! : null;
}

/** One row of the studio's; a 404 problem when it is not there or not the studio's. */
export async function readRow<N extends NounName>(scope: Scope, name: N, id: string): Promise<RowOf<N>> {
  const row = await findRow(scope, name, id);
  if (!row) throw HttpProblem.notFound();
  return row;
}

/**
 * Makes a row under the id it brought. A reference that only lets go, to a row that is gone by now, is let go. An id
 * taken by another studio is a conflict that says nothing of whose it is.
 */
export async function insertRow<N extends NounName>(writing: Writing, name: N, row: InsertOf<N>): Promise<RowOf<N>> {
  const values = { ...(await withoutGone(writing, name, row)), studioId: writing.studioId };
  const stored = await insertReturning(writing, name, values);
  writing.touch(name, [row.id]);
  // A helper makes nothing that they would not have in reach.
  const asIs = isPlain(name) && writing.reach.role !== 'helper';
  const made = asIs ? (stored as RowOf<N>) : await readRow(writing, name, row.id);
  writing.trail.made(name, made);
  return made;
}

/** Writes a new row, and answers it as its columns have it then: one statement. */
async function insertReturning({ database }: Scope, name: NounName, values: object): Promise<Record<string, unknown>> {
  const columns = Object.entries(plainColumnsOf(name));
  const insert = database.insert(TABLES[name] as MySqlTable).values(values as never);
  const answer = columns.map(([field, column]) => sql`${sql.identifier(column.name)} as ${sql.identifier(field)}`);
  try {
    const [[row]] = (await database.execute(
      sql`${insert.getSQL()} returning ${sql.join(answer, sql`, `)}`,
    )) as unknown as [[Record<string, unknown>]];
    return Object.fromEntries(
      columns.map(([field, column]) => [field, row[field] === null ? null : column.mapFromDriverValue(row[field])]),
    );
  } catch (error) {
    if (databaseError(error)?.code !== 'ER_DUP_ENTRY') throw error;
    throw HttpProblem.conflict('This id, or its place, is already taken.');
  }
}

/** What is written of a new row: what its maker gave, and what the server decides. */
export type InsertOf<N extends NounName> = MakeOf<N> & Partial<RowOf<N>> & { id: string };

/** Changes a row of the studio's and reads it back; an empty change changes nothing, and what is gone is let go. */
export async function updateRow<N extends NounName>(
  writing: Writing,
  name: N,
  was: RowOf<N>,
  by: ChangeOf<N>,
): Promise<RowOf<N>> {
  const given = Object.fromEntries(Object.entries(by).filter(([, value]) => value !== undefined));
  const set = await withoutGone(writing, name, given);
  if (Object.keys(set).length === 0) return was;
  const { id } = was;
  await writing.database
    .update(TABLES[name] as MySqlTable)
    .set(set as never)
    .where(ownedBy(name, writing, id));
  const is = await readRow(writing, name, id);
  writing.touch(name, [id]);
  writing.trail.changed(name, id, { was, is });
  return is;
}

/** Takes a row of the studio's away, and what goes with it; nothing to take away is as good. */
export async function deleteRow(writing: Writing, name: NounName, id: string): Promise<void> {
  const row = await findRow(writing, name, id);
  if (!row) return;
  const { removed, cleared } = await goingWith(writing, name, id);
  await writing.database.delete(TABLES[name] as MySqlTable).where(ownedBy(name, writing, id));
  writing.touch(name, [id], false);
  writing.trail.removed(name, row);
  for (const { noun, row: other } of removed) writing.trail.removed(noun, other);
  for (const { noun, row: other, field } of cleared)
    writing.trail.changed(noun, other.id, { was: other, is: { [field]: null } });
}

/** A row without references to rows that are gone by now, where the noun lets go of them. */
async function withoutGone(scope: Scope, name: NounName, given: object): Promise<Record<string, unknown>> {
  const asked = given as Record<string, unknown>;
  const row = { ...asked };
  const loose = new Map<NounName, { field: string; id: string }[]>();
  for (const [field, ref] of Object.entries(NOUNS[name].refs)) {
    const id = asked[field];
    if (ref.gone !== 'clear' || typeof id !== 'string') continue;
    const noun = ref.to as NounName;
    loose.set(noun, [...(loose.get(noun) ?? []), { field, id }]);
  }
  for (const [noun, named] of loose) {
    const ids = named.map(({ id }) => id);
    const there = new Set((await listRows(scope, noun, inArray(TABLES[noun].id, ids))).map(({ id }) => id));
    for (const { field, id } of named) if (!there.has(id)) row[field] = null;
  }
  return row;
}
