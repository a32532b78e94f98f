import { DrizzleQueryError } from 'drizzle-orm';
import type { Request, Response } from 'express';
import { stdSerializers } from 'pino';

import { databaseError } from '../db/connect';

/** What is logged of a request, its answer and an error: no cookie, no session, and nothing of what was sent. */
export const LOGGED = {
  req: ({ method, originalUrl }: Request) => ({ method, url: originalUrl }),
  res: ({ statusCode }: Response) => ({ statusCode }),
  err: (error: Error) => {
    if (!(error instanceof DrizzleQueryError)) return stdSerializers.err(error);
    // Its own words repeat the values of the statement, the hash of a PIN among them.
    const { query } = error;
    return { type: 'DatabaseError', code: databaseError(error)?.code, query };
  },
};
