import { randomUUID } from 'node:crypto';

import { hash, verify } from '@node-rs/argon2';
import type { AccountMake } from '@leggero/contract/crew';
import { and, eq, or } from 'drizzle-orm';

import { databaseError, type Database } from '../db/connect';
import { accounts, credentials } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { refuseCommon } from './commonPasswords';

/** The end of an address that no mail goes to: of accounts that gave none, which the package needs (RFC 2606). */
const NO_MAIL = '@leggero.invalid';

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
  refuseCommon(password, at('password'));
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

/** An account as mails name it, and where they go; null where it is gone. */
export interface Addressee {
  id: string;
  name: string;
  /** Null where it gave none. */
  email: string | null;
  confirmed: boolean;
}

export async function addresseeOf(database: Database, accountId: string): Promise<Addressee | null> {
  const { id, name, email, emailVerified } = accounts;
  const [row] = await database
    .select({ id, name, email, confirmed: emailVerified })
    .from(accounts)
    .where(eq(id, accountId));
  return row ? { ...row, email: shownEmail(row.email) } : null;
}

/** An address that mails go to; null for that of an account that gave none. */
export const shownEmail = (email: string): string | null => (email.endsWith(NO_MAIL) ? null : email);

/** Sets an account's address, to be confirmed anew, or takes it away; a 409 problem where another one has it. */
export async function setEmail(database: Database, accountId: string, email: string | null): Promise<void> {
  const next = email?.toLowerCase() ?? `${accountId}${NO_MAIL}`;
  try {
    await database
      .update(accounts)
      .set({ email: next, emailVerified: false, updatedAt: new Date() })
      .where(eq(accounts.id, accountId));
  } catch (error) {
    if (databaseError(error)?.code !== 'ER_DUP_ENTRY') throw error;
    throw conflictAt('email', 'Another account has this address');
  }
}

function conflictAt(path: string, message: string): HttpProblem {
  return new HttpProblem(409, message, [{ path, message }]);
}

/** Whether a password is that of an account. */
export async function isPasswordOf(database: Database, accountId: string, password: string): Promise<boolean> {
  const { userId, providerId } = credentials;
  const [row] = await database
    .select({ known: credentials.password })
    .from(credentials)
    .where(and(eq(userId, accountId), eq(providerId, 'credential')));
  return row?.known != null && verify(row.known, password);
}
