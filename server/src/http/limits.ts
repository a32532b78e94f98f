import { rateLimit, type Options } from 'express-rate-limit';
import type { RequestHandler, Response } from 'express';

import { tell } from '../access/events';
import { whoOf } from '../access/who';
import type { Database } from '../db/connect';
import { Tallies } from './tallies';

/** Requests a minute of a device that is signed in: a station's taps many times over. */
const MOST_OF_DEVICE = 3000;
/** Requests a minute from an address of those who are not. */
const MOST_OF_STRANGERS = 300;

/** How a limit is told: as the standard's draft has it in headers, as a problem, and in the log. */
export const told = (title: string) =>
  ({
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    // What somebody says of whom they ask for is believed of those alone who are named: nothing is set up wrong.
    validate: { xForwardedForHeader: false },
    handler: (request, response) => {
      tell(request, response, 'too many');
      response.status(429).type('application/problem+json').json({ type: 'about:blank', title, status: 429 });
    },
  }) satisfies Partial<Options>;

const MANY = { windowMs: 60_000, ...told('Too many requests: wait a minute.') };

/**
 * Limits on how much is asked, of all processes together: of a device that is signed in, of an address while nobody is.
 * Whoever is at the machine of a studio that nobody owns is not held up.
 */
export function limits(database: Database): RequestHandler[] {
  const session = async (response: Response) => (await whoOf(response)).session;
  return [
    rateLimit({
      ...MANY,
      limit: MOST_OF_DEVICE,
      store: new Tallies(database, 'requests of a device'),
      skip: async (_, response) => (await session(response as Response)) === null,
      keyGenerator: async (_, response) => (await session(response as Response))!,
    }),
    rateLimit({
      ...MANY,
      limit: MOST_OF_STRANGERS,
      store: new Tallies(database, 'requests of an address'),
      skip: async (_, response) => {
        const { access } = await whoOf(response as Response);
        return access.state === 'in' || access.state === 'alone';
      },
    }),
  ];
}
