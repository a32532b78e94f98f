import { eq } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { studios } from '../db/tables';

/** The revision at which a studio's records are. */
export async function revisionOf({ database, studioId }: Scope): Promise<number> {
  const [studio] = await database.select({ revision: studios.revision }).from(studios).where(eq(studios.id, studioId));
  return studio?.revision ?? 0;
}
