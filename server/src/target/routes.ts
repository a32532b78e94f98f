import type { Router } from 'express';

import { removeOwned, type Scope } from '../db/records';
import { acceptedTargets } from '../db/tables';
import { mount } from '../http/route';
import { acceptTarget } from './store';

export function targetRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'acceptTarget', (call) => acceptTarget(call, call.body));
  mount(router, scope, 'deleteTarget', (call) => removeOwned(call, acceptedTargets, call.id));
}
