import { hash, verify } from '@node-rs/argon2';
import type { PersonRecord, TurnHands } from '@leggero/contract';
import { and, eq } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { people, turnHands } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { listRows, ownedBy, readRow } from '../records/store';
import { inWriting } from '../records/writing';
import { allowOnly, isAllowed } from './private';
import type { Viewer } from './openPages';

/** What opens someone's pages; null where nothing does. A 404 problem when nobody is meant. */
async function pinHashOf(scope: Scope, id: string): Promise<string | null> {
  const [row] = await scope.database
    .select({ pinHash: people.pinHash })
    .from(people)
    .where(ownedBy('person', scope, id));
  if (!row) throw HttpProblem.notFound();
  return row.pinHash;
}

/**
 * Opens a session for someone: with their PIN where they have one; where people sign in, nobody else's without. Answers
 * whose it is.
 */
export async function openAs(
  scope: Scope,
  viewer: Viewer,
  { personId, pin }: { personId: string; pin?: string | undefined },
): Promise<string> {
  const pinHash = await pinHashOf(scope, personId);
  if (pinHash === null && viewer.signedIn && viewer.personId !== personId)
    throw new HttpProblem(403, 'They have no PIN: their pages open where they are signed in.');
  if (pinHash !== null && !(await verify(pinHash, pin ?? ''))) {
    throw new HttpProblem(403, 'This is not the PIN.', [{ path: 'pin', message: 'This is not the PIN' }]);
  }
  return personId;
}

/**
 * Sets, changes or removes a PIN: only its person and the owner may. A first one is set by the owner alone once the
 * owner has a PIN, since until then anyone's pages open to whoever taps their name. Pages of theirs that are open
 * elsewhere are closed.
 */
export async function setPin(scope: Scope, viewer: Viewer, id: string, pin: string | null): Promise<PersonRecord> {
  const before = await pinHashOf(scope, id);
  await allowOnly(scope, viewer, [id]);
  if (before === null && (await ownerHasPin(scope))) {
    if (!(await isAllowed(scope, viewer, []))) throw new HttpProblem(403, 'The owner sets a first PIN.');
  }
  const pinHash = pin === null ? null : await hash(pin);
  const changed = await inWriting(scope, async (writing) => {
    await writing.database
      .update(people)
      .set({ pinHash })
      .where(ownedBy('person', scope, id));
    writing.touch('person', [id]);
    return readRow(writing, 'person', id);
  });
  await viewer.closeElsewhere(id);
  return changed;
}

/** Which turns at stations were someone's; only for them and the owner. */
export async function listTurnHands(scope: Scope, viewer: Viewer, personId: string): Promise<TurnHands[]> {
  await readRow(scope, 'person', personId);
  await allowOnly(scope, viewer, [personId]);
  return listRows(scope, 'turnHands', eq(turnHands.personId, personId));
}

async function ownerHasPin({ database, studioId }: Scope): Promise<boolean> {
  const [owner] = await database
    .select({ pinHash: people.pinHash })
    .from(people)
    .where(and(eq(people.studioId, studioId), eq(people.owner, true)));
  return owner !== undefined && owner.pinHash !== null;
}
