import { randomUUID } from 'node:crypto';

import { STANDARD_TIERS, STEP_MM } from '@leggero/core';
import { eq } from 'drizzle-orm';

import type { Database } from '../db/connect';
import type { Scope } from '../db/records';
import { people, pumps, studios, tiers } from '../db/tables';
import { transact } from '../db/transact';

/** The studio of this installation; the first start makes it, with the standard tiers, one hand pump and its owner. */
export async function openStudio({ database }: { database: Database }): Promise<string> {
  const [existing] = await database.select({ id: studios.id }).from(studios).limit(1);
  if (existing) {
    await ensureOwner({ database, studioId: existing.id });
    return existing.id;
  }
  const id = randomUUID();
  await foundStudio({ database }, { id, name: 'My studio' });
  return id;
}

/** Makes a studio, with the standard tiers, one hand pump and its owner; one that was made before stays as it is. */
export async function foundStudio(
  { database }: { database: Database },
  { id: studioId, name }: { id: string; name: string },
): Promise<void> {
  await transact(database, async (tx) => {
    await tx.insert(studios).values({ id: studioId, name, unit: 'in', stepMm: STEP_MM.eighthInch, daysStanding: 0 });
    await tx
      .insert(tiers)
      .values(STANDARD_TIERS.map((tier, position) => ({ ...tier, id: randomUUID(), studioId, position })));
    await tx.insert(pumps).values({ id: randomUUID(), studioId, name: 'Hand pump', kind: 'hand' });
  });
  await ensureOwner({ database, studioId });
}

/** A studio has an owner; one from before there were people gets its own. */
export async function ensureOwner({ database, studioId }: Pick<Scope, 'database' | 'studioId'>): Promise<void> {
  const [owner] = await database.select({ id: people.id }).from(people).where(eq(people.studioId, studioId));
  if (!owner) {
    await database.insert(people).values({ id: randomUUID(), studioId, name: 'Owner', owner: true });
  }
}
