import type { MemberPart } from '@leggero/contract';
import type { GivenCode, Invitation, Invited } from '@leggero/contract/crew';
import { and, asc, eq, gt, lt } from 'drizzle-orm';

import { freshCode, hashOf, plainCode } from '../access/secret';
import type { Database } from '../db/connect';
import type { Scope } from '../db/records';
import { events, invitations, studios } from '../db/tables';
import { HttpProblem } from '../http/problem';
import type { Writing } from '../records/writing';

/** How long an invitation may be taken up. */
const LASTS_MS = 7 * 86_400_000;

/** Invitations that may still be taken up, the first to end first; those that ended are forgotten. */
export async function listInvitations({ database, studioId }: Scope): Promise<Invitation[]> {
  const now = new Date().toISOString();
  await database.delete(invitations).where(and(eq(invitations.studioId, studioId), lt(invitations.expiresAt, now)));
  const { id, name, role, eventId, until, expiresAt } = invitations;
  return database
    .select({ id, name, role, eventId, until, expiresAt })
    .from(invitations)
    .where(eq(invitations.studioId, studioId))
    .orderBy(asc(expiresAt), asc(id));
}

/** Invites someone; the code is told this once, and kept as its hash alone. */
export async function invite(
  { database, studioId, trail }: Writing,
  { id, name, role, eventId, until }: { id: string; name: string } & MemberPart,
): Promise<GivenCode> {
  const code = freshCode();
  const expiresAt = new Date(Date.now() + LASTS_MS).toISOString();
  const codeHash = hashOf(plainCode(code));
  await database.insert(invitations).values({ id, studioId, codeHash, name, role, eventId, until, expiresAt });
  trail.made('invitation', { id, name, role, eventId, until });
  return { code, expiresAt };
}

export async function withdrawInvitation({ database, studioId, trail }: Writing, id: string): Promise<void> {
  const which = and(eq(invitations.id, id), eq(invitations.studioId, studioId));
  const { name, role, eventId, until } = invitations;
  const [invitation] = await database
    .select({ id: invitations.id, name, role, eventId, until })
    .from(invitations)
    .where(which);
  if (!invitation) return;
  await database.delete(invitations).where(which);
  trail.removed('invitation', invitation);
}

/** The invitation of a code; a 404 problem where there is none, or no longer. */
export async function invitationOf(database: Database, code: string) {
  const [row] = await database
    .select()
    .from(invitations)
    .where(and(eq(invitations.codeHash, hashOf(plainCode(code))), gt(invitations.expiresAt, new Date().toISOString())));
  if (!row) throw new HttpProblem(404, 'This invitation was taken up, withdrawn or is too old: ask for another.');
  return row;
}

/** What an invitation is for. */
export async function invitedBy(database: Database, code: string): Promise<Invited> {
  const { studioId, eventId, name, role, until } = await invitationOf(database, code);
  const [studio] = await database.select({ name: studios.name }).from(studios).where(eq(studios.id, studioId));
  const [event] = await database
    .select({ name: events.name })
    .from(events)
    .where(eq(events.id, eventId ?? ''));
  return { studio: studio!.name, name, role, event: event?.name ?? null, until };
}

/** Takes an invitation away because it was taken up: whether it was still there. */
export async function useUp(database: Database, id: string): Promise<boolean> {
  const [{ affectedRows }] = (await database.delete(invitations).where(eq(invitations.id, id))) as unknown as [
    { affectedRows: number },
  ];
  return affectedRows === 1;
}
