import { MOST_IN_STUDY } from '@leggero/contract';
import { eq } from 'drizzle-orm';

import { studyPeople, studyWidths } from '../db/tables';
import { HttpProblem } from '../http/problem';
import type { Asked, Guard } from '../records/guard';
import { listRows } from '../records/store';

/** Who takes part in a study is settled before its first width: widths name people by their places. */
export const studyPerson: Guard<'studyPerson'> = {
  async make(asked, { studyId, position, name }) {
    await refuseBegun(asked, studyId);
    const others = await listRows(asked, 'studyPerson', eq(studyPeople.studyId, studyId));
    if (position !== others.length || position >= MOST_IN_STUDY)
      throw HttpProblem.unusable({ path: 'position', message: `The next place of up to ${MOST_IN_STUDY}` });
    if (others.some((other) => other.name.toLowerCase() === name.toLowerCase()))
      throw HttpProblem.unusable({ path: 'name', message: 'Each name once' });
  },
  async remove(asked, { studyId, position }) {
    await refuseBegun(asked, studyId);
    const others = await listRows(asked, 'studyPerson', eq(studyPeople.studyId, studyId));
    if (position !== others.length - 1) throw HttpProblem.conflict('The last one of a study goes first.');
  },
};

async function refuseBegun(asked: Asked, studyId: string): Promise<void> {
  const widths = await listRows(asked, 'studyWidth', eq(studyWidths.studyId, studyId));
  if (widths.length > 0) throw HttpProblem.conflict('This study has begun: who takes part stays.');
}
