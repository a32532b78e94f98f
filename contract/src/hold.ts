import type { HoldTest } from '@leggero/core';
import { z } from 'zod';

import { demoSchema, idSchema, instantSchema, lengthMmSchema, storedNumber } from './common';

/** A width some hours after the knot. */
export const holdReadingSchema = z.object({
  id: idSchema,
  holdTestId: idSchema,
  hours: storedNumber(3).min(0).max(8760),
  widthMm: lengthMmSchema,
});
export type HoldReadingRecord = z.infer<typeof holdReadingSchema>;

/** One balloon tied, left standing and measured again. */
export const holdTestSchema = z.object({
  id: idSchema,
  modelId: idSchema,
  /** Turns of the neck before the knot. */
  wraps: z.union([z.literal(1), z.literal(2)]),
  /** One balloon inside another. */
  stuffed: z.boolean(),
  startedAt: instantSchema,
  /** By hours; the first is taken at the knot. */
  readings: z.array(holdReadingSchema),
  demo: demoSchema,
});
export type HoldTestRecord = z.infer<typeof holdTestSchema>;

/** A hold test begins with its width at the knot. */
export const holdTestCreateSchema = holdTestSchema
  .omit({ readings: true, demo: true })
  .extend({ firstReadingId: idSchema, firstWidthMm: lengthMmSchema });
export type HoldTestCreate = z.infer<typeof holdTestCreateSchema>;

/** A stored hold test as the core takes it. */
export function coreHoldTest({ wraps, stuffed, readings }: HoldTestRecord): HoldTest {
  return { wraps, stuffed, readings: readings.map(({ hours, widthMm }) => ({ hours, widthMm })) };
}
