import type { Router } from 'express';

import { mountWriting } from '../http/route';
import { createHoldTest } from './store';

export function holdRoutes(router: Router): void {
  mountWriting(router, 'createHoldTest', (asked) => createHoldTest(asked, asked.body));
}
