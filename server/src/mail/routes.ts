import type { Router } from 'express';

import { addresseeOf, setEmail } from '../access/accounts';
import type { Auth } from '../access/auth';
import { confirmAddress } from '../access/codes';
import { tell } from '../access/events';
import type { OwnPassword } from '../access/ownPassword';
import { whoOf, type Gate } from '../access/who';
import type { Database } from '../db/connect';
import { HttpProblem } from '../http/problem';
import { inBackground } from '../http/background';
import { mountOpen } from '../http/route';
import type { Mailing } from './mailing';

interface MailOptions {
  database: Database;
  auth: Auth;
  gate: Gate;
  ownPassword: OwnPassword;
  /** Null where no mails go from here. */
  mailing: Mailing | null;
}

const SPENT = 'This code was used, or is too old, or the address is another by now';

/** One's address, and what is mailed there. */
export function mailRoutes(router: Router, { database, auth, gate, ownPassword, mailing }: MailOptions): void {
  mountOpen(router, 'mailPasswordCode', async ({ request, response, body: { who } }) => {
    if (!mailing) throw new HttpProblem(404, 'No mails go from here: ask an owner of your studio for a code.');
    if (!(await mailing.mayAsk(request.ip ?? '')))
      throw new HttpProblem(429, 'Too many codes were asked for: wait an hour.');
    tell(request, response, 'code asked for by mail');
    // After the answer: how long it takes would say whether there is such an account.
    inBackground(request, mailing.passwordCode(who));
  });

  mountOpen(router, 'setAddress', async ({ request, response, body }) => {
    const { account } = (await whoOf(response)).access;
    if (!account) throw HttpProblem.signedOut();
    await ownPassword.ask({ request, response, accountId: account.id, password: body.password });
    const email = body.email?.toLowerCase() ?? null;
    const before = await addresseeOf(database, account.id);
    if (before && email !== before.email) {
      await setEmail(database, account.id, email);
      tell(request, response, 'address changed', { account: account.id });
      if (before.confirmed && before.email) await mailing?.changed(account.id, 'address', before.email);
    }
    if ((await mailing?.confirmation(account.id)) === false)
      throw new HttpProblem(
        429,
        'Enough mails went there for today: look among those that were taken for advertising.',
      );
    gate.forget();
    return (await gate.whoAsks(request, response)).access;
  });

  mountOpen(router, 'confirmAddress', async ({ request, response, body: { code } }) => {
    if (!(await confirmAddress(auth, database, code)))
      throw new HttpProblem(403, SPENT, [{ path: 'code', message: SPENT }]);
    tell(request, response, 'address confirmed');
  });
}
