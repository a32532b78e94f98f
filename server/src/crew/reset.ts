import type { GivenCode } from '@leggero/contract/crew';
import { and, eq, ne } from 'drizzle-orm';

import type { Auth } from '../access/auth';
import { passwordCode } from '../access/codes';
import type { Scope } from '../db/records';
import { members } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { memberOf } from './members';

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
