import type { Passkey } from '@leggero/contract/crew';
import { and, asc, eq } from 'drizzle-orm';

import type { Database } from '../db/connect';
import { passkeys } from '../db/tables';

/** The passkeys of an account, the oldest first. */
export async function listPasskeys(database: Database, accountId: string): Promise<Passkey[]> {
  const rows = await database
    .select({ id: passkeys.id, name: passkeys.name, createdAt: passkeys.createdAt })
    .from(passkeys)
    .where(eq(passkeys.userId, accountId))
    .orderBy(asc(passkeys.createdAt), asc(passkeys.id));
  return rows.map(({ id, name, createdAt }) => ({ id, name: name ?? '', madeAt: createdAt?.toISOString() ?? null }));
}

/** Takes a passkey away: it lets nobody in any more. */
export async function removePasskey(database: Database, accountId: string, id: string): Promise<void> {
  await database.delete(passkeys).where(and(eq(passkeys.id, id), eq(passkeys.userId, accountId)));
}
