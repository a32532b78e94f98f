import { HOLE_ANSWERS, type CheckResult } from '@leggero/core';
import { z } from 'zod';

import { demoSchema, idSchema, instantSchema, lengthMmSchema } from './common';

/** What a result has that says nothing of two holes. */
export const RESULT_DEFAULTS = {
  stopsHoleId: null,
  passesHoleId: null,
  stopsMm: null,
  passesMm: null,
} as const;
/** What a check has that says nothing of its lot, its pairs or its hole. */
export const CHECK_DEFAULTS = {
  lotSize: null,
  acceptMost: null,
  pairs: false,
  holeId: null,
  holeMm: null,
  pieceId: null,
  layer: null,
} as const;

/** One balloon of a batch: an answer at the hole, a width, or the holes it lies between. */
export const checkResultSchema = z
  .object({
    id: idSchema,
    checkId: idSchema,
    /** Place in the batch, 0 first. */
    position: z.int().min(0).max(999),
    answer: z.enum(HOLE_ANSWERS).nullable(),
    widthMm: lengthMmSchema.nullable(),
    /** Between two holes: the largest it stops at and the smallest it passes, by their ids; one is enough. */
    stopsHoleId: idSchema.nullable().default(RESULT_DEFAULTS.stopsHoleId),
    passesHoleId: idSchema.nullable().default(RESULT_DEFAULTS.passesHoleId),
    /** Their widths as then known. */
    stopsMm: lengthMmSchema.nullable().default(RESULT_DEFAULTS.stopsMm),
    passesMm: lengthMmSchema.nullable().default(RESULT_DEFAULTS.passesMm),
    takenAt: instantSchema,
  })
  .refine(
    ({ answer, widthMm, stopsMm, passesMm }) =>
      Number(answer !== null) + Number(widthMm !== null) + Number(stopsMm !== null || passesMm !== null) === 1,
    { path: ['answer'], message: 'Give one of: an answer at the hole, a width, the holes it lies between' },
  )
  .refine(({ stopsMm, passesMm }) => stopsMm === null || passesMm === null || stopsMm < passesMm, {
    path: ['passesMm'],
    message: 'The hole it passes is larger than the one it stops at',
  });
export type CheckResultRecord = z.infer<typeof checkResultSchema>;

/** A batch held against a target. */
export const checkSchema = z.object({
  id: idSchema,
  modelId: idSchema,
  tierName: z.string().trim().min(1).max(80),
  targetMm: lengthMmSchema,
  toleranceMm: lengthMmSchema,
  /** Balloons to be checked. */
  size: z.int().min(1).max(1000),
  /** The lot they stand for, and how many of them may be off before the lot is sized again. */
  lotSize: z.int().min(2).max(20000).nullable().default(CHECK_DEFAULTS.lotSize),
  acceptMost: z.int().min(0).max(100).nullable().default(CHECK_DEFAULTS.acceptMost),
  /** Filled two at once: neighbours are a pair. */
  pairs: z.boolean().default(CHECK_DEFAULTS.pairs),
  /** The hole of the answers, and its width as then known. */
  holeId: idSchema.nullable().default(CHECK_DEFAULTS.holeId),
  holeMm: lengthMmSchema.nullable().default(CHECK_DEFAULTS.holeMm),
  /** The piece the balloons are for, and which of its sizes they are. */
  pieceId: idSchema.nullable().default(CHECK_DEFAULTS.pieceId),
  layer: z.string().trim().min(1).max(40).nullable().default(CHECK_DEFAULTS.layer),
  startedAt: instantSchema,
  /** In the order of their places. */
  results: z.array(checkResultSchema),
  demo: demoSchema,
});
export type CheckRecord = z.infer<typeof checkSchema>;

export const checkCreateSchema = checkSchema.omit({ results: true, demo: true });
export type CheckCreate = z.infer<typeof checkCreateSchema>;

/** A stored result as the core takes it. */
export function coreCheckResult({ answer, widthMm, stopsMm, passesMm }: CheckResultRecord): CheckResult {
  if (answer !== null) return { kind: 'answer', answer };
  if (widthMm !== null) return { kind: 'measured', widthMm };
  return { kind: 'between', stopsMm: stopsMm ?? undefined, passesMm: passesMm ?? undefined };
}
