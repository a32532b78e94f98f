import type { Router } from 'express';

import { mount, mountWriting } from '../http/route';
import { changeRow } from '../records/commands';
import { listRows, readRow } from '../records/store';

/** The studio's settings, and the short lists that need no dressing. */
export function studioRoutes(router: Router): void {
  mount(router, 'readStudio', (call) => readRow(call, 'studio', call.studioId));
  mountWriting(router, 'changeStudio', (asked) => changeRow(asked, 'studio', asked.studioId, asked.body));
  mount(router, 'listTiers', (call) => listRows(call, 'tier'));
  mount(router, 'listPumps', (call) => listRows(call, 'pump'));
}
