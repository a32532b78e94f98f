import type { Router } from 'express';

import { mount, mountWriting } from '../http/route';
import { makeRow } from '../records/commands';
import { listEyeChecks, readEyeCheck } from './store';

export function eyeRoutes(router: Router): void {
  mount(router, 'listEyeChecks', (call) => listEyeChecks(call, call.viewer, call.id));
  mount(router, 'readEyeCheck', (call) => readEyeCheck(call, call.viewer, call.id));
  mountWriting(router, 'createEyeCheck', async (asked) => {
    const { row, created } = await makeRow(asked, 'eyeCheck', asked.body);
    return { row: { ...row, balloons: [] }, created };
  });
}
