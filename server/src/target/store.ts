import type { AcceptedTarget, AcceptedTargetCreate } from '@leggero/contract';
import { and, desc, eq } from 'drizzle-orm';

import { findOwned, insertOnce, readOwned, type Scope } from '../db/records';
import { acceptedTargets, tiers } from '../db/tables';
import { HttpProblem } from '../http/problem';

/** An accepted target as the contract has it. */
export function targetOf(row: typeof acceptedTargets.$inferSelect): AcceptedTarget {
  const { studioId: _, acceptedAt, ...rest } = row;
  return { ...rest, acceptedAt: acceptedAt.toISOString() };
}

/**
 * Keeps a target as the next revision for its model and tier. One that says what the last revision says is that one:
 * two taps at once, on two devices, keep it once.
 */
export async function acceptTarget(
  scope: Scope,
  create: AcceptedTargetCreate,
): Promise<{ row: AcceptedTarget; created: boolean }> {
  await readOwned(scope, tiers, create.tierId);
  for (;;) {
    const known = await findOwned(scope, acceptedTargets, create.id);
    if (known) return { row: targetOf(known), created: false };
    const last = await lastRevision(scope, create);
    if (last && saysTheSame(last, create)) return { row: targetOf(last), created: false };
    try {
      const revision = (last?.revision ?? 0) + 1;
      const acceptedAt = new Date(create.acceptedAt);
      const { row, created } = await insertOnce(scope, acceptedTargets, { ...create, revision, acceptedAt });
      return { row: targetOf(row), created };
    } catch (error) {
      // Another one took this revision meanwhile.
      const newest = error instanceof HttpProblem ? await lastRevision(scope, create) : undefined;
      if (!newest || newest.id === last?.id) throw error;
    }
  }
}

async function lastRevision({ database, studioId }: Scope, { modelId, tierName }: AcceptedTargetCreate) {
  const [last] = await database
    .select()
    .from(acceptedTargets)
    .where(
      and(
        eq(acceptedTargets.studioId, studioId),
        eq(acceptedTargets.modelId, modelId),
        eq(acceptedTargets.tierName, tierName),
      ),
    )
    .orderBy(desc(acceptedTargets.revision))
    .limit(1);
  return last;
}

const SAID = ['tierId', 'widthMm', 'toleranceMm', 'dose', 'origin', 'daysStanding'] as const;

function saysTheSame(row: typeof acceptedTargets.$inferSelect, create: AcceptedTargetCreate): boolean {
  return SAID.every((field) => row[field] === create[field]);
}
