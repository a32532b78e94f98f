import type { Router } from 'express';

import { removeOwned, type Scope } from '../db/records';
import { holeMeasurements, sizers, sizings } from '../db/tables';
import { mount } from '../http/route';
import { changeSizer, createHoleMeasurement, createSizer, createSizing, listSizers } from './store';

export function sizerRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listSizers', (call) => listSizers(call));
  mount(router, scope, 'createSizer', (call) => createSizer(call, call.body));
  mount(router, scope, 'changeSizer', (call) => changeSizer(call, call.id, call.body));
  mount(router, scope, 'deleteSizer', (call) => removeOwned(call, sizers, call.id));
  mount(router, scope, 'createHoleMeasurement', (call) => createHoleMeasurement(call, call.body));
  mount(router, scope, 'deleteHoleMeasurement', (call) => removeOwned(call, holeMeasurements, call.id));
  mount(router, scope, 'createSizing', (call) => createSizing(call, call.body));
  mount(router, scope, 'deleteSizing', (call) => removeOwned(call, sizings, call.id));
}
