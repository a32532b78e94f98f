import { randomUUID } from 'node:crypto';

import type { MemberPart, Role } from '@leggero/contract';
import type { Member } from '@leggero/contract/crew';
import { and, asc, eq } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { accounts, members, people } from '../db/tables';
import { HttpProblem } from '../http/problem';
import type { Writing } from '../records/writing';

/** Who works in a studio, the first who came in front. */
export async function listMembers({ database, studioId, by }: Scope): Promise<Member[]> {
  const { id, role, eventId, until, since } = members;
  const rows = await database
    .select({
      ...{ id, name: accounts.name, signInName: accounts.displayUsername, role, eventId, until, since },
      account: members.accountId,
    })
    .from(members)
    .innerJoin(accounts, eq(accounts.id, members.accountId))
    .where(eq(members.studioId, studioId))
    .orderBy(asc(since), asc(id));
  return rows.map(({ account, ...member }) => ({ ...member, me: account === by?.id }));
}

/** One of them; a 404 problem where there is none by that id. */
export async function memberOf(scope: Scope, id: string) {
  const [row] = await scope.database
    .select()
    .from(members)
    .where(and(eq(members.id, id), eq(members.studioId, scope.studioId)));
  if (!row) throw HttpProblem.notFound();
  return row;
}

/**
 * Lets someone work in a studio, as one of its people: the owner that it was set up with, where nobody is that one yet,
 * or someone new by their name. A 409 problem where they do already; a time as a helper that is over gives way.
 */
export async function addMember(
  writing: Writing,
  { accountId, name, part }: { accountId: string; name: string; part: MemberPart },
): Promise<void> {
  const { role, eventId, until } = part;
  const { database, studioId } = writing;
  const [before] = await database
    .select({ id: members.id, until: members.until })
    .from(members)
    .where(and(eq(members.studioId, studioId), eq(members.accountId, accountId)));
  if (before && (before.until === null || Date.parse(before.until) > Date.now()))
    throw HttpProblem.conflict('You work in this studio already: an owner changes as what.');
  if (before) await database.delete(members).where(eq(members.id, before.id));
  const personId = role === 'helper' ? null : await personFor(writing, { name, role });
  const id = randomUUID();
  await database.insert(members).values({
    ...{ id, studioId, accountId, role, personId, eventId, until },
    since: new Date().toISOString(),
  });
  writing.trail.isBy({ id: accountId, name });
  writing.trail.made('member', { id, name, role, eventId, until });
}

async function personFor(writing: Writing, { name, role }: { name: string; role: Role }): Promise<string> {
  const { database, studioId } = writing;
  const owner = role === 'owner';
  if (owner) {
    const [first] = await database
      .select({ id: people.id, member: members.id })
      .from(people)
      .leftJoin(members, eq(members.personId, people.id))
      .where(and(eq(people.studioId, studioId), eq(people.owner, true)));
    if (first && first.member === null) {
      await database.update(people).set({ name }).where(eq(people.id, first.id));
      writing.touch('person', [first.id]);
      return first.id;
    }
  }
  const id = randomUUID();
  await database.insert(people).values({ id, studioId, name, owner });
  writing.touch('person', [id]);
  return id;
}

/** Changes as what someone works in a studio; a 409 problem where nobody would own it. */
export async function changeMember(writing: Writing, id: string, part: MemberPart): Promise<void> {
  const { database } = writing;
  const member = await keptOwned(writing, id, part.role);
  const name = await nameOf(writing, member);
  const { role } = part;
  const personId = member.personId ?? (role === 'helper' ? null : await personFor(writing, { name, role }));
  writing.trail.changed('member', id, { was: member, is: part });
  await database
    .update(members)
    .set({ ...part, personId })
    .where(eq(members.id, id));
  if (personId === null) return;
  await database
    .update(people)
    .set({ owner: role === 'owner' })
    .where(eq(people.id, personId));
  writing.touch('person', [personId]);
}

/** Ends someone's work in a studio; what they did stays. A 409 problem where nobody would own it. */
export async function removeMember(writing: Writing, id: string): Promise<void> {
  const { role, eventId, until, ...member } = await keptOwned(writing, id, null);
  await writing.database.delete(members).where(eq(members.id, id));
  writing.trail.removed('member', { id, name: await nameOf(writing, member), role, eventId, until });
}

async function nameOf({ database }: Writing, { accountId }: { accountId: string }): Promise<string> {
  const [account] = await database.select({ name: accounts.name }).from(accounts).where(eq(accounts.id, accountId));
  return account!.name;
}

/** How many own a studio. */
export async function ownersOf({ database, studioId }: Pick<Scope, 'database' | 'studioId'>): Promise<number> {
  const owners = await database
    .select({ id: members.id })
    .from(members)
    .where(and(eq(members.studioId, studioId), eq(members.role, 'owner')));
  return owners.length;
}

/**
 * A member who may become this, or go: somebody owns the studio afterwards. Two owners who send one another away do not
 * both go, for one studio is written by one at a time (`inWriting`).
 */
async function keptOwned(writing: Writing, id: string, role: Role | null) {
  const member = await memberOf(writing, id);
  if (member.role !== 'owner' || role === 'owner') return member;
  if ((await ownersOf(writing)) === 1)
    throw HttpProblem.conflict('A studio keeps one owner: make somebody else an owner first.');
  return member;
}
