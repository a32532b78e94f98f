import type { Inflator } from '@leggero/core';
import type { z } from 'zod';

import { bareRow, changeSchema, makeSchema } from './noun';
import { NOUNS, type RowOf } from './nouns';

/** A pump in full, as a form holds it: nothing is filled in. */
export const pumpFieldsSchema = bareRow(NOUNS.pump);
export type PumpRecord = RowOf<'pump'>;

export const pumpCreateSchema = makeSchema(NOUNS.pump);
export type PumpCreate = z.output<typeof pumpCreateSchema>;
export const pumpPatchSchema = changeSchema(NOUNS.pump);

/** A stored pump as the core takes it. */
export function coreInflator({ kind, doseVolumeL }: Pick<PumpRecord, 'kind' | 'doseVolumeL'>): Inflator {
  return { kind, doseVolumeL: doseVolumeL ?? undefined };
}
