import type { Router } from 'express';

import type { Scope } from '../db/records';
import { mount } from '../http/route';
import { listModels, readModel } from './store';

export function modelRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listModels', (call) => listModels(call));
  mount(router, scope, 'readModel', (call) => readModel(call, call.id));
}
