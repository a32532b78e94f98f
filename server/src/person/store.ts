import { hash, verify } from '@node-rs/argon2';
import type { PersonCreate, PersonRecord } from '@leggero/contract';
import { asc, desc, eq } from 'drizzle-orm';

import { changeOwned, insertOnce, ownedBy, readOwned, type Scope } from '../db/records';
import { people } from '../db/schema';
import { HttpProblem } from '../http/problem';

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

/** Who asks, as the device's session has it. */
export interface Viewer {
  personId: string | null;
}

const LOCKED = 'This is private: it opens with the PIN of the person it belongs to, or of the owner.';

/** Refuses with 403 unless the viewer is one of `personIds` or the studio's owner. */
export async function allowOnly(
  scope: Scope,
  { personId }: Viewer,
  personIds: readonly (string | null)[],
): Promise<void> {
  if (personId !== null && personIds.includes(personId)) return;
  const viewer = personId === null ? null : await findPerson(scope, personId);
  if (!viewer?.owner) throw new HttpProblem(403, LOCKED);
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

/** Sets, changes or removes a PIN. One that exists is changed only by its person or the owner. */
export async function setPin(scope: Scope, viewer: Viewer, id: string, pin: string | null): Promise<PersonRecord> {
  const person = await readOwned(scope, people, id);
  if (person.pinHash !== null) await allowOnly(scope, viewer, [id]);
  return personOf(await changeOwned(scope, people, id, { pinHash: pin === null ? null : await hash(pin) }));
}

/** Removes someone and the sessions by eye they took part in; a studio keeps its owner. */
export async function deletePerson(scope: Scope, viewer: Viewer, id: string): Promise<void> {
  const person = await findPerson(scope, id);
  if (!person) return;
  if (person.owner) throw HttpProblem.conflict('A studio keeps its owner.');
  if (person.pinHash !== null) await allowOnly(scope, viewer, [id]);
  await scope.database.delete(people).where(ownedBy(people, scope, id));
}
