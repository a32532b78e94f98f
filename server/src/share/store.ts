import type { GivenCode } from '@leggero/contract/crew';
import type { Share, Shared, SharedContent } from '@leggero/contract/share';
import { and, asc, eq, gt } from 'drizzle-orm';

import { freshCode, hashOf, plainCode } from '../access/secret';
import type { Database } from '../db/connect';
import type { Scope } from '../db/records';
import { shares, studios } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { readRow } from '../records/store';
import type { Writing } from '../records/writing';

const DAY_MS = 86_400_000;
const now = () => new Date().toISOString();

/** What is shared by now, what ends first in front. */
export async function listShares({ database, studioId }: Scope): Promise<Share[]> {
  const { id, kind, eventId, expiresAt } = shares;
  return database
    .select({ id, kind, eventId, expiresAt })
    .from(shares)
    .where(and(eq(shares.studioId, studioId), gt(expiresAt, now())))
    .orderBy(asc(expiresAt), asc(id));
}

/** Shares something of an event as it is now; the code is told this once, and kept as its hash alone. */
export async function share(
  writing: Writing,
  { id, eventId, days, content }: { id: string; eventId: string; days: number; content: SharedContent },
): Promise<GivenCode> {
  const { database, studioId, trail } = writing;
  const { name } = await readRow(writing, 'event', eventId);
  const code = freshCode();
  const expiresAt = new Date(Date.now() + days * DAY_MS).toISOString();
  const codeHash = hashOf(plainCode(code));
  await database.insert(shares).values({ id, studioId, eventId, kind: content.kind, codeHash, content, expiresAt });
  trail.made('share', { id, name });
  return { code, expiresAt };
}

export async function endShare(writing: Writing, id: string): Promise<void> {
  const { database, studioId, trail } = writing;
  const which = and(eq(shares.id, id), eq(shares.studioId, studioId));
  const [row] = await database.select({ eventId: shares.eventId }).from(shares).where(which);
  if (!row) return;
  await database.delete(shares).where(which);
  trail.removed('share', { id, name: (await readRow(writing, 'event', row.eventId)).name });
}

/** What a code shows; a 404 problem where there is none, or no longer. */
export async function openShare(database: Database, code: string): Promise<Shared> {
  const { content, expiresAt, codeHash } = shares;
  const [row] = await database
    .select({ studio: studios.name, expiresAt, content })
    .from(shares)
    .innerJoin(studios, eq(studios.id, shares.studioId))
    .where(and(eq(codeHash, hashOf(plainCode(code))), gt(expiresAt, now())));
  if (!row) throw new HttpProblem(404, 'What was shared by this link is over: ask for another one.');
  return row;
}
