import type { AcceptedTarget, AcceptedTargetCreate } from '@leggero/contract';
import { and, eq, max } from 'drizzle-orm';

import { insertOnce, readOwned, type Scope } from '../db/records';
import { acceptedTargets, tiers } from '../db/schema';

/** An accepted target as the contract has it. */
export function targetOf(row: typeof acceptedTargets.$inferSelect): AcceptedTarget {
  const { studioId: _, acceptedAt, ...rest } = row;
  return { ...rest, acceptedAt: acceptedAt.toISOString() };
}

/** Keeps a target as the next revision for its model and tier. */
export async function acceptTarget(
  scope: Scope,
  create: AcceptedTargetCreate,
): Promise<{ row: AcceptedTarget; created: boolean }> {
  await readOwned(scope, tiers, create.tierId);
  const [last] = await scope.database
    .select({ revision: max(acceptedTargets.revision) })
    .from(acceptedTargets)
    .where(
      and(
        eq(acceptedTargets.studioId, scope.studioId),
        eq(acceptedTargets.modelId, create.modelId),
        eq(acceptedTargets.tierName, create.tierName),
      ),
    );
  const outcome = await insertOnce(scope, acceptedTargets, {
    ...create,
    revision: (last?.revision ?? 0) + 1,
    acceptedAt: new Date(create.acceptedAt),
  });
  return { row: targetOf(outcome.row), created: outcome.created };
}
