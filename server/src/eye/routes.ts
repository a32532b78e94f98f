import type { Router } from 'express';

import { removeOwned, type Scope } from '../db/records';
import { eyeBalloons } from '../db/schema';
import { mount } from '../http/route';
import {
  changeEyeBalloon,
  createEyeBalloon,
  createEyeCheck,
  deleteEyeCheck,
  listEyeChecks,
  readEyeCheck,
} from './store';

export function eyeRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listEyeChecks', (call) => listEyeChecks(call, call.viewer, call.id));
  mount(router, scope, 'readEyeCheck', (call) => readEyeCheck(call, call.viewer, call.id));
  mount(router, scope, 'createEyeCheck', (call) => createEyeCheck(call, call.body));
  mount(router, scope, 'deleteEyeCheck', (call) => deleteEyeCheck(call, call.viewer, call.id));
  mount(router, scope, 'createEyeBalloon', (call) => createEyeBalloon(call, call.body));
  mount(router, scope, 'changeEyeBalloon', (call) => changeEyeBalloon(call, call.id, call.body));
  mount(router, scope, 'deleteEyeBalloon', (call) => removeOwned(call, eyeBalloons, call.id));
}
