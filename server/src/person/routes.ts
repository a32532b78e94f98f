import type { Router } from 'express';
import { rateLimit } from 'express-rate-limit';

import type { Database } from '../db/connect';
import { Counters } from '../http/counters';
import { told } from '../http/limits';
import { mount } from '../http/route';
import { listRows } from '../records/store';
import { listTurnHands, openAs, setPin } from './store';

/** Wrong PINs that a device may try in a minute. */
const MOST_TRIES = 8;
/** Wrong PINs for one person within a quarter of an hour, from wherever. */
const MOST_TRIES_OF_PERSON = 20;

export function personRoutes(router: Router, { database }: { database: Database }): void {
  mount(router, 'listPeople', (call) => listRows(call, 'person'));
  mount(router, 'setPin', (call) => setPin(call, call.viewer, call.id, call.body.pin));

  mount(router, 'listTurnHands', (call) => listTurnHands(call, call.viewer, call.id));

  mount(router, 'readSession', async ({ viewer }) => ({ personId: viewer.personId }));
  const store = (name: string) => new Counters(database, name);
  const tries = rateLimit({
    ...told('Too many tries: wait a minute.'),
    ...{ skipSuccessfulRequests: true, windowMs: 60_000, limit: MOST_TRIES, store: store('PIN from') },
  });
  // One person's PIN is not guessed from many devices either.
  const triesOfPerson = rateLimit({
    ...told('Too many wrong PINs for this person: wait a quarter of an hour.'),
    ...{ skipSuccessfulRequests: true, windowMs: 15 * 60_000, limit: MOST_TRIES_OF_PERSON, store: store('PIN of') },
    keyGenerator: ({ body }) => String((body as { personId?: unknown } | undefined)?.personId),
  });
  router.post('/api/session', tries, triesOfPerson);
  mount(router, 'openSession', async (call) => {
    const personId = await openAs(call, call.viewer, call.body);
    await call.viewer.open(personId);
    return { personId };
  });
  mount(router, 'closeSession', async ({ viewer }) => viewer.close());
}
