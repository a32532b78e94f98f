import { z } from 'zod';

import { demoSchema, idSchema, instantSchema, lengthMmSchema, nameSchema } from './common';

const place = z.int().min(0).max(29);

/** One width of a study: which balloon, who, which time. */
export const studyWidthSchema = z.object({
  id: idSchema,
  studyId: idSchema,
  balloon: place,
  person: place,
  repeat: place,
  widthMm: lengthMmSchema,
  takenAt: instantSchema,
});
export type StudyWidthRecord = z.infer<typeof studyWidthSchema>;

/** A study of the sizing itself: the same balloons, sized by each person, several times. */
export const studySchema = z.object({
  id: idSchema,
  /** What is studied, in the studio's words: a hole, a tape, a caliper. */
  subject: nameSchema,
  /** Who takes part, in order. */
  people: z.array(nameSchema).min(2).max(6),
  balloons: z.int().min(2).max(20),
  repeats: z.int().min(2).max(5),
  startedAt: instantSchema,
  widths: z.array(studyWidthSchema),
  demo: demoSchema,
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
