import type { Router } from 'express';

import type { Scope } from '../db/records';
import { mount, mountWriting } from '../http/route';
import { changeSizer, createSizer, listSizers } from './store';

export function sizerRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listSizers', (call) => listSizers(call));
  mountWriting(router, scope, 'createSizer', (asked) => createSizer(asked, asked.body));
  mountWriting(router, scope, 'changeSizer', (asked) => changeSizer(asked, asked.id, asked.body));
}
