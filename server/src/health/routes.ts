import { sql } from 'drizzle-orm';
import type { Router } from 'express';

import type { Database } from '../db/connect';
import { mountOpen } from '../http/route';

export function healthRoutes(router: Router, { database }: { database: Database }): void {
  mountOpen(router, 'health', async () => {
    await database.execute(sql`select 1`);
    return { status: 'ok', database: 'ok' } as const;
  });
}
