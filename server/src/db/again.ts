import { databaseError, isHeld } from './connect';

/** Two that change the same rows at once: the database lets one go on and undoes the other, which may try again. */
const CROSSED = new Set(['ER_LOCK_DEADLOCK', 'ER_CHECKREAD']);
const MOST_TRIES = 10;
/** Times that a row another one holds is waited for, `LOCK_SECONDS` each. */
const MOST_WAITS = 2;
/** The longest pause before the second try, ms; it doubles with each. */
const FIRST_PAUSE_MS = 8;
const LONGEST_PAUSE_MS = 250;

/**
 * Does some work in the database, and does it again where it crossed another's. It must be a single transaction, or
 * change nothing the second time.
 */
export async function untilUncrossed<T>(work: () => Promise<T>): Promise<T> {
  let waits = 0;
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await work();
    } catch (error) {
      const code = databaseError(error)?.code ?? '';
      const waited = isHeld(code);
      if (waited) waits += 1;
      if (!(waited || CROSSED.has(code)) || attempt === MOST_TRIES || waits === MOST_WAITS) throw error;
      const longest = Math.min(LONGEST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** attempt);
      await new Promise((resolve) => setTimeout(resolve, Math.random() * longest));
    }
  }
}
