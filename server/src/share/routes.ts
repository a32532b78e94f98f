import type { Router } from 'express';

import type { Database } from '../db/connect';
import { mount, mountOpen, mountWriting } from '../http/route';
import { endShare, listShares, openShare, share } from './store';

/** What is shared with clients and other studios. */
export function shareRoutes(router: Router, { database }: { database: Database }): void {
  mount(router, 'listShares', (call) => listShares(call));
  mountWriting(router, 'share', (asked) => share(asked, asked.body));
  mountWriting(router, 'endShare', (asked) => endShare(asked, asked.id));
  mountOpen(router, 'openShare', ({ body }) => openShare(database, body.code));
}
