import type { SignedInDevice } from '@leggero/contract/crew';
import { and, desc, eq, gt } from 'drizzle-orm';

import type { Database } from '../db/connect';
import { accountSessions } from '../db/tables';

/** The devices on which an account is signed in, the last used first. `here`: the session that asks. */
export async function listDevices(
  database: Database,
  accountId: string,
  here: string | null,
): Promise<SignedInDevice[]> {
  const rows = await database
    .select()
    .from(accountSessions)
    .where(and(eq(accountSessions.userId, accountId), gt(accountSessions.expiresAt, new Date())))
    .orderBy(desc(accountSessions.updatedAt));
  return rows.map(({ id, userAgent, ipAddress: address, createdAt, updatedAt, token }) => ({
    ...{ id, userAgent, address, here: token === here },
    ...{ since: createdAt.toISOString(), usedAt: updatedAt.toISOString() },
  }));
}

/** Signs a device out. */
export async function endDevice(database: Database, accountId: string, id: string): Promise<void> {
  await database.delete(accountSessions).where(and(eq(accountSessions.id, id), eq(accountSessions.userId, accountId)));
}
