import { z } from 'zod';

import { demoSchema, idSchema, instantSchema, lengthMmSchema } from './common';

/** One person, two beside one another, or one who fills two balloons at once. */
export const EYE_MODES = ['one', 'two', 'pairs'] as const;
export type EyeMode = (typeof EYE_MODES)[number];

/** A balloon filled by eye; its width comes later. */
export const eyeBalloonSchema = z.object({
  id: idSchema,
  eyeCheckId: idSchema,
  /**
   * In the order filled, 0 first. Two people: the first one's, then the second one's. Pairs: left, right, left,
   * right.
   */
  position: z.int().min(0).max(199),
  widthMm: lengthMmSchema.nullable(),
  filledAt: instantSchema,
});
export type EyeBalloonRecord = z.infer<typeof eyeBalloonSchema>;

/** A session by eye. */
export const eyeCheckSchema = z.object({
  id: idSchema,
  mode: z.enum(EYE_MODES),
  personId: idSchema,
  secondPersonId: idSchema.nullable(),
  modelId: idSchema,
  targetMm: lengthMmSchema,
  /** Balloons each person fills. */
  size: z.int().min(2).max(100),
  startedAt: instantSchema,
  /** By position. */
  balloons: z.array(eyeBalloonSchema),
  demo: demoSchema,
});
export type EyeCheckRecord = z.infer<typeof eyeCheckSchema>;

export const eyeCheckCreateSchema = eyeCheckSchema
  .omit({ balloons: true, demo: true })
  .refine(({ mode, secondPersonId }) => (mode === 'two') === (secondPersonId !== null), {
    path: ['secondPersonId'],
    message: 'Two people take part in a check of two, one in the others',
  })
  .refine(({ personId, secondPersonId }) => personId !== secondPersonId, {
    path: ['secondPersonId'],
    message: 'The second person is another one',
  })
  .refine(({ mode, size }) => mode !== 'pairs' || size % 2 === 0, {
    path: ['size'],
    message: 'Pairs take an even number of balloons',
  });
export type EyeCheckCreate = z.infer<typeof eyeCheckCreateSchema>;
export const eyeBalloonPatchSchema = z.object({ widthMm: lengthMmSchema.nullable() });

/** All balloons of a session. */
export function eyeBalloonCount({ mode, size }: Pick<EyeCheckRecord, 'mode' | 'size'>): number {
  return mode === 'two' ? 2 * size : size;
}
