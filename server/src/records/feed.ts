import { KEPT_NOUNS, mayRead, type Changes, type NounName } from '@leggero/contract';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { groupBy } from '../db/shape';
import { changes } from '../db/tables';
import { revisionOf } from './revision';
import { listRows, rowsAfter } from './store';
import { TABLES } from './tables';
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

/** The place that a cursor names; null for one of another studio or reach, or that is none. */
function readCursor(scope: Scope, text: string): Cursor | null {
  const [, reach, phase, revisionText, noun = '', id = ''] = CURSOR.exec(text) ?? [];
  if (reach !== reachOf(scope)) return null;
  const revision = Number(revisionText);
  const at = { revision, noun, id };
  return phase === 'fill' ? { ...at, filling: true } : { ...at, filling: false, there: phase === 'there' };
}

/**
 * The rows and tombstones after a cursor. A device without one is filled first, noun by noun, and then follows the
 * changes since the revision at which its filling began: whatever was written meanwhile comes again, newer. Each page is
 * read in one snapshot, and revisions are in the order of commits (`inWriting`), so that no row is ever skipped.
 */
export function changesSince(
  scope: Scope,
  {
    since,
    nouns: asked = KEPT_NOUNS,
    page = PAGE,
  }: { since: string; nouns?: readonly NounName[] | undefined; page?: number | undefined },
): Promise<Changes> {
  const seen = asked.filter((noun) => mayRead(scope.reach.role, noun));
  const nouns: readonly NounName[] = seen.length > 0 ? seen : ['studio'];
  return scope.database.transaction(
    async (tx) => {
      const within: Scope = { ...scope, database: tx as unknown as Scope['database'] };
      const now = await revisionOf(within);
      const start: Cursor = { filling: true, revision: now, noun: nouns[0]!, id: '' };
      const cursor = since === '' ? start : readCursor(scope, since);
      const unknown = cursor?.filling && !nouns.includes(cursor.noun as NounName);
      if (cursor === null || unknown || cursor.revision > after(now).revision) {
        return { cursor: '', revision: 0, more: true, anew: true, rows: {}, gone: {} };
      }
      return cursor.filling ? filled(within, cursor, nouns, page) : changed(within, cursor, { nouns, page, now });
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
}

/** A page of all rows there are. */
async function filled(
  scope: Scope,
  { revision, ...from }: Extract<Cursor, { filling: true }>,
  nouns: readonly NounName[],
  page: number,
): Promise<Changes> {
  const rows: Record<string, { id: string }[]> = {};
  let left = page;
  let last = from.id;
  let next: Cursor = after(revision);
  for (const name of nouns.slice(nouns.indexOf(from.noun as NounName))) {
    const weight = weightOf(name);
    const found = await rowsAfter(scope, name, { last, most: Math.ceil(left / weight) });
    if (found.length > 0) rows[name] = found;
    left -= weight * found.length;
    last = '';
    if (left > 0) continue;
    next = { filling: true, revision, noun: name, id: found.at(-1)!.id };
    break;
  }
  return { cursor: written(scope, next), revision, more: true, anew: false, rows, gone: {} } as Changes;
}

/** A page of what was written since. */
async function changed(
  scope: Scope,
  from: Extract<Cursor, { filling: false }>,
  { nouns, page, now }: { nouns: readonly NounName[]; page: number; now: number },
): Promise<Changes> {
  const { revision, noun, rowId, there } = changes;
  // What was taken away comes before what was put in its place.
  const later = sql`(${revision}, ${noun}, ${rowId}, ${there}) > (${from.revision}, ${from.noun}, ${from.id}, ${from.there})`;
  const read = await scope.database
    .select({ noun, id: rowId, revision, there })
    .from(changes)
    .where(and(eq(changes.studioId, scope.studioId), inArray(noun, [...nouns]), later))
    .orderBy(asc(revision), asc(noun), asc(rowId), asc(there))
    .limit(page);
  const found = read.slice(0, fitting(read, page));
  const rows: Record<string, unknown[]> = {};
  const gone: Record<string, string[]> = {};
  for (const [name, own] of groupBy(found, (change) => change.noun) as Map<NounName, typeof found>) {
    const ids = own.filter((change) => change.there).map(({ id }) => id);
    const now = ids.length === 0 ? [] : await listRows(scope, name, inArray(TABLES[name].id, ids));
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

/** How many of some changes fit a page by the weight of their rows; one does always. */
function fitting(changed: readonly { noun: string }[], page: number): number {
  let left = page;
  const over = changed.findIndex(({ noun }) => (left -= weightOf(noun as NounName)) < 0);
  return over < 0 ? changed.length : Math.max(1, over);
}
