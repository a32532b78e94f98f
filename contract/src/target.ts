import { ORIGINS } from '@leggero/core';
import { z } from 'zod';

import { doseSchema, idSchema, instantSchema, lengthMmSchema } from './common';

/** A target an artist took into use: fixed, so that later readings do not change a build behind one's back. */
export const acceptedTargetSchema = z.object({
  id: idSchema,
  modelId: idSchema,
  tierId: idSchema.nullable(),
  /** The tier's name at the time. */
  tierName: z.string().trim().min(1).max(80),
  /** Counts up for each model and tier. */
  revision: z.int().min(1),
  widthMm: lengthMmSchema,
  toleranceMm: lengthMmSchema,
  dose: doseSchema.nullable(),
  origin: z.enum(ORIGINS),
  daysStanding: z.int().min(0).max(365),
  acceptedAt: instantSchema,
});
export type AcceptedTarget = z.infer<typeof acceptedTargetSchema>;

export const acceptedTargetCreateSchema = acceptedTargetSchema
  .omit({ revision: true, tierId: true })
  .extend({ tierId: idSchema });
export type AcceptedTargetCreate = z.infer<typeof acceptedTargetCreateSchema>;
