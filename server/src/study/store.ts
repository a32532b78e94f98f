import type { StudyCreate, StudyRecord, StudyWidthRecord } from '@leggero/contract';
import { asc, desc, eq } from 'drizzle-orm';
import { v5 } from 'uuid';

import { insertOnce, readOwned, type Scope } from '../db/records';
import { studies, studyPeople, studyWidths } from '../db/tables';
import { groupBy } from '../db/shape';
import { HttpProblem } from '../http/problem';

function studyWidthRecord({ studioId: _, takenAt, ...rest }: typeof studyWidths.$inferSelect): StudyWidthRecord {
  return { ...rest, takenAt: takenAt.toISOString() };
}

/** All studies, newest first, each with who takes part and the widths so far. */
export async function listStudies({ database, studioId }: Scope): Promise<StudyRecord[]> {
  const [rows, names, widths] = await Promise.all([
    database.select().from(studies).where(eq(studies.studioId, studioId)).orderBy(desc(studies.startedAt)),
    database.select().from(studyPeople).where(eq(studyPeople.studioId, studioId)).orderBy(asc(studyPeople.position)),
    database.select().from(studyWidths).where(eq(studyWidths.studioId, studioId)).orderBy(asc(studyWidths.takenAt)),
  ]);
  const namesBy = groupBy(names, (row) => row.studyId);
  const widthsBy = groupBy(widths, (row) => row.studyId);
  return rows.map(({ studioId: _, startedAt, ...rest }) => ({
    ...rest,
    startedAt: startedAt.toISOString(),
    people: (namesBy.get(rest.id) ?? []).map(({ name }) => name),
    widths: (widthsBy.get(rest.id) ?? []).map(studyWidthRecord),
  }));
}

/** Starts a study with those who take part, all or nothing. */
export async function createStudy(
  scope: Scope,
  { people, ...study }: StudyCreate,
): Promise<{ row: StudyRecord; created: boolean }> {
  const created = await scope.database.transaction(async (tx) => {
    const within = { ...scope, database: tx as unknown as Scope['database'] };
    const outcome = await insertOnce(within, studies, { ...study, startedAt: new Date(study.startedAt) });
    if (outcome.created) {
      await tx.insert(studyPeople).values(
        people.map((name, position) => ({
          id: v5(String(position), study.id),
          studioId: scope.studioId,
          studyId: study.id,
          position,
          name,
        })),
      );
    }
    return outcome.created;
  });
  const row = (await listStudies(scope)).find(({ id }) => id === study.id);
  if (!row) throw HttpProblem.notFound();
  return { row, created };
}

/** Adds a width to a study; refuses one outside it. */
export async function createStudyWidth(
  scope: Scope,
  create: StudyWidthRecord,
): Promise<{ row: StudyWidthRecord; created: boolean }> {
  const study = await readOwned(scope, studies, create.studyId);
  const names = await scope.database.select().from(studyPeople).where(eq(studyPeople.studyId, create.studyId));
  const most = { balloon: study.balloons, person: names.length, repeat: study.repeats };
  for (const path of ['balloon', 'person', 'repeat'] as const) {
    if (create[path] < most[path]) continue;
    throw HttpProblem.unusable({ path, message: 'The study has no such place' });
  }
  const { row, created } = await insertOnce(scope, studyWidths, {
    ...create,
    takenAt: new Date(create.takenAt),
  });
  return { row: studyWidthRecord(row), created };
}
