import type { Router } from 'express';

import type { Auth } from '../access/auth';
import { tell } from '../access/events';
import { scopeOf } from '../access/who';
import { HttpProblem } from '../http/problem';
import { mount, mountOpen, mountWriting } from '../http/route';
import { WHOLE, type Scope } from '../db/records';
import { inWriting } from '../records/writing';
import type { Mailing } from '../mail/mailing';
import { invite, invitedBy, listInvitations, withdrawInvitation } from './invitations';
import { changeMember, listMembers, memberOf, removeMember } from './members';
import { resetCode } from './reset';

/** Who works in a studio, and who is asked to. */
export function crewRoutes(router: Router, { auth, mailing }: { auth: Auth; mailing: Mailing | null }): void {
  mount(router, 'listMembers', (call) => listMembers(call));
  mountOpen(router, 'changeMember', async ({ request, response, id, body }) => {
    const scope = scopeOf(response);
    await inWriting(scope, (writing) => changeMember(writing, id, body));
    tell(request, response, 'part changed', { by: scope.by?.id ?? null, member: id, role: body.role });
    const all = await listMembers(scope);
    return all.find((member) => member.id === id)!;
  });
  mountOpen(router, 'removeMember', async ({ request, response, id }) => {
    const scope = scopeOf(response);
    const { accountId } = await memberOf(scope, id);
    const own = accountId === scope.by?.id;
    if (!own && scope.reach.role !== 'owner') throw HttpProblem.notAllowed('owner');
    await inWriting<Scope, void>({ ...scope, reach: WHOLE }, (writing) => removeMember(writing, id));
    tell(request, response, 'member removed', { by: scope.by?.id ?? null, member: id });
  });
  mountOpen(router, 'resetMember', async ({ request, response, id }) => {
    const scope = scopeOf(response);
    const given = await resetCode(auth, scope, id);
    tell(request, response, 'code for a new password', { by: scope.by?.id ?? null, member: id });
    return given;
  });
  mount(router, 'listInvitations', (call) => listInvitations(call));
  mount(router, 'invite', async (call) => {
    const { email, ...body } = call.body;
    const given = await inWriting(call, (writing) => invite(writing, body));
    if (email === null || !mailing) return { ...given, mailed: false };
    const invited = await invitedBy(call.database, given.code);
    return { ...given, mailed: await mailing.invitation({ to: email, by: call.by ?? null, invited, ...given }) };
  });
  mountWriting(router, 'withdrawInvitation', (asked) => withdrawInvitation(asked, asked.id));
}
