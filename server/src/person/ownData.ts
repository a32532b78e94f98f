import type { OwnData } from '@leggero/contract/ownData';
import type { DeedRow } from '@leggero/contract/deed';
import { and, desc, eq, inArray, or } from 'drizzle-orm';

import { WHOLE, type Scope } from '../db/records';
import { accounts, deeds, eyeChecks, members, people, turnHands, turns } from '../db/tables';
import { forgetInDeeds } from '../deed/forget';
import { checksWhere } from '../eye/store';
import { HttpProblem } from '../http/problem';
import { deleteRow, findRow, listRows } from '../records/store';
import { inWriting, type Writing } from '../records/writing';
import { ownersOf, removeMember } from '../crew/members';
import type { Database } from '../db/connect';

/** What is kept of an account's person in a studio. */
export async function ownData(
  scope: Scope,
  { accountId, account }: { accountId: string | null; account: OwnData['account'] },
): Promise<OwnData> {
  // What is theirs is theirs to see, whatever their part lets them.
  const whole = { ...scope, reach: WHOLE };
  const personId = accountId === null ? null : await personOf(scope, accountId);
  const tookPart =
    personId === null ? null : or(eq(eyeChecks.personId, personId), eq(eyeChecks.secondPersonId, personId));
  const hands = personId === null ? [] : await listRows(whole, 'turnHands', eq(turnHands.personId, personId));
  const turnIds = hands.map(({ turnId }) => turnId);
  return {
    madeAt: new Date().toISOString(),
    account,
    person: personId === null ? null : await findRow(whole, 'person', personId),
    eyeChecks: tookPart ? await checksWhere(whole, tookPart) : [],
    turns: turnIds.length === 0 ? [] : await listRows(whole, 'turn', inArray(turns.id, turnIds)),
    deeds: accountId === null ? [] : await deedsOf(scope, accountId),
  };
}

async function personOf({ database, studioId }: Scope, accountId: string): Promise<string | null> {
  const [member] = await database
    .select({ personId: members.personId })
    .from(members)
    .where(and(eq(members.studioId, studioId), eq(members.accountId, accountId)));
  return member?.personId ?? null;
}

async function deedsOf({ database, studioId }: Scope, accountId: string): Promise<OwnData['deeds']> {
  const rows = await database
    .select({ at: deeds.at, told: deeds.told })
    .from(deeds)
    .where(and(eq(deeds.studioId, studioId), eq(deeds.accountId, accountId), eq(deeds.isPrivate, false)))
    .orderBy(desc(deeds.revision));
  return rows.map(({ at, told }) => ({ at, rows: told as DeedRow[] }));
}

/**
 * Takes an account away, with all that is private to its person, in every studio where they work; what they did for a
 * studio stays, and is nobody's. A 409 problem where a studio would lose its last owner: then nothing is taken away.
 */
export async function forgetAccount(database: Database, accountId: string): Promise<void> {
  const parts = await database.select().from(members).where(eq(members.accountId, accountId));
  for (const { studioId, role } of parts) {
    if (role === 'owner' && (await ownersOf({ database, studioId })) === 1)
      throw HttpProblem.conflict('You are the one owner of a studio: make somebody else an owner of it first.');
  }
  for (const { id, studioId, personId } of parts) {
    await inWriting({ database, studioId, reach: WHOLE }, async (writing) => {
      await removeMember(writing, id);
      if (personId) await forgetPerson(writing, personId);
      await forgetInDeeds(writing, id);
    });
  }
  await database.update(deeds).set({ accountId: null, name: null }).where(eq(deeds.accountId, accountId));
  await database.delete(accounts).where(eq(accounts.id, accountId));
}

async function forgetPerson(writing: Writing, personId: string): Promise<void> {
  await writing.database.update(people).set({ owner: false }).where(eq(people.id, personId));
  await deleteRow(writing, 'person', personId);
  await forgetInDeeds(writing, personId);
}
