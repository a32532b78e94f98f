import { asc, eq } from 'drizzle-orm';
import type { Router } from 'express';

import { changeOwned, insertOnce, removeOwned, type Scope } from '../db/records';
import { pumps } from '../db/tables';
import { withoutStudio, withoutStudioOnce } from '../db/shape';
import { mount } from '../http/route';

export function pumpRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listPumps', async ({ database, studioId }) => {
    const rows = await database.select().from(pumps).where(eq(pumps.studioId, studioId)).orderBy(asc(pumps.name));
    return rows.map(withoutStudio);
  });
  mount(router, scope, 'createPump', async (call) => withoutStudioOnce(await insertOnce(call, pumps, call.body)));
  mount(router, scope, 'changePump', async (call) => withoutStudio(await changeOwned(call, pumps, call.id, call.body)));
  mount(router, scope, 'deletePump', (call) => removeOwned(call, pumps, call.id));
}
