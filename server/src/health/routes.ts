import { sql } from 'drizzle-orm';
import type { Router } from 'express';

import type { Scope } from '../db/records';
import { mount } from '../http/route';

export function healthRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'health', async ({ database }) => {
    await database.execute(sql`select 1`);
    return { status: 'ok', database: 'ok' } as const;
  });
}
