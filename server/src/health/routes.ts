import { sql } from 'drizzle-orm';
import type { Router } from 'express';

import type { Database } from '../db/connect';
import { HttpProblem } from '../http/problem';
import { mountOpen } from '../http/route';
import type { HasRoom } from '../http/room';

interface HealthOptions {
  database: Database;
  /** Whether the service still takes requests; not once it was asked to stop. */
  isOpen?: (() => boolean) | undefined;
  hasRoom?: HasRoom | undefined;
}

/** Whether the service works, and whether it may be sent requests: for what watches over it, and stands in front of it. */
export function healthRoutes(
  router: Router,
  { database, isOpen = () => true, hasRoom = () => Promise.resolve(true) }: HealthOptions,
): void {
  mountOpen(router, 'health', async () => {
    await database.execute(sql`select 1`);
    return { status: 'ok', database: 'ok' } as const;
  });
  mountOpen(router, 'ready', async () => {
    if (!isOpen()) throw new HttpProblem(503, 'This is about to stop.');
    if (!(await hasRoom())) throw HttpProblem.noRoom();
    // Not only whether it answers: a node of a cluster that lost the others does, and has no records to give.
    await database.execute(sql`select 1 from studios limit 1`);
    return { status: 'ready' } as const;
  });
}
