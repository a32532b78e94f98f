import { KEPT_NOUNS, mayRead, type Changes, type NounName } from '@leggero/contract';
import { and, asc, eq, gte, sql } from 'drizzle-orm';
import { QueryBuilder } from 'drizzle-orm/mysql-core';
import type { RowDataPacket } from 'mysql2';

import type { Scope } from '../db/records';
import { groupBy } from '../db/shape';
import { ask, statements } from '../db/statement';
import { changes, studios } from '../db/tables';
import { transact } from '../db/transact';
import { revisionsOf, type Revisions } from './revision';
import { rowsAfter, rowsAmong, withRows } from './store';
import { weightOf } from './weight';

/** Rows and tombstones of a page, where nothing else is asked for. */
const PAGE = 1000;

/**
 * Where a device is. While it fills: which noun and row came last, and the revision at which it began. Then: the change
 * that came last, as changes are ordered.
 */
type Cursor = { revision: number; noun: string; id: string } & ({ filling: true } | { filling: false; there: boolean });

/** After every change of a revision: before those of the next. */
const after = (revision: number) => ({
  filling: false as const,
  revision: revision + 1,
  noun: '',
  id: '',
  there: false,
});

const CURSOR = /^([0-9a-f-]{36}(?:\.[0-9a-f-]{36})?)\.(fill|gone|there)\.(\d{1,15})\.(\w*)\.([0-9a-f-]{0,36})$/;

/**
 * Whose rows a cursor counts: the studio's, and of a helper those of one event. One of another reach names nothing, so
 * that whoever may see more than before is filled anew.
 */
const reachOf = ({ studioId, reach: { role, eventId } }: Scope): string =>
  role === 'helper' ? `${studioId}.${eventId}` : studioId;

function written(scope: Scope, cursor: Cursor): string {
  const { filling, revision, noun, id } = cursor;
  return [reachOf(scope), filling ? 'fill' : cursor.there ? 'there' : 'gone', revision, noun, id].join('.');
}

/** The place that a cursor names; null for none, and for one of another studio or reach. */
function readCursor(scope: Scope, text: string): Cursor | null {
  const [, reach, phase, revisionText, noun = '', id = ''] = CURSOR.exec(text) ?? [];
  if (reach !== reachOf(scope)) return null;
  const revision = Number(revisionText);
  const at = { revision, noun, id };
  return phase === 'fill' ? { ...at, filling: true } : { ...at, filling: false, there: phase === 'there' };
}

/** What of the changes is asked for. */
interface Asking {
  since: string;
  nouns?: readonly NounName[] | undefined;
  page?: number | undefined;
}

const ANEW: Changes = { cursor: '', revision: 0, more: true, anew: true, rows: {}, gone: {} };

/**
 * The rows and tombstones after a cursor. A device without one is filled first, noun by noun, and then follows the
 * changes since the revision at which its filling began: whatever was written meanwhile comes again, newer. Each page is
 * read in one snapshot, and revisions are in the order of commits (`inWriting`), so that no row is ever skipped.
 */
export function changesSince(scope: Scope, asking: Asking): Promise<Changes> {
  return transact(scope.database, (database) => changesWithin({ ...scope, database }, asking));
}

/** The same within a transaction: one that reads for the first time, or has since it alone may write to the studio (`inWriting`). */
export async function changesWithin(
  scope: Scope,
  { since, nouns: asked = KEPT_NOUNS, page = PAGE }: Asking,
): Promise<Changes> {
  const seen = asked.filter((noun) => mayRead(scope.reach.role, noun));
  const nouns: readonly NounName[] = seen.length > 0 ? seen : ['studio'];
  const cursor = readCursor(scope, since);
  if (cursor && !cursor.filling) return changed(scope, cursor, { nouns, page });
  if (since !== '' && !(cursor && nouns.includes(cursor.noun as NounName))) return ANEW;
  const at = await revisionsOf(scope);
  const from = cursor ?? { filling: true as const, revision: at.revision, noun: nouns[0]!, id: '' };
  return isOfThese(from, at) ? filled(scope, from, { nouns, page, now: at.revision }) : ANEW;
}

/** Whether a place is one of these records: a restored backup may be behind it, or have begun anew after it. */
const isOfThese = (cursor: Cursor, { revision, filledFrom }: Revisions): boolean =>
  cursor.revision <= after(revision).revision && cursor.revision >= filledFrom;

