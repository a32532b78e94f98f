import type { EyeCheckRecord } from '@leggero/contract';
import { eq, or, type SQL } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { eyeChecks } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { allowOnly } from '../person/private';
import type { Viewer } from '../person/openPages';
import { listHanging, listRows, readRow } from '../records/store';

/** Sessions that meet a condition, newest first, each with its balloons in the order filled. */
export async function checksWhere(scope: Scope, which: SQL | undefined): Promise<EyeCheckRecord[]> {
  const [rows, balloons] = await Promise.all([
    listRows(scope, 'eyeCheck', which),
    listHanging(scope, 'eyeBalloon', 'eyeCheckId', { of: 'eyeCheck', which }),
  ]);
  return rows.map((row) => ({ ...row, balloons: balloons.get(row.id) ?? [] }));
}

/** Someone's sessions by eye; only for them and the owner. */
export async function listEyeChecks(scope: Scope, viewer: Viewer, personId: string): Promise<EyeCheckRecord[]> {
  await readRow(scope, 'person', personId);
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
