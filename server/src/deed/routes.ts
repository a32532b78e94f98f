import type { Router } from 'express';

import { mount, mountWriting } from '../http/route';
import { listDeeds } from './store';
import { undo } from './undo';

/** What was done in a studio, by whom, and the way back. */
export function deedRoutes(router: Router): void {
  mount(router, 'listDeeds', (call) => listDeeds(call, call.query));
  mountWriting(router, 'undoDeed', (asked) => undo(asked, asked.id));
}
