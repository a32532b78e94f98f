import type { Request, Response } from 'express';

import type { Database } from '../db/connect';
import { HttpProblem } from '../http/problem';
import { isPasswordOf } from './accounts';
import { Tries } from './tries';

const NOT_IT = 'This is not your password';

/** Asks whoever is signed in for their password once more, before what somebody with their phone must not do. */
export class OwnPassword {
  private readonly tries: Tries;

  constructor(private readonly database: Database) {
    this.tries = new Tries(database);
  }

  /** A problem beside the field where it is another; waits grow with wrong ones, as where one signs in. */
  async ask({
    request,
    response,
    accountId,
    password,
  }: {
    request: Request;
    response: Response;
    accountId: string;
    password: string;
  }): Promise<void> {
    const key = await this.tries.keyOf(request, response, { who: accountId, accountId });
    if (await isPasswordOf(this.database, accountId, password)) return;
    await this.tries.wrong(key);
    throw new HttpProblem(403, NOT_IT, [{ path: 'password', message: NOT_IT }]);
  }
}
