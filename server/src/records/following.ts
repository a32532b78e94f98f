import { CHANGES_PATH, changesQuerySchema, LIVE_PATH } from '@leggero/contract';
import type { Router } from 'express';

import { allow, scopeOf } from '../access/who';
import { mount, parsed } from '../http/route';
import { carryOut } from './batch';
import { changesSince } from './feed';
import { listen } from './live';

/** What devices follow a studio by: what they send of their own, and what others wrote. */
export function followingRoutes(router: Router): void {
  mount(router, 'carryOut', (call) => carryOut(call, call.body));
  router.get(CHANGES_PATH, allow('helper'), async (request, response) => {
    response.json(await changesSince(scopeOf(response), parsed(changesQuerySchema, request.query)));
  });
  router.get(LIVE_PATH, allow('helper'), (request, response) => {
    // Not compressed: a word waits for no other.
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' });
    response.flushHeaders();
    request.on(
      'close',
      listen(scopeOf(response), (text) => void response.write(text)),
    );
  });
}
