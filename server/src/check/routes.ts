import type { Router } from 'express';

import { removeOwned, type Scope } from '../db/records';
import { checkResults, checks } from '../db/tables';
import { mount } from '../http/route';
import { createCheck, createCheckResult } from './store';

export function checkRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'createCheck', (call) => createCheck(call, call.body));
  mount(router, scope, 'deleteCheck', (call) => removeOwned(call, checks, call.id));
  mount(router, scope, 'createCheckResult', (call) => createCheckResult(call, call.body));
  mount(router, scope, 'deleteCheckResult', (call) => removeOwned(call, checkResults, call.id));
}
