import { setTimeout as pause } from 'node:timers/promises';

/** How long something may take to appear, ms: long, since a machine may have other work. No wait is shorter. */
export const PATIENCE_MS = 120_000;
/** How often it is looked for, ms: looking at each frame would take the machine from what is waited for. */
export const LOOK_MS = 60;

/**
 * Asks until there is something, and answers it.
 * @param lacking says what was missed; it is asked for once it never came.
 */
export async function until<Found>(
  ask: () => Found | Promise<Found>,
  lacking: () => string | Promise<string>,
): Promise<NonNullable<Exclude<Found, false>>> {
  for (const end = Date.now() + PATIENCE_MS; Date.now() < end; await pause(LOOK_MS)) {
    const found = await ask();
    if (found) return found as NonNullable<Exclude<Found, false>>;
  }
  throw new Error(await lacking());
}
