import { COLDEST_C, HIGHEST_ALTITUDE_M, LOWEST_ALTITUDE_M, WARMEST_C } from '@leggero/core';
import { z } from 'zod';

import { idSchema, nameSchema, storedLength, storedNumber } from './common';

/** How a studio shows lengths, and how long its pieces usually stand. */
export const studioSchema = z.object({
  id: idSchema,
  name: nameSchema,
  unit: z.enum(['in', 'cm']),
  /** Rounding of figures, mm: a quarter or an eighth of an inch, or a millimetre. */
  stepMm: storedLength().min(0.5).max(13),
  daysStanding: z.int().min(0).max(365),
  /** Where balloons are made. */
  workroomTempC: storedNumber(2).min(COLDEST_C).max(WARMEST_C),
  workroomAltitudeM: storedNumber(2).min(LOWEST_ALTITUDE_M).max(HIGHEST_ALTITUDE_M),
});
export type Studio = z.infer<typeof studioSchema>;

export const studioPatchSchema = studioSchema.omit({ id: true }).partial();
export type StudioPatch = z.infer<typeof studioPatchSchema>;
