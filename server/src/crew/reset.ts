import type { GivenCode } from '@leggero/contract/crew';
import { and, eq, ne } from 'drizzle-orm';

import type { Auth } from '../access/auth';
import { freshCode, plainCode } from '../access/secret';
import type { Scope } from '../db/records';
import { members } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { memberOf } from './members';

/** How long a code for a new password is good. */
const LASTS_MS = 3_600_000;

/**
 * A code by which a member sets a new password. Not of another owner, nor of someone who works in another studio too:
 * whoever gives the code could sign in as them there.
 */
export async function resetCode(auth: Auth, scope: Scope, memberId: string): Promise<GivenCode> {
  const { accountId, role } = await memberOf(scope, memberId);
  if (role === 'owner') throw new HttpProblem(403, 'An owner changes their own password.');
  const [elsewhere] = await scope.database
    .select({ id: members.id })
    .from(members)
    .where(and(eq(members.accountId, accountId), ne(members.studioId, scope.studioId)))
    .limit(1);
  if (elsewhere)
    throw new HttpProblem(403, 'They work in another studio too: who keeps this server gives them a new password.');
  return passwordCode(auth, accountId);
}

/** A code by which an account's password is set anew, once. */
export async function passwordCode(auth: Auth, accountId: string): Promise<GivenCode> {
  const code = freshCode();
  const expiresAt = new Date(Date.now() + LASTS_MS);
  const { internalAdapter } = await auth.$context;
  // As the package has it: what its route for new passwords looks for.
  const identifier = `reset-password:${plainCode(code)}`;
  await internalAdapter.createVerificationValue({ identifier, value: accountId, expiresAt });
  return { code, expiresAt: expiresAt.toISOString() };
}
