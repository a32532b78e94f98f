import type { Router } from 'express';
import { rateLimit } from 'express-rate-limit';

import { mount } from '../http/route';
import { listRows } from '../records/store';
import { listTurnHands, openAs, setPin } from './store';

/** Wrong PINs that a device may try in a minute. */
const MOST_TRIES = 8;
/** Wrong PINs for one person within a quarter of an hour, from wherever. */
const MOST_TRIES_OF_PERSON = 20;
const TRIES = {
  skipSuccessfulRequests: true,
  standardHeaders: 'draft-8',
  legacyHeaders: false,
  message: { type: 'about:blank', title: 'Too many tries: wait a minute.', status: 429 },
} as const;

export function personRoutes(router: Router): void {
  mount(router, 'listPeople', (call) => listRows(call, 'person'));
  mount(router, 'setPin', (call) => setPin(call, call.viewer, call.id, call.body.pin));

  mount(router, 'listTurnHands', (call) => listTurnHands(call, call.viewer, call.id));

  mount(router, 'readSession', async ({ viewer }) => ({ personId: viewer.personId }));
  const tries = rateLimit({ ...TRIES, windowMs: 60_000, limit: MOST_TRIES });
  // One person's PIN is not guessed from many devices either.
  const triesOfPerson = rateLimit({
    ...TRIES,
    windowMs: 15 * 60_000,
    limit: MOST_TRIES_OF_PERSON,
    keyGenerator: ({ body }) => String((body as { personId?: unknown } | undefined)?.personId),
    message: { ...TRIES.message, title: 'Too many wrong PINs for this person: wait a quarter of an hour.' },
  });
  router.post('/api/session', tries, triesOfPerson);
  mount(router, 'openSession', async (call) => {
    const personId = await openAs(call, call.viewer, call.body);
    call.viewer.open(personId);
    return { personId };
  });
  mount(router, 'closeSession', async ({ viewer }) => viewer.close());
}
