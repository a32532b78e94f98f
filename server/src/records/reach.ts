import { mayRead, mayWrite, NOUNS, type NounName, type Ref, type Role } from '@leggero/contract';
import { and, eq, sql, type Placeholder, type SQL } from 'drizzle-orm';

import type { Reach } from '../db/records';
import { HttpProblem } from '../http/problem';
import { columnOf, ownerOf, TABLES } from './tables';

/** Whose rows are asked for; in a statement that is put together once, with places for ids. */
export interface Whose {
  studioId: string | Placeholder;
  reach: { role: Role; eventId: string | Placeholder | null };
}

/** The condition that whoever asks has a noun's rows in reach: those of their studio, and of a helper's event alone. */
export function inReach(name: NounName, { studioId, reach: { role, eventId } }: Whose): SQL {
  const own = eq(ownerOf(name), studioId);
  if (role !== 'helper') return own;
  return mayRead(role, name) ? and(own, ofEvent(name, eventId ?? ''))! : sql`false`;
}

/** The condition that a row hangs on an event, by way of other nouns where it must; undefined of what helpers see all of. */
function ofEvent(name: NounName, eventId: string | Placeholder): SQL | undefined {
  const { forHelper, refs } = NOUNS[name];
  if (typeof forHelper !== 'object') return undefined;
  const column = columnOf(name, forHelper.by);
  if (name === 'event') return eq(column, eventId);
  const parent = (refs as Record<string, Ref>)[forHelper.by]!.to as NounName;
  return sql`${column} in (select ${TABLES[parent].id} from ${TABLES[parent]} where ${ofEvent(parent, eventId)})`;
}

/** Rows as whoever asks sees them: a helper without what is not theirs to know, everyone else the very same. */
export function asSeen<Row>(name: NounName, { role }: Reach, rows: Row[]): Row[] {
  const { forHelper } = NOUNS[name];
  if (role !== 'helper' || typeof forHelper !== 'object' || !forHelper.shown) return rows;
  return rows.map(forHelper.shown as (row: Row) => Row);
}

/** Refuses with 403 unless whoever asks may write a noun. */
export function allowWriting({ role }: Reach, name: NounName): void {
  if (mayWrite(role, name)) return;
  const { writtenBy } = NOUNS[name];
  throw HttpProblem.notAllowed(role === 'helper' ? 'maker' : writtenBy);
}
