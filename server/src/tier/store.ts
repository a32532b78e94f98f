import type { TierRecord } from '@leggero/contract';
import { tierProblem, type TierProblemCode } from '@leggero/core';
import { asc, eq } from 'drizzle-orm';

import { changeOwned, insertOnce, readOwned, type Scope } from '../db/records';
import { tiers } from '../db/schema';
import { withoutStudio, withoutStudioOnce } from '../db/shape';
import { HttpProblem } from '../http/problem';

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

const REASONS: Record<TierProblemCode, string> = {
  'outside-range': 'Tiers reach from 30 to 100 % of nominal',
  'empty-range': 'The end lies above the start',
  'aim-outside': 'The share aimed at lies within the range',
  overlaps: 'This range overlaps another tier’s',
};

async function refuseUnsuited(scope: Scope, tier: TierRecord): Promise<void> {
  const others = (await listTiers(scope)).filter(({ id }) => id !== tier.id);
  const bad = tierProblem({ tier, others });
  if (!bad) return;
  throw new HttpProblem(400, 'Some of what was sent cannot be used.', [
    { path: bad.field ?? '', message: REASONS[bad.code] },
  ]);
}
