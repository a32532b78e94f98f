import type { TierRecord } from '@leggero/contract';
import type { Router } from 'express';

import { removeOwned, type Scope } from '../db/records';
import { tiers } from '../db/tables';
import { mount } from '../http/route';
import { changeTier, createTier, listTiers } from './store';

export function tierRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listTiers', (call) => listTiers(call));
  mount(router, scope, 'createTier', (call) => createTier(call, call.body));
  mount(router, scope, 'changeTier', (call) => changeTier(call, call.id, call.body as Partial<TierRecord>));
  mount(router, scope, 'deleteTier', (call) => removeOwned(call, tiers, call.id));
}
