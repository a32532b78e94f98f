import type { Access, MemberPart } from '@leggero/contract';
import type { AccountMake } from '@leggero/contract/crew';
import type { Request, Response, Router } from 'express';

import { invitationOf, invitedBy, useUp } from '../crew/invitations';
import { addMember } from '../crew/members';
import type { Database } from '../db/connect';
import { WHOLE } from '../db/records';
import { inBackground } from '../http/background';
import { HttpProblem } from '../http/problem';
import { mountOpen, viewerOf } from '../http/route';
import { forgetAccount, ownData } from '../person/ownData';
import type { Mailing } from '../mail/mailing';
import { inWriting, type Writing } from '../records/writing';
import { foundStudio } from '../studio/store';
import { accountOf, makeAccount } from './accounts';
import { askAuth, isRefusal } from './askAuth';
import type { Auth } from './auth';
import { refuseCommon } from './commonPasswords';
import { accountOfPasswordCode } from './codes';
import { endDevice, listDevices } from './devices';
import { tell } from './events';
import type { OwnPassword } from './ownPassword';
import { listPasskeys, removePasskey } from './passkeys';
import { isSame, plainCode } from './secret';
import { Tries } from './tries';
import { scopeOf, whoOf, type Gate } from './who';

export interface AccessOptions {
  database: Database;
  auth: Auth;
  gate: Gate;
  home: string;
  secure: boolean;
  /** What whoever sets up an open service has to know; null where nobody can. */
  setUpCode: string | null;
  ownPassword: OwnPassword;
  /** Null where no mails go from here. */
  mailing: Mailing | null;
}

interface Exchange {
  request: Request;
  response: Response;
}

const OWNS: MemberPart = { role: 'owner', eventId: null, until: null };
const LONG_AGO = 'You signed in here too long ago for that: sign out and in again, then add it.';
const WRONG = 'Name and password do not belong together';

/** Asks the package of accounts; where it refuses, in words of ours, and beside a field where one is to blame. */
async function asRefused<T>(title: string, ask: () => Promise<T>, field?: string): Promise<T> {
  try {
    return await ask();
  } catch (error) {
    if (!isRefusal(error)) throw error;
    throw new HttpProblem(403, title, field ? [{ path: field, message: title }] : []);
  }
}

/** Lets someone work in a studio: who has an account, or with a new one. */
async function join(
  writing: Writing,
  {
    account,
    part,
    path,
  }: { account: Required<AccountMake> | { id: string; name: string }; part: MemberPart; path?: string },
): Promise<void> {
  const { name } = account;
  const accountId = 'id' in account ? account.id : await makeAccount(writing.database, account, path);
  await addMember(writing, { accountId, name, part });
}

