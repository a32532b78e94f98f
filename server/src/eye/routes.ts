import type { Router } from 'express';

import type { Scope } from '../db/records';
import { mount } from '../http/route';
import {
  changeEyeBalloon,
  createEyeBalloon,
  createEyeCheck,
  deleteEyeBalloon,
  deleteEyeCheck,
  listEyeChecks,
  readEyeCheck,
} from './store';

export function eyeRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listEyeChecks', (call) => listEyeChecks(call, call.viewer, call.id));
  mount(router, scope, 'readEyeCheck', (call) => readEyeCheck(call, call.viewer, call.id));
  mount(router, scope, 'createEyeCheck', (call) => createEyeCheck(call, call.viewer, call.body));
  mount(router, scope, 'deleteEyeCheck', (call) => deleteEyeCheck(call, call.viewer, call.id));
  mount(router, scope, 'createEyeBalloon', (call) => createEyeBalloon(call, call.viewer, call.body));
  mount(router, scope, 'changeEyeBalloon', (call) => changeEyeBalloon(call, call.viewer, call.id, call.body));
  mount(router, scope, 'deleteEyeBalloon', (call) => deleteEyeBalloon(call, call.viewer, call.id));
}
