import { eq } from 'drizzle-orm';

import { studyPeople } from '../db/tables';
import { HttpProblem } from '../http/problem';
import type { Guard } from '../records/guard';
import { listRows, readRow } from '../records/store';

/** A width of a study is of one of its balloons, its people and its times. */
export const studyWidth: Guard<'studyWidth'> = {
  async make(asked, make) {
    const { balloons, repeats } = await readRow(asked, 'study', make.studyId);
    const people = await listRows(asked, 'studyPerson', eq(studyPeople.studyId, make.studyId));
    const most = { balloon: balloons, person: people.length, repeat: repeats };
    for (const path of ['balloon', 'person', 'repeat'] as const) {
      if (make[path] < most[path]) continue;
      throw HttpProblem.unusable({ path, message: 'The study has no such place' });
    }
  },
};
