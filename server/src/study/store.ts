import type { StudyCreate, StudyRecord } from '@leggero/contract';
import { eq, type SQL } from 'drizzle-orm';
import { v5 } from 'uuid';

import type { Scope } from '../db/records';
import { studies } from '../db/tables';
import { makeRow, type Outcome } from '../records/commands';
import type { Asked } from '../records/guard';
import { insertRow, listHanging, listRows } from '../records/store';

/** Studies, newest first, each with who takes part and the widths so far. */
export async function listStudies(scope: Scope, which?: SQL): Promise<StudyRecord[]> {
  const [rows, people, widths] = await Promise.all([
    listRows(scope, 'study', which),
    listHanging(scope, 'studyPerson', 'studyId', { of: 'study', which }),
    listHanging(scope, 'studyWidth', 'studyId', { of: 'study', which }),
  ]);
  return rows.map((row) => ({
    ...row,
    people: (people.get(row.id) ?? []).map(({ name }) => name),
    widths: widths.get(row.id) ?? [],
  }));
}

/** Starts a study with those who take part, all or nothing. */
export async function createStudy(asked: Asked, { people, ...study }: StudyCreate): Promise<Outcome<StudyRecord>> {
  const { created } = await makeRow(asked, 'study', study);
  if (created) {
    for (const [position, name] of people.entries())
      await insertRow(asked, 'studyPerson', { id: v5(String(position), study.id), studyId: study.id, position, name });
  }
  const [row] = await listStudies(asked, eq(studies.id, study.id));
  return { row: row!, created };
}
