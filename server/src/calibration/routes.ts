import type { Router } from 'express';

import { removeOwned, type Scope } from '../db/records';
import { calibrations, readings } from '../db/tables';
import { mount } from '../http/route';
import { importCalibration } from './importFile';
import { createCalibration, createReading } from './store';

export function calibrationRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'createCalibration', (call) => createCalibration(call, call.body));
  mount(router, scope, 'importCalibration', (call) => importCalibration(call, call.body));
  mount(router, scope, 'deleteCalibration', (call) => removeOwned(call, calibrations, call.id));
  mount(router, scope, 'createReading', (call) => createReading(call, call.body));
  mount(router, scope, 'deleteReading', (call) => removeOwned(call, readings, call.id));
}
