import type { Router } from 'express';

import type { Auth } from '../access/auth';
import { scopeOf, whoOf } from '../access/who';
import { HttpProblem } from '../http/problem';
import { mount, mountOpen, mountWriting } from '../http/route';
import { WHOLE, type Scope } from '../db/records';
import { inWriting } from '../records/writing';
import { invite, listInvitations, withdrawInvitation } from './invitations';
import { changeMember, listMembers, memberOf, removeMember } from './members';
import { resetCode } from './reset';

/** Who works in a studio, and who is asked to. */
export function crewRoutes(router: Router, { auth }: { auth: Auth }): void {
  mountOpen(router, 'listMembers', async ({ response }) =>
    listMembers(scopeOf(response), (await whoOf(response)).access.account?.id ?? null),
  );
  mountOpen(router, 'changeMember', async ({ response, id, body }) => {
    const scope = scopeOf(response);
    await inWriting(scope, (writing) => changeMember(writing, id, body));
    const all = await listMembers(scope, (await whoOf(response)).access.account?.id ?? null);
    return all.find((member) => member.id === id)!;
  });
  mountOpen(router, 'removeMember', async ({ response, id }) => {
    const scope = scopeOf(response);
    const { accountId } = await memberOf(scope, id);
    const own = accountId === (await whoOf(response)).access.account?.id;
    if (!own && scope.reach.role !== 'owner') throw HttpProblem.notAllowed('owner');
    await inWriting<Scope, void>({ ...scope, reach: WHOLE }, (writing) => removeMember(writing, id));
  });
  mount(router, 'resetMember', (call) => resetCode(auth, call, call.id));
  mount(router, 'listInvitations', (call) => listInvitations(call));
  mountWriting(router, 'invite', (asked) => invite(asked, asked.body));
  mount(router, 'withdrawInvitation', (call) => withdrawInvitation(call, call.id));
}
