import type { Router } from 'express';

import type { Scope } from '../db/records';
import { mount } from '../http/route';
import { changeStudio, readStudio } from './store';

export function studioRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'readStudio', (call) => readStudio(call));
  mount(router, scope, 'changeStudio', (call) => changeStudio(call, call.body));
}
