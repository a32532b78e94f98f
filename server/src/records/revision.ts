import { eq } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { studios } from '../db/tables';

/** At which revision a studio's records are, and from which on what devices hold is of these records. */
export interface Revisions {
  revision: number;
  filledFrom: number;
}

export async function revisionsOf({ database, studioId }: Scope): Promise<Revisions> {
  const { revision, filledFrom } = studios;
  const [studio] = await database.select({ revision, filledFrom }).from(studios).where(eq(studios.id, studioId));
  return studio ?? { revision: 0, filledFrom: 0 };
}

/** The revision at which a studio's records are. */
export const revisionOf = async (scope: Scope): Promise<number> => (await revisionsOf(scope)).revision;