/** A page of all rows there are. */
async function filled(
  scope: Scope,
  { revision, ...from }: Extract<Cursor, { filling: true }>,
  { nouns, page, now }: { nouns: readonly NounName[]; page: number; now: number },
): Promise<Changes> {
  const rows: Record<string, { id: string }[]> = {};
  let left = page;
  let last = from.id;
  let next: Cursor = after(revision);
  const ahead = nouns.slice(nouns.indexOf(from.noun as NounName));
  const some = await withRows(scope, ahead);
  for (const name of ahead) {
    const weight = weightOf(name);
    const found = some.has(name) ? await rowsAfter(scope, name, { last, most: Math.ceil(left / weight) }) : [];
    if (found.length > 0) rows[name] = found;
    left -= weight * found.length;
    last = '';
    if (left > 0) continue;
    next = { filling: true, revision, noun: name, id: found.at(-1)!.id };
    break;
  }
  // What was written since it began is still to come.
  const more = next.filling || revision < now;
  return { cursor: written(scope, next), revision, more, anew: false, rows, gone: {} } as Changes;
}

/** A page of what was written since. */
async function changed(
  scope: Scope,
  from: Extract<Cursor, { filling: false }>,
  { nouns, page }: { nouns: readonly NounName[]; page: number },
): Promise<Changes> {
  const { now, filledFrom, read } = await newsAfter(scope, from, { nouns, page });
  if (!isOfThese(from, { revision: now, filledFrom })) return ANEW;
  const found = read.slice(0, fitting(read, page));
  const rows: Record<string, unknown[]> = {};
  const gone: Record<string, string[]> = {};
  for (const [name, own] of groupBy(found, (change) => change.noun) as Map<NounName, Change[]>) {
    const ids = own.filter((change) => change.there).map(({ id }) => id);
    const now = await rowsAmong(scope, name, ids);
    const still = new Set(now.map(({ id }) => id));
    // What went with the row it hung on has no tombstone of its own.
    const lost = own.filter((change) => !(change.there && still.has(change.id)));
    if (now.length > 0) rows[name] = now;
    if (lost.length > 0) gone[name] = [...new Set(lost.map(({ id }) => id))];
  }
  const last = found.at(-1);
  const more = read.length === page || found.length < read.length;
  const at = more && last ? { filling: false as const, ...last } : null;
  return {
    cursor: written(scope, at ?? after(now)),
    revision: at?.revision ?? now,
    more,
    anew: false,
    rows,
    gone,
  } as Changes;
}

interface Change {
  noun: NounName;
  id: string;
  revision: number;
  there: boolean;
}

/** Of a studio, and the changes of some nouns after a place in their order: what is selected of each. */
const NEWS = statements((...nouns: NounName[]) => {
  const { revision, noun, rowId, there } = changes;
  const [from, studioId] = [sql.placeholder('revision'), sql.placeholder('studioId')];
  const place = sql`(${from}, ${sql.placeholder('noun')}, ${sql.placeholder('id')}, ${sql.placeholder('there')})`;
  const builder = new QueryBuilder();
  const news = builder
    .select({ noun, id: rowId, revision, there })
    .from(changes)
    .where(
      and(
        eq(changes.studioId, studioId),
        // The revision by itself too: the database finds no place in an index by several columns at once.
        gte(revision, from),
        // What was taken away comes before what was put in its place.
        sql`(${revision}, ${noun}, ${rowId}, ${there}) > ${place}`,
        // Said in the statement itself: there are many, and mostly the same.
        sql`${noun} in (${sql.raw(nouns.map((name) => `'${name}'`).join())})`,
      ),
    )
    .orderBy(asc(revision), asc(noun), asc(rowId), asc(there))
    .limit(sql.placeholder('page'))
    .as('news');
  return builder
    .select({
      ...{ now: studios.revision, filledFrom: studios.filledFrom },
      ...{ noun: news.noun, id: news.id, revision: news.revision, there: news.there },
    })
    .from(studios)
    .leftJoin(news, sql`true`)
    .where(eq(studios.id, studioId))
    .orderBy(asc(news.revision), asc(news.noun), asc(news.id), asc(news.there));
});
type News = [now: number, filledFrom: number, ...([NounName, string, number, number] | [null, null, null, null])];

/** At which revision the records are, and the changes after a place in their order, so many at most: one statement. */
async function newsAfter(
  { database, studioId }: Scope,
  { revision, noun, id, there }: Extract<Cursor, { filling: false }>,
  { nouns, page }: { nouns: readonly NounName[]; page: number },
): Promise<{ now: number; filledFrom: number; read: Change[] }> {
  const given = { studioId, revision, noun, id, there, page };
  const rows = (await ask<RowDataPacket[][]>(database, NEWS(...nouns), given)) as unknown as News[];
  const [now = 0, filledFrom = 0] = rows[0] ?? [];
  const read = rows.flatMap(([, , noun, id, revision, there]) =>
    noun === null ? [] : { noun, id, revision, there: there === 1 },
  );
  return { now, filledFrom, read };
}

/** How many of some changes fit a page by the weight of their rows; one does always. */
function fitting(changed: readonly { noun: string }[], page: number): number {
  let left = page;
  const over = changed.findIndex(({ noun }) => (left -= weightOf(noun as NounName)) < 0);
  return over < 0 ? changed.length : Math.max(1, over);
}
