import type { HoldTest } from '@leggero/core';
import { z } from 'zod';

import { idSchema, lengthMmSchema } from './common';
import { NOUNS } from './nouns';

/** A hold test with its widths by hours; the first is taken at the knot. */
export const holdTestSchema = NOUNS.holdTest.row.extend({ readings: z.array(NOUNS.holdReading.row) });
export type HoldTestRecord = z.infer<typeof holdTestSchema>;

/** A hold test begins with its width at the knot. */
export const holdTestCreateSchema = NOUNS.holdTest.row
  .omit({ demo: true })
  .extend({ firstReadingId: idSchema, firstWidthMm: lengthMmSchema });
export type HoldTestCreate = z.infer<typeof holdTestCreateSchema>;

/** A stored hold test as the core takes it. */
export function coreHoldTest({ wraps, stuffed, readings }: HoldTestRecord): HoldTest {
  return { wraps, stuffed, readings: readings.map(({ hours, widthMm }) => ({ hours, widthMm })) };
}
