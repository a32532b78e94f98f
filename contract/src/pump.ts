import { z } from 'zod';

import { demoSchema, idSchema, nameSchema } from './common';

/** A hand pump. */
export const pumpSchema = z.object({
  id: idSchema,
  name: nameSchema,
  kind: z.literal('hand'),
  /** Litres a stroke moves, where the maker says or it was measured. */
  strokeVolumeL: z.number().positive().max(20).nullable(),
  demo: demoSchema,
});
export type PumpRecord = z.infer<typeof pumpSchema>;

export const pumpCreateSchema = pumpSchema.omit({ demo: true });
export type PumpCreate = z.infer<typeof pumpCreateSchema>;
export const pumpPatchSchema = pumpCreateSchema.omit({ id: true }).partial();
