import { INFLATOR_KINDS, type Inflator } from '@leggero/core';
import { z } from 'zod';

import { demoSchema, idSchema, nameSchema, storedNumber } from './common';

/** A pump in full, as a form holds it: nothing is filled in. */
export const pumpFieldsSchema = z.object({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(INFLATOR_KINDS),
  /** Litres a stroke or a second moves, where the maker says or it was measured. */
  doseVolumeL: storedNumber(4).positive().max(20).nullable(),
  /** The most it presses, kPa above the air's, where the maker says. */
  mostKPa: storedNumber(3).positive().max(1000).nullable(),
});

/** A hand pump, a timed inflator or one with two nozzles. */
export const pumpSchema = pumpFieldsSchema.extend({
  mostKPa: pumpFieldsSchema.shape.mostKPa.default(null),
  demo: demoSchema,
});
export type PumpRecord = z.infer<typeof pumpSchema>;

export const pumpCreateSchema = pumpSchema.omit({ demo: true });
export type PumpCreate = z.output<typeof pumpCreateSchema>;
export const pumpPatchSchema = pumpFieldsSchema.omit({ id: true }).partial();

/** A stored pump as the core takes it. */
export function coreInflator({ kind, doseVolumeL }: Pick<PumpRecord, 'kind' | 'doseVolumeL'>): Inflator {
  return { kind, doseVolumeL: doseVolumeL ?? undefined };
}
