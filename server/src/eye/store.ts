import { eyeBalloonCount, type EyeBalloonRecord, type EyeCheckCreate, type EyeCheckRecord } from '@leggero/contract';
import { and, asc, desc, eq, getTableColumns, or, type SQL } from 'drizzle-orm';

import { changeOwned, findOwned, insertOnce, readOwned, removeOwned, type Scope } from '../db/records';
import { eyeBalloons, eyeChecks, people } from '../db/tables';
import { groupBy } from '../db/shape';
import { HttpProblem } from '../http/problem';
import type { Viewer } from '../person/sessions';
import { allowOnly, isAllowed } from '../person/store';

type CheckRow = typeof eyeChecks.$inferSelect;
type BalloonRow = typeof eyeBalloons.$inferSelect;

function balloonOf({ studioId: _, filledAt, ...rest }: BalloonRow): EyeBalloonRecord {
  return { ...rest, filledAt: filledAt.toISOString() };
}

function checkOf({ studioId: _, startedAt, ...rest }: CheckRow, balloons: EyeBalloonRecord[]): EyeCheckRecord {
  return { ...rest, startedAt: startedAt.toISOString(), balloons };
}

/** Sessions that meet a condition, newest first, each with its balloons in the order filled. */
async function checksWhere({ database, studioId }: Scope, condition: SQL | undefined): Promise<EyeCheckRecord[]> {
  const which = and(eq(eyeChecks.studioId, studioId), condition);
  const [rows, filled] = await Promise.all([
    database.select().from(eyeChecks).where(which).orderBy(desc(eyeChecks.startedAt)),
    database
      .select(getTableColumns(eyeBalloons))
      .from(eyeBalloons)
      .innerJoin(eyeChecks, eq(eyeChecks.id, eyeBalloons.eyeCheckId))
      .where(which)
      .orderBy(asc(eyeBalloons.position)),
  ]);
  const byCheck = groupBy(filled, (balloon) => balloon.eyeCheckId);
  return rows.map((row) => checkOf(row, (byCheck.get(row.id) ?? []).map(balloonOf)));
}

/** Someone's sessions by eye; only for them and the owner. */
export async function listEyeChecks(scope: Scope, viewer: Viewer, personId: string): Promise<EyeCheckRecord[]> {
  await readOwned(scope, people, personId);
  await allowOnly(scope, viewer, [personId]);
  return checksWhere(scope, or(eq(eyeChecks.personId, personId), eq(eyeChecks.secondPersonId, personId)));
}

/** One session; only for those who took part and the owner. */
export async function readEyeCheck(scope: Scope, viewer: Viewer, id: string): Promise<EyeCheckRecord> {
  const [check] = await checksWhere(scope, eq(eyeChecks.id, id));
  if (!check) throw HttpProblem.notFound();
  await allowOnly(scope, viewer, [check.personId, check.secondPersonId]);
  return check;
}

/**
 * Starts a session. Whoever is at the device may: a record that waits there must not be lost to a session that has
 * ended. A repeated request is answered with its own words, unless the viewer may see what is stored.
 */
export async function createEyeCheck(
  scope: Scope,
  viewer: Viewer,
  create: EyeCheckCreate,
): Promise<{ row: EyeCheckRecord; created: boolean }> {
  const startedAt = new Date(create.startedAt);
  const { row, created } = await insertOnce(scope, eyeChecks, { ...create, startedAt });
  const told = created || (await maySee(scope, viewer, row)) ? row : { ...row, ...create, startedAt, demo: false };
  return { row: checkOf(told, []), created };
}

/** Deletes a session; only for those who took part and the owner. */
export async function deleteEyeCheck(scope: Scope, viewer: Viewer, id: string): Promise<void> {
  const check = await findOwned(scope, eyeChecks, id);
  if (!check) return;
  await allowOnly(scope, viewer, [check.personId, check.secondPersonId]);
  await removeOwned(scope, eyeChecks, id);
}

/** Adds a filled balloon to a session; as with sessions, whoever is at the device may. */
export async function createEyeBalloon(
  scope: Scope,
  viewer: Viewer,
  create: EyeBalloonRecord,
): Promise<{ row: EyeBalloonRecord; created: boolean }> {
  const check = await readOwned(scope, eyeChecks, create.eyeCheckId);
  if (create.position >= eyeBalloonCount(check)) {
    throw HttpProblem.unusable({ path: 'position', message: 'This session has no such balloon' });
  }
  const filledAt = new Date(create.filledAt);
  const { row, created } = await insertOnce(scope, eyeBalloons, { ...create, filledAt });
  const told = created || (await maySeeBalloon(scope, viewer, row)) ? row : { ...row, ...create, filledAt };
  return { row: balloonOf(told), created };
}

/**
 * Measures a filled balloon. A first width may come from whoever is at the device; one that is there is changed only by
 * those who took part and the owner.
 */
export async function changeEyeBalloon(
  scope: Scope,
  viewer: Viewer,
  id: string,
  change: { widthMm: number | null },
): Promise<EyeBalloonRecord> {
  const balloon = await readOwned(scope, eyeBalloons, id);
  if (balloon.widthMm !== null || change.widthMm === null) await allowOnBalloon(scope, viewer, balloon);
  return balloonOf(await changeOwned(scope, eyeBalloons, id, change));
}

/** Takes a filled balloon out of a session; only for those who took part and the owner. */
export async function deleteEyeBalloon(scope: Scope, viewer: Viewer, id: string): Promise<void> {
  const balloon = await findOwned(scope, eyeBalloons, id);
  if (!balloon) return;
  await allowOnBalloon(scope, viewer, balloon);
  await removeOwned(scope, eyeBalloons, id);
}

function maySee(scope: Scope, viewer: Viewer, { personId, secondPersonId }: CheckRow): Promise<boolean> {
  return isAllowed(scope, viewer, [personId, secondPersonId]);
}

async function maySeeBalloon(scope: Scope, viewer: Viewer, { eyeCheckId }: BalloonRow): Promise<boolean> {
  return maySee(scope, viewer, await readOwned(scope, eyeChecks, eyeCheckId));
}

async function allowOnBalloon(scope: Scope, viewer: Viewer, { eyeCheckId }: BalloonRow): Promise<void> {
  const { personId, secondPersonId } = await readOwned(scope, eyeChecks, eyeCheckId);
  await allowOnly(scope, viewer, [personId, secondPersonId]);
}
