import { z } from 'zod';

import { nameSchema } from './common';
import { MOST_IN_STUDY, NOUNS } from './nouns';

/** A study with who takes part, in order, and its widths. */
export const studySchema = NOUNS.study.row.extend({
  people: z.array(nameSchema).min(2).max(MOST_IN_STUDY),
  widths: z.array(NOUNS.studyWidth.row),
});
export type StudyRecord = z.infer<typeof studySchema>;

export const studyCreateSchema = studySchema
  .omit({ widths: true, demo: true })
  .refine(({ people }) => new Set(people.map((name) => name.toLowerCase())).size === people.length, {
    path: ['people'],
    message: 'Each name once',
  });
export type StudyCreate = z.infer<typeof studyCreateSchema>;

/** A study's widths as the core takes them: by balloon, person and repeat; `null` where one is missing. */
export function studyCells({ balloons, people, repeats, widths }: StudyRecord): (number | null)[][][] {
  const cells = Array.from({ length: balloons }, () =>
    people.map(() => Array.from({ length: repeats }, (): number | null => null)),
  );
  for (const { balloon, person, repeat, widthMm } of widths) {
    const cell = cells[balloon]?.[person];
    if (cell && repeat < repeats) cell[repeat] = widthMm;
  }
  return cells;
}
