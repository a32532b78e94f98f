import type { Router } from 'express';

import { mountWriting } from '../http/route';
import { makeRow } from '../records/commands';
import { withResults } from './store';

export function checkRoutes(router: Router): void {
  mountWriting(router, 'createCheck', async (asked) => {
    const { row, created } = await makeRow(asked, 'check', asked.body);
    return { row: await withResults(asked, row), created };
  });
}
