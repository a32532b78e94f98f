import type { Router } from 'express';

import { mount, mountWriting } from '../http/route';
import { changeSizer, createSizer, listSizers } from './store';

export function sizerRoutes(router: Router): void {
  mount(router, 'listSizers', (call) => listSizers(call));
  mountWriting(router, 'createSizer', (asked) => createSizer(asked, asked.body));
  mountWriting(router, 'changeSizer', (asked) => changeSizer(asked, asked.id, asked.body));
}
