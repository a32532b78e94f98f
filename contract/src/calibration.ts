import type { Reading } from '@leggero/core';
import type { LengthReading } from '@leggero/core/modelling';
import { z } from 'zod';

import { MAKES, NOUNS, type RowOf } from './nouns';

export type ReadingRecord = RowOf<'reading'>;

export type ReadingCreate = z.output<typeof MAKES.reading>;

/** What a calibration's file is told by. */
export const CALIBRATION_FILE = { format: 'leggero-calibration', version: 1 } as const;

/** A calibration with its readings in the order taken. */
export const calibrationSchema = NOUNS.calibration.row.extend({ readings: z.array(NOUNS.reading.row) });
export type CalibrationRecord = z.infer<typeof calibrationSchema>;

/** A reading of a modelling balloon as the core takes it: its length stands where others have their height. */
export function lengthReading({ dose, heightMm }: Pick<ReadingRecord, 'dose' | 'heightMm'>): LengthReading {
  return { dose, lengthMm: heightMm ?? 0 };
}

/** A stored reading as the core takes it. */
export function coreReading(record: ReadingRecord): Reading {
  return {
    dose: record.dose,
    widthMm: record.widthMm ?? undefined,
    bracket:
      record.stopsMm !== null && record.passesMm !== null
        ? { stopsMm: record.stopsMm, passesMm: record.passesMm }
        : undefined,
    way: record.way,
    nozzle: record.nozzle ?? undefined,
    balloon: record.balloon ?? undefined,
    heightMm: record.heightMm ?? undefined,
    sdMm: record.sdMm ?? undefined,
    shape: record.shape ?? undefined,
    outcome: record.outcome,
  };
}
