import { and, eq, like, or } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { deeds } from '../db/tables';

/** Takes what names somebody, by an id, out of what is kept of deeds: such a deed cannot be taken back any more. */
export async function forgetInDeeds({ database, studioId }: Scope, id: string): Promise<void> {
  const names = or(like(deeds.told, `%${id}%`), like(deeds.kept, `%${id}%`));
  const found = await database
    .select({ id: deeds.id, told: deeds.told })
    .from(deeds)
    .where(and(eq(deeds.studioId, studioId), names));
  for (const deed of found) {
    const told = deed.told.filter((row) => !JSON.stringify(row).includes(id));
    await database
      .update(deeds)
      .set({ told, kept: null, isPrivate: told.length === 0 })
      .where(eq(deeds.id, deed.id));
  }
}
