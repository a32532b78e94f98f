import type { Router } from 'express';

import { mount } from '../http/route';
import { listModels, readModel } from './store';

export function modelRoutes(router: Router): void {
  mount(router, 'listModels', (call) => listModels(call));
  mount(router, 'readModel', (call) => readModel(call, call.id));
}
