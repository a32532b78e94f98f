import type { Router } from 'express';
import { rateLimit } from 'express-rate-limit';

import type { Scope } from '../db/records';
import { mount } from '../http/route';
import { changePerson, createPerson, deletePerson, listPeople, openAs, setPin } from './store';

/** Wrong PINs that a device may try in a minute. */
const MOST_TRIES = 8;

export function personRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listPeople', (call) => listPeople(call));
  mount(router, scope, 'createPerson', (call) => createPerson(call, call.body));
  mount(router, scope, 'changePerson', (call) => changePerson(call, call.id, call.body));
  mount(router, scope, 'deletePerson', (call) => deletePerson(call, call.viewer, call.id));
  mount(router, scope, 'setPin', (call) => setPin(call, call.viewer, call.id, call.body.pin));

  mount(router, scope, 'readSession', async ({ viewer }) => ({ personId: viewer.personId }));
  const tries = rateLimit({
    windowMs: 60_000,
    limit: MOST_TRIES,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    message: { type: 'about:blank', title: 'Too many tries: wait a minute.', status: 429 },
  });
  router.post('/api/session', tries);
  mount(router, scope, 'openSession', async (call) => {
    call.viewer.personId = await openAs(call, call.body);
    return { personId: call.viewer.personId };
  });
  mount(router, scope, 'closeSession', async ({ viewer }) => {
    viewer.personId = null;
  });
}
