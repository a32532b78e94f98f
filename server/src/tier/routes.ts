import { asc, eq } from 'drizzle-orm';
import type { Router } from 'express';

import { changeOwned, insertOnce, removeOwned, type Scope } from '../db/records';
import { tiers } from '../db/schema';
import { withoutStudio, withoutStudioOnce } from '../db/shape';
import { mount } from '../http/route';

export function tierRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listTiers', async ({ database, studioId }) => {
    const rows = await database
      .select()
      .from(tiers)
      .where(eq(tiers.studioId, studioId))
      .orderBy(asc(tiers.position), asc(tiers.name));
    return rows.map(withoutStudio);
  });
  mount(router, scope, 'createTier', async (call) =>
    withoutStudioOnce(await insertOnce(call, tiers, call.body)),
  );
  mount(router, scope, 'changeTier', async (call) =>
    withoutStudio(await changeOwned(call, tiers, call.id, call.body)),
  );
  mount(router, scope, 'deleteTier', (call) => removeOwned(call, tiers, call.id));
}
