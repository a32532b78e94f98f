import type { Router } from 'express';

import { removeOwned, type Scope } from '../db/records';
import { holdReadings, holdTests } from '../db/tables';
import { mount } from '../http/route';
import { createHoldReading, createHoldTest } from './store';

export function holdRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'createHoldTest', (call) => createHoldTest(call, call.body));
  mount(router, scope, 'deleteHoldTest', (call) => removeOwned(call, holdTests, call.id));
  mount(router, scope, 'createHoldReading', (call) => createHoldReading(call, call.body));
  mount(router, scope, 'deleteHoldReading', (call) => removeOwned(call, holdReadings, call.id));
}
