import type { Inflator } from '@leggero/core';
import type { z } from 'zod';

import { bareRow } from './noun';
import { MAKES, NOUNS, type RowOf } from './nouns';

/** A pump in full, as a form holds it: nothing is filled in. */
export const pumpFieldsSchema = bareRow(NOUNS.pump);
export type PumpRecord = RowOf<'pump'>;

export type PumpCreate = z.output<typeof MAKES.pump>;

/** A stored pump as the core takes it. */
export function coreInflator({ kind, doseVolumeL }: Pick<PumpRecord, 'kind' | 'doseVolumeL'>): Inflator {
  return { kind, doseVolumeL: doseVolumeL ?? undefined };
}