/** Signing in and out, joining, and what is one's own of it. */
export function accessRoutes(router: Router, options: AccessOptions): void {
  const { database, auth, gate, home, secure, setUpCode, ownPassword, mailing } = options;
  const tries = new Tries(database);

  /** Who asks, once they are someone else than the request was of: as the next request will find it. */
  const accessOf = async (request: Request, response: Response): Promise<Access> => {
    const set = response.getHeader('Set-Cookie');
    const fresh = [set ?? []].flat().map((cookie) => String(cookie).split(';')[0]!);
    request.headers.cookie = [...fresh, request.headers.cookie ?? ''].filter(Boolean).join('; ');
    return (await gate.whoAsks(request, response)).access;
  };
  const signIn = async ({ request, response }: Exchange, username: string, password: string) => {
    await askAuth(auth, { request, response, path: '/sign-in/username', body: { username, password } });
  };

  /** Who came in with an account that was just made: its address is asked to be confirmed. */
  const madeAccess = async (request: Request, response: Response): Promise<Access> => {
    const access = await accessOf(request, response);
    if (access.account) inBackground(request, mailing?.confirmation(access.account.id));
    return access;
  };

  mountOpen(router, 'readAccess', async ({ response }) => (await whoOf(response)).access);

  mountOpen(router, 'claim', async ({ request, response, body }) => {
    const { access } = await whoOf(response);
    if (access.state !== 'alone' && access.state !== 'setUp')
      throw HttpProblem.conflict('Somebody owns this already: sign in.');
    const given = plainCode(body.code ?? '');
    if (access.state === 'setUp' && !(setUpCode && isSame(given, plainCode(setUpCode))))
      throw new HttpProblem(403, 'This is not the code.', [{ path: 'code', message: 'This is not the code' }]);
    await inWriting({ database, studioId: home, reach: WHOLE }, async (writing) => {
      if (await gate.anyAccounts()) throw HttpProblem.conflict('Somebody owns this already: sign in.');
      await join(writing, { account: body, part: OWNS });
    });
    await signIn({ request, response }, body.signInName, body.password);
    tell(request, response, 'owned');
    return madeAccess(request, response);
  });

  mountOpen(router, 'signIn', async ({ request, response, body: { who, password } }) => {
    const account = await accountOf(database, who);
    const key = await tries.keyOf(request, response, { who, accountId: account?.id ?? null });
    try {
      await signIn({ request, response }, account?.username ?? who, password);
    } catch (error) {
      if (!isRefusal(error)) throw error;
      await tries.wrong(key);
      tell(request, response, 'sign-in refused', { account: account?.id ?? null });
      throw new HttpProblem(403, WRONG, [{ path: 'password', message: WRONG }]);
    }
    await tries.right(key, { request, response, accountId: account!.id, secure });
    tell(request, response, 'signed in', { account: account!.id });
    return accessOf(request, response);
  });

  mountOpen(router, 'passkeySignInOptions', async ({ request, response }) => {
    const path = '/passkey/generate-authenticate-options';
    return (await askAuth(auth, { request, response, path, method: 'GET' })) as Record<string, unknown>;
  });
  mountOpen(router, 'passkeySignIn', async ({ request, response, body }) => {
    await asRefused('This passkey is not known here.', () =>
      askAuth(auth, { request, response, path: '/passkey/verify-authentication', body }),
    );
    tell(request, response, 'signed in');
    return accessOf(request, response);
  });
  mountOpen(router, 'listPasskeys', async ({ response }) => {
    const { account } = (await whoOf(response)).access;
    return account ? listPasskeys(database, account.id) : [];
  });
  mountOpen(router, 'passkeyOptions', async ({ request, response }) => {
    const path = '/passkey/generate-register-options';
    return (await asRefused(LONG_AGO, () => askAuth(auth, { request, response, path, method: 'GET' }))) as Record<
      string,
      unknown
    >;
  });
  mountOpen(router, 'keepPasskey', async ({ request, response, body }) => {
    await asRefused(LONG_AGO, () => askAuth(auth, { request, response, path: '/passkey/verify-registration', body }));
  });
  mountOpen(router, 'removePasskey', async ({ response, id }) => {
    const { account } = (await whoOf(response)).access;
    if (account) await removePasskey(database, account.id, id);
  });

  mountOpen(router, 'signOut', async ({ request, response }) => {
    await viewerOf(response).close();
    await askAuth(auth, { request, response, path: '/sign-out', body: {} });
    tell(request, response, 'signed out');
  });

  mountOpen(router, 'readInvitation', ({ body }) => invitedBy(database, body.code));

  mountOpen(router, 'join', async ({ request, response, body: { code, account } }) => {
    const { access } = await whoOf(response);
    const { id, studioId, role, eventId, until } = await invitationOf(database, code);
    if (!account && !access.account) throw HttpProblem.signedOut();
    await inWriting({ database, studioId, reach: WHOLE }, async (writing) => {
      if (!(await useUp(writing.database, id))) throw HttpProblem.conflict('This invitation was taken up just now.');
      await join(writing, { account: account ?? access.account!, part: { role, eventId, until }, path: 'account' });
    });
    if (account) await signIn({ request, response }, account.signInName, account.password);
    tell(request, response, 'joined', { studio: studioId, role });
    return account ? madeAccess(request, response) : accessOf(request, response);
  });

  mountOpen(router, 'newPassword', async ({ request, response, body: { code, password } }) => {
    refuseCommon(password, 'password');
    const body = { token: plainCode(code), newPassword: password };
    const spent = 'This code was used, or is too old: ask for another';
    const accountId = await accountOfPasswordCode(auth, code);
    await asRefused(spent, () => askAuth(auth, { request, response, path: '/reset-password', body }), 'code');
    tell(request, response, 'password set anew');
    if (accountId) inBackground(request, mailing?.changed(accountId, 'password'));
  });

  mountOpen(router, 'changePassword', async ({ request, response, body: { before, password } }) => {
    refuseCommon(password, 'password');
    const body = { currentPassword: before, newPassword: password, revokeOtherSessions: true };
    const notIt = 'This is not your password so far';
    await asRefused(notIt, () => askAuth(auth, { request, response, path: '/change-password', body }), 'before');
    tell(request, response, 'password changed');
    const { account } = (await whoOf(response)).access;
    if (account) inBackground(request, mailing?.changed(account.id, 'password'));
  });

  mountOpen(router, 'listDevices', async ({ response }) => {
    const { access, session } = await whoOf(response);
    if (!access.account) return [];
    return listDevices(database, access.account.id, session);
  });
  mountOpen(router, 'endDevice', async ({ response, id }) => {
    const { access } = await whoOf(response);
    if (access.account) await endDevice(database, access.account.id, id);
  });

  mountOpen(router, 'readOwnData', async ({ response }) => {
    const { access, session } = await whoOf(response);
    const { id: accountId = null, ...account } = access.account ?? {};
    const devices = accountId ? await listDevices(database, accountId, session) : [];
    const own = access.account && { ...(account as Omit<typeof access.account, 'id'>), devices };
    return ownData(scopeOf(response), { accountId, account: own });
  });
  mountOpen(router, 'forgetAccount', async ({ request, response, body: { password } }) => {
    const { account } = (await whoOf(response)).access;
    if (!account) throw HttpProblem.signedOut();
    await ownPassword.ask({ request, response, accountId: account.id, password });
    await forgetAccount(database, account.id);
    tell(request, response, 'forgotten', { account: account.id });
    await viewerOf(response).close();
  });

  mountOpen(router, 'makeStudio', async ({ request, response, body: { id, name } }) => {
    const { account } = (await whoOf(response)).access;
    if (!account) throw HttpProblem.signedOut();
    await foundStudio({ database }, { id, name });
    await inWriting({ database, studioId: id, reach: WHOLE }, (writing) => join(writing, { account, part: OWNS }));
    return accessOf(request, response);
  });
}
