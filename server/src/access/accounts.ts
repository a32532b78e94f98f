import { randomUUID } from 'node:crypto';

import { hash } from '@node-rs/argon2';
import type { AccountMake } from '@leggero/contract/crew';
import { eq, or } from 'drizzle-orm';

import { databaseError, type Database } from '../db/connect';
import { accounts, credentials } from '../db/tables';
import { HttpProblem } from '../http/problem';

/** The end of an address that no mail goes to: of accounts that gave none, which the package needs (RFC 2606). */
export const NO_MAIL = '@leggero.invalid';

/** A name to sign in with as accounts are found by it. */
const plainName = (name: string): string => name.toLowerCase();

/** Whether anyone can sign in. */
export async function anyAccounts(database: Database): Promise<boolean> {
  const [first] = await database.select({ id: accounts.id }).from(accounts).limit(1);
  return first !== undefined;
}

/** The account that someone means by a name or an e-mail address; null where there is none. */
export async function accountOf(database: Database, who: string): Promise<{ id: string; username: string } | null> {
  const [row] = await database
    .select({ id: accounts.id, username: accounts.username })
    .from(accounts)
    .where(or(eq(accounts.username, plainName(who)), eq(accounts.email, who.toLowerCase())));
  return row ? { id: row.id, username: row.username ?? '' } : null;
}

/**
 * Makes an account with a password; `path`: where its fields stand in what was sent. A 409 problem beside the field that
 * is taken.
 */
export async function makeAccount(
  database: Database,
  { name, signInName, email, password }: Required<AccountMake>,
  path = '',
): Promise<string> {
  const id = randomUUID();
  const now = new Date();
  const when = { createdAt: now, updatedAt: now };
  const at = (field: string) => (path ? `${path}.${field}` : field);
  const taken = await accountOf(database, signInName);
  if (taken) throw conflictAt(at('signInName'), 'Somebody signs in by this name: take another');
  if (email && (await accountOf(database, email)))
    throw conflictAt(at('email'), 'There is an account with this address: sign in with it');
  try {
    await database.insert(accounts).values({
      ...{ id, name, username: plainName(signInName), displayUsername: signInName },
      ...{ email: email?.toLowerCase() ?? `${id}${NO_MAIL}`, ...when },
    });
  } catch (error) {
    if (databaseError(error)?.code !== 'ER_DUP_ENTRY') throw error;
    throw conflictAt(at('signInName'), 'Somebody signs in by this name: take another');
  }
  await database.insert(credentials).values({
    ...{ id: randomUUID(), userId: id, accountId: id, providerId: 'credential' },
    ...{ password: await hash(password), ...when },
  });
  return id;
}

function conflictAt(path: string, message: string): HttpProblem {
  return new HttpProblem(409, message, [{ path, message }]);
}
