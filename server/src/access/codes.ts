import type { GivenCode } from '@leggero/contract/crew';
import { and, eq } from 'drizzle-orm';

import type { Database } from '../db/connect';
import { accounts } from '../db/tables';
import type { Auth } from './auth';
import { freshCode, plainCode } from './secret';

const HOUR_MS = 3_600_000;
/** How long a code is good. */
const LASTS_MS = { 'reset-password': HOUR_MS, 'confirm-address': 7 * 24 * HOUR_MS } as const;

/** A code that does something to an account once. The package of accounts keeps it as a hash. */
async function codeFor(auth: Auth, what: keyof typeof LASTS_MS, value: string): Promise<GivenCode> {
  const code = freshCode();
  const expiresAt = new Date(Date.now() + LASTS_MS[what]);
  const { internalAdapter } = await auth.$context;
  await internalAdapter.createVerificationValue({ identifier: `${what}:${plainCode(code)}`, value, expiresAt });
  return { code, expiresAt: expiresAt.toISOString() };
}

/** A code by which an account's password is set anew: as the package's own route for new passwords looks for it. */
export const passwordCode = (auth: Auth, accountId: string): Promise<GivenCode> =>
  codeFor(auth, 'reset-password', accountId);

/** The account that a code for a new password is of; null where it was used, or is too old. */
export async function accountOfPasswordCode(auth: Auth, code: string): Promise<string | null> {
  const { internalAdapter } = await auth.$context;
  return (await internalAdapter.findVerificationValue(`reset-password:${plainCode(code)}`))?.value ?? null;
}

/** A code by which whoever reads at an account's address says so. */
export const confirmationCode = (auth: Auth, { id, email }: { id: string; email: string }): Promise<GivenCode> =>
  codeFor(auth, 'confirm-address', `${id} ${email}`);

/** Confirms the address that a code was mailed to, where it is still the account's: whether it is confirmed. */
export async function confirmAddress(auth: Auth, database: Database, code: string): Promise<boolean> {
  const { internalAdapter } = await auth.$context;
  const kept = await internalAdapter.consumeVerificationValue(`confirm-address:${plainCode(code)}`);
  if (!kept || kept.expiresAt.getTime() < Date.now()) return false;
  const [id, email] = kept.value.split(' ') as [string, string];
  const [{ affectedRows }] = (await database
    .update(accounts)
    .set({ emailVerified: true, updatedAt: new Date() })
    .where(and(eq(accounts.id, id), eq(accounts.email, email)))) as unknown as [{ affectedRows: number }];
  return affectedRows === 1;
}
