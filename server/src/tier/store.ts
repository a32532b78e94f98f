import type { TierRecord } from '@leggero/contract';
import { tierProblem } from '@leggero/core';
import { asc, eq } from 'drizzle-orm';

import { changeOwned, insertOnce, readOwned, type Scope } from '../db/records';
import { tiers } from '../db/tables';
import { withoutStudio, withoutStudioOnce } from '../db/shape';
import { HttpProblem } from '../http/problem';
import { TIER_REFUSED } from '../http/words';

/** The studio's tiers in their order. */
export async function listTiers({ database, studioId }: Scope): Promise<TierRecord[]> {
  const rows = await database
    .select()
    .from(tiers)
    .where(eq(tiers.studioId, studioId))
    .orderBy(asc(tiers.position), asc(tiers.name));
  return rows.map(withoutStudio);
}

/** Adds a tier whose range leaves room for the others. */
export async function createTier(scope: Scope, create: TierRecord): Promise<{ row: TierRecord; created: boolean }> {
  await refuseUnsuited(scope, create);
  return withoutStudioOnce(await insertOnce(scope, tiers, create));
}

/** Changes a tier, as long as it keeps clear of the others. */
export async function changeTier(scope: Scope, id: string, change: Partial<TierRecord>): Promise<TierRecord> {
  const present = withoutStudio(await readOwned(scope, tiers, id));
  const reaches = ['fraction', 'leastFraction', 'mostFraction'].some((field) => field in change);
  if (reaches) await refuseUnsuited(scope, { ...present, ...change });
  return withoutStudio(await changeOwned(scope, tiers, id, change));
}

async function refuseUnsuited(scope: Scope, tier: TierRecord): Promise<void> {
  const others = (await listTiers(scope)).filter(({ id }) => id !== tier.id);
  const bad = tierProblem({ tier, others });
  if (!bad) return;
  throw HttpProblem.unusable({ path: bad.field ?? '', message: TIER_REFUSED[bad.code] });
}
