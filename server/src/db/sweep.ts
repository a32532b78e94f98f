import { lt } from 'drizzle-orm';

import type { Database } from './connect';
import { accountSessions, counters, invitations, knownDevices, openPages, shares, verifications } from './tables';

/** A device that was not signed in on for so long is no longer known, days. */
const KNOWN_DAYS = 400;
const DAY_MS = 86_400_000;

/** Takes away what ended by itself and nobody asks for any more: of sessions, codes, invitations and counts. */
export async function sweep(database: Database, now = new Date()): Promise<void> {
  const iso = now.toISOString();
  await database.delete(accountSessions).where(lt(accountSessions.expiresAt, now));
  await database.delete(verifications).where(lt(verifications.expiresAt, now));
  await database.delete(invitations).where(lt(invitations.expiresAt, iso));
  await database.delete(shares).where(lt(shares.expiresAt, iso));
  await database.delete(openPages).where(lt(openPages.until, iso));
  await database.delete(counters).where(lt(counters.until, iso));
  const longAgo = new Date(now.getTime() - KNOWN_DAYS * DAY_MS).toISOString();
  await database.delete(knownDevices).where(lt(knownDevices.at, longAgo));
}
