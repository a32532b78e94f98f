import { lt } from 'drizzle-orm';

import type { Database } from '../db/connect';
import { inserter } from '../db/insert';
import { carriedOut } from '../db/tables';
import type { Writing } from './writing';

/** A device that was away for longer than this asks for all anew, and what it still sends is as good as new. */
const KEPT_DAYS = 90;
const DAY_MS = 86_400_000;

const note = inserter(carriedOut, { orLeave: true });

/**
 * Whether a command comes for the first time; notes that it came, within its own transaction. An answer may be lost on its
 * way: what comes again after another device wrote must not take that back.
 */
export async function isFirst({ database, studioId }: Writing, commandKey: string): Promise<boolean> {
  const { affectedRows } = await note(database, { studioId, commandKey, at: new Date().toISOString() });
  return affectedRows === 1;
}

/** Forgets keys so old that no device comes with them again. */
export async function forgetOldKeys(database: Database): Promise<void> {
  const oldest = new Date(Date.now() - KEPT_DAYS * DAY_MS).toISOString();
  await database.delete(carriedOut).where(lt(carriedOut.at, oldest));
}
