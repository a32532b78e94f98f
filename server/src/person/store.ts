import { hash, verify } from '@node-rs/argon2';
import type { PersonCreate, PersonRecord } from '@leggero/contract';
import { and, asc, desc, eq, isNotNull, or, type SQL } from 'drizzle-orm';

import { changeOwned, insertOnce, ownedBy, readOwned, type Scope } from '../db/records';
import { eyeChecks, people } from '../db/tables';
import { HttpProblem } from '../http/problem';
import type { Viewer } from './sessions';

type PersonRow = typeof people.$inferSelect;

/** A person as the contract has it: a PIN never leaves the server. */
function personOf({ id, name, owner, pinHash, demo }: PersonRow): PersonRecord {
  return { id, name, owner, hasPin: pinHash !== null, demo };
}

/** Everyone of the studio, the owner first, then by name. */
export async function listPeople({ database, studioId }: Scope): Promise<PersonRecord[]> {
  const rows = await database
    .select()
    .from(people)
    .where(eq(people.studioId, studioId))
    .orderBy(desc(people.owner), asc(people.name));
  return rows.map(personOf);
}

/** Adds someone; a studio's first person is its owner (see `openStudio`). */
export async function createPerson(
  scope: Scope,
  create: PersonCreate,
): Promise<{ row: PersonRecord; created: boolean }> {
  const { row, created } = await insertOnce(scope, people, { ...create, owner: false });
  return { row: personOf(row), created };
}

export async function changePerson(
  scope: Scope,
  id: string,
  { name }: { name?: string | undefined },
): Promise<PersonRecord> {
  return personOf(await changeOwned(scope, people, id, name === undefined ? {} : { name }));
}

const LOCKED = 'This is private: it opens with the PIN of the person it belongs to, or of the owner.';

/** Refuses with 403 unless the viewer is one of `personIds` or the studio's owner. */
export async function allowOnly(scope: Scope, viewer: Viewer, personIds: readonly (string | null)[]): Promise<void> {
  if (!(await isAllowed(scope, viewer, personIds))) throw new HttpProblem(403, LOCKED);
}

/** Whether the viewer is one of `personIds` or the studio's owner. */
export async function isAllowed(
  scope: Scope,
  { personId }: Viewer,
  personIds: readonly (string | null)[],
): Promise<boolean> {
  if (personId === null) return false;
  return personIds.includes(personId) || ((await findPerson(scope, personId))?.owner ?? false);
}

async function findPerson(scope: Scope, id: string): Promise<PersonRow | null> {
  const [row] = await scope.database
    .select()
    .from(people)
    .where(ownedBy(people, scope, id));
  return row ?? null;
}

/** Opens a session for someone: with their PIN where they have one. Answers whose it is. */
export async function openAs(
  scope: Scope,
  { personId, pin }: { personId: string; pin?: string | undefined },
): Promise<string> {
  const person = await readOwned(scope, people, personId);
  if (person.pinHash !== null && !(await verify(person.pinHash, pin ?? ''))) {
    throw new HttpProblem(403, 'This is not the PIN.', [{ path: 'pin', message: 'This is not the PIN' }]);
  }
  return person.id;
}

/**
 * Sets, changes or removes a PIN: only its person and the owner may. A first one is set by the owner alone once the
 * owner has a PIN, since until then anyone's pages open to whoever taps their name. Pages of theirs that are open
 * elsewhere are closed.
 */
export async function setPin(scope: Scope, viewer: Viewer, id: string, pin: string | null): Promise<PersonRecord> {
  const person = await readOwned(scope, people, id);
  await allowOnly(scope, viewer, [id]);
  if (person.pinHash === null && (await ownerHasPin(scope))) {
    if (!(await isAllowed(scope, viewer, []))) throw new HttpProblem(403, 'The owner sets a first PIN.');
  }
  const pinHash = pin === null ? null : await hash(pin);
  const changed = personOf(await changeOwned(scope, people, id, { pinHash }));
  viewer.closeElsewhere(id);
  return changed;
}

async function ownerHasPin({ database, studioId }: Scope): Promise<boolean> {
  const [owner] = await database
    .select({ pinHash: people.pinHash })
    .from(people)
    .where(and(eq(people.studioId, studioId), eq(people.owner, true)));
  return owner !== undefined && owner.pinHash !== null;
}

/** Removes someone and the sessions by eye they took part in; a studio keeps its owner. */
export async function deletePerson(scope: Scope, viewer: Viewer, id: string): Promise<void> {
  const person = await findPerson(scope, id);
  if (!person) return;
  if (person.owner) throw HttpProblem.conflict('A studio keeps its owner.');
  if (person.pinHash !== null) await allowOnly(scope, viewer, [id]);
  await keepPrivate(scope, viewer, or(eq(eyeChecks.personId, id), eq(eyeChecks.secondPersonId, id)), [id]);
  await scope.database.delete(people).where(ownedBy(people, scope, id));
}

/**
 * Refuses to let sessions by eye go with what they hang on, unless the viewer may see each of them that is kept by a
 * PIN. Those of the people `going` go with them.
 */
export async function keepPrivate(
  scope: Scope,
  viewer: Viewer,
  which: SQL | undefined,
  going: readonly string[] = [],
): Promise<void> {
  if (await isAllowed(scope, viewer, [])) return;
  const { database, studioId } = scope;
  const takingPart = or(eq(people.id, eyeChecks.personId), eq(people.id, eyeChecks.secondPersonId));
  const rows = await database
    .selectDistinct({
      first: eyeChecks.personId,
      second: eyeChecks.secondPersonId,
      who: people.id,
    })
    .from(eyeChecks)
    .innerJoin(people, and(takingPart, isNotNull(people.pinHash)))
    .where(and(eq(eyeChecks.studioId, studioId), which));
  for (const { first, second, who } of rows) {
    const tookPart = viewer.personId !== null && [first, second].includes(viewer.personId);
    if (tookPart || going.includes(who)) continue;
    throw new HttpProblem(
      403,
      'Someone’s private checks by eye would go with this: only they or the owner may delete it.',
    );
  }
}
