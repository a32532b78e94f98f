import { HOLE_ANSWERS, type CheckResult } from '@leggero/core';
import { z } from 'zod';

import { demoSchema, idSchema, instantSchema, lengthMmSchema } from './common';

/** One balloon of a batch: an answer at the hole, or a width. */
export const checkResultSchema = z
  .object({
    id: idSchema,
    checkId: idSchema,
    /** Place in the batch, 0 first. */
    position: z.int().min(0).max(999),
    answer: z.enum(HOLE_ANSWERS).nullable(),
    widthMm: lengthMmSchema.nullable(),
    takenAt: instantSchema,
  })
  .refine((result) => (result.answer === null) !== (result.widthMm === null), {
    path: ['answer'],
    message: 'Give either an answer at the hole or a width',
  });
export type CheckResultRecord = z.infer<typeof checkResultSchema>;

/** A batch held against a target. */
export const checkSchema = z.object({
  id: idSchema,
  modelId: idSchema,
  tierName: z.string().trim().min(1).max(80),
  targetMm: lengthMmSchema,
  toleranceMm: lengthMmSchema,
  /** Balloons in the batch. */
  size: z.int().min(1).max(1000),
  startedAt: instantSchema,
  /** In the order of their places. */
  results: z.array(checkResultSchema),
  demo: demoSchema,
});
export type CheckRecord = z.infer<typeof checkSchema>;

export const checkCreateSchema = checkSchema.omit({ results: true, demo: true });
export type CheckCreate = z.infer<typeof checkCreateSchema>;

/** A stored result as the core takes it. */
export function coreCheckResult({ answer, widthMm }: CheckResultRecord): CheckResult {
  return answer === null ? { kind: 'measured', widthMm: widthMm ?? NaN } : { kind: 'answer', answer };
}
