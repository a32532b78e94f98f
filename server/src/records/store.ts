import { NOUN_NAMES, NOUNS, type ChangeOf, type MakeOf, type NounName, type Role, type RowOf } from '@leggero/contract';
import { and, asc, desc, eq, gt, inArray, sql, type Placeholder, type SQL } from 'drizzle-orm';
import { QueryBuilder, type MySqlTable } from 'drizzle-orm/mysql-core';
import type { RowDataPacket } from 'mysql2';

import { databaseError } from '../db/connect';
import { inserter } from '../db/insert';
import type { Scope } from '../db/records';
import { groupBy } from '../db/shape';
import { ask, BY_IDS, statements, type Statement } from '../db/statement';
import { goingWith } from '../deed/going';
import { HttpProblem } from '../http/problem';
import { asSeen, inReach, type Whose } from './reach';
import { columnOf, columnsOf, fieldsOf, rowFrom, TABLES } from './tables';
import type { Writing } from './writing';

/** The condition that names one row that whoever asks has in reach. */
export function ownedBy(name: NounName, scope: Whose, id: string | Placeholder): SQL {
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

/** Places for whose rows are asked for. */
const placesOf = (role: Role): Whose => ({
  studioId: sql.placeholder('studioId'),
  reach: { role, eventId: sql.placeholder('eventId') },
});

/** Rows by a statement that is kept, as whoever asks sees them. */
async function rowsBy<N extends NounName>(
  { database, studioId, reach }: Scope,
  name: N,
  { statement, given }: { statement: Statement; given: Record<string, unknown> },
): Promise<RowOf<N>[]> {
  const whose = { studioId, eventId: reach.eventId ?? '' };
  const found = await ask<RowDataPacket[][]>(database, statement, { ...whose, ...given });
  return asSeen(
    name,
    reach,
    found.map((answered) => rowFrom(name, answered)),
  );
}

const FIND = statements((name: NounName, role: Role) =>
  new QueryBuilder()
    .select(columnsOf(name))
    .from(TABLES[name] as MySqlTable)
    .where(ownedBy(name, placesOf(role), sql.placeholder('id'))),
);

/** One row of the studio's, or null. */
export async function findRow<N extends NounName>(scope: Scope, name: N, id: string): Promise<RowOf<N> | null> {
  const [row] = await rowsBy(scope, name, { statement: FIND(name, scope.reach.role), given: { id } });
  return row ?? null;
}

/** So many rows by their ids, in the noun's order. */
const AMONG = statements((name: NounName, role: Role, count: number) => {
  const ids = Array.from({ length: count }, (_, i) => sql.placeholder(`id${i}`));
  return new QueryBuilder()
    .select(columnsOf(name))
    .from(TABLES[name] as MySqlTable, BY_IDS)
    .where(and(inArray(TABLES[name].id, ids), inReach(name, placesOf(role))))
    .orderBy(...orderOf(name));
});

/** Those of some rows that are there, in the noun's order. */
export async function rowsAmong<N extends NounName>(
  scope: Scope,
  name: N,
  ids: readonly string[],
): Promise<RowOf<N>[]> {
  if (ids.length === 0) return [];
  // A few statements are enough for any number: the last id is named again until they are as many.
  const count = 2 ** Math.ceil(Math.log2(ids.length));
  const named = Array.from({ length: count }, (_, i) => [`id${i}`, ids[i] ?? ids.at(-1)]);
  return rowsBy(scope, name, { statement: AMONG(name, scope.reach.role, count), given: Object.fromEntries(named) });
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
  const made = writing.reach.role === 'helper' ? await readRow(writing, name, row.id) : stored;
  writing.trail.made(name, made);
  return made;
}

const INSERT = Object.fromEntries(
  NOUN_NAMES.map((name) => {
    const answer = fieldsOf(name).map(({ of }) => of);
    return [name, inserter<RowDataPacket[][]>(TABLES[name], { then: sql` returning ${sql.join(answer, sql`, `)}` })];
  }),
) as Record<NounName, ReturnType<typeof inserter<RowDataPacket[][]>>>;

/** Writes a new row, and answers it as its columns have it then: one statement. */
async function insertReturning<N extends NounName>({ database }: Scope, name: N, row: object): Promise<RowOf<N>> {
  try {
    const [stored] = await INSERT[name](database, row);
    return rowFrom(name, stored!);
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
    const there = new Set((await rowsAmong(scope, noun, ids)).map(({ id }) => id));
    for (const { field, id } of named) if (!there.has(id)) row[field] = null;
  }
  return row;
}
