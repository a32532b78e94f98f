import { and, eq, isNotNull, or, type SQL } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { eyeChecks, people } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { findRow } from '../records/store';
import type { Viewer } from './openPages';

const LOCKED = 'This is private: it opens with the PIN of the person it belongs to, or of the owner.';

/** Refuses with 403 unless the viewer is one of `personIds` or the studio's owner. */
export async function allowOnly(scope: Scope, viewer: Viewer, personIds: readonly (string | null)[]): Promise<void> {
  if (!(await isAllowed(scope, viewer, personIds))) throw new HttpProblem(403, LOCKED);
}

/** Whether the viewer is one of `personIds` or the studio's owner. */
export async function isAllowed(
  scope: Scope,
  { personId }: Viewer,
  personIds: readonly (string | null)[],
): Promise<boolean> {
  if (personId === null) return false;
  return personIds.includes(personId) || ((await findRow(scope, 'person', personId))?.owner ?? false);
}

/**
 * Refuses to let sessions by eye go with what they hang on, unless the viewer may see each of them that is kept by a
 * PIN. Those of the people `going` go with them.
 */
export async function keepPrivate(
  scope: Scope,
  viewer: Viewer,
  which: SQL | undefined,
  going: readonly string[] = [],
): Promise<void> {
  if (await isAllowed(scope, viewer, [])) return;
  const { database, studioId } = scope;
  const takingPart = or(eq(people.id, eyeChecks.personId), eq(people.id, eyeChecks.secondPersonId));
  const rows = await database
    .selectDistinct({
      first: eyeChecks.personId,
      second: eyeChecks.secondPersonId,
      who: people.id,
    })
    .from(eyeChecks)
    .innerJoin(people, and(takingPart, isNotNull(people.pinHash)))
    .where(and(eq(eyeChecks.studioId, studioId), which));
  for (const { first, second, who } of rows) {
    const tookPart = viewer.personId !== null && [first, second].includes(viewer.personId);
    if (tookPart || going.includes(who)) continue;
    throw new HttpProblem(
      403,
      'Someone’s private checks by eye would go with this: only they or the owner may delete it.',
    );
  }
}
