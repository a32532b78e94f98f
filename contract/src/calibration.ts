import { NOZZLES, OUTCOMES, SHAPES, WAYS, type Reading } from '@leggero/core';
import type { LengthReading } from '@leggero/core/modelling';
import { z } from 'zod';

import { demoSchema, doseSchema, idSchema, instantSchema, lengthMmSchema, storedLength } from './common';

/** What a reading has that says nothing of how its width was taken: those written before there were several ways. */
export const READING_DEFAULTS = {
  way: 'tape',
  stopsMm: null,
  passesMm: null,
  holeId: null,
  stopsHoleId: null,
  nozzle: null,
  balloon: null,
} as const;

/** Balloons of one calibration are numbered up to here. */
export const MOST_BALLOONS = 9999;

/** What was seen after one dose: a width, or the two holes it lies between. A burst may lack both. */
export const readingSchema = z.object({
  id: idSchema,
  calibrationId: idSchema,
  dose: doseSchema,
  widthMm: lengthMmSchema.nullable(),
  /** How the width was taken. */
  way: z.enum(WAYS).default(READING_DEFAULTS.way),
  /** The hole it stops at and the larger one it passes, for a width between two holes. */
  stopsMm: lengthMmSchema.nullable().default(READING_DEFAULTS.stopsMm),
  passesMm: lengthMmSchema.nullable().default(READING_DEFAULTS.passesMm),
  /**
   * The hole that it just passed, or passed of the two; and the one it stopped at. A correction of the hole corrects
   * the reading.
   */
  holeId: idSchema.nullable().default(READING_DEFAULTS.holeId),
  stopsHoleId: idSchema.nullable().default(READING_DEFAULTS.stopsHoleId),
  /** Which nozzle of a two-nozzle inflator filled it. */
  nozzle: z.enum(NOZZLES).nullable().default(READING_DEFAULTS.nozzle),
  /** Which balloon of the calibration it was: one filled on keeps its number. Not known of older readings. */
  balloon: z.int().min(1).max(MOST_BALLOONS).nullable().default(READING_DEFAULTS.balloon),
  heightMm: lengthMmSchema.nullable(),
  sdMm: storedLength().positive().max(100).nullable(),
  shape: z.enum(SHAPES).nullable(),
  outcome: z.enum(OUTCOMES),
  takenAt: instantSchema,
});
export type ReadingRecord = z.infer<typeof readingSchema>;

export const readingCreateSchema = readingSchema
  .refine(({ stopsMm, passesMm }) => (stopsMm === null) === (passesMm === null), {
    path: ['passesMm'],
    message: 'Both holes are needed: the one it stops at and the one it passes',
  })
  .refine(({ stopsMm, widthMm }) => stopsMm === null || widthMm === null, {
    path: ['widthMm'],
    message: 'Give a width or two holes, not both',
  })
  .refine(({ widthMm, stopsMm, outcome }) => widthMm !== null || stopsMm !== null || outcome === 'burst', {
    path: ['widthMm'],
    message: 'A width is needed unless the balloon burst',
  });
export type ReadingCreate = z.infer<typeof readingCreateSchema>;

/** All readings of one model with one pump, prepared one way. */
export const calibrationSchema = z.object({
  id: idSchema,
  modelId: idSchema,
  pumpId: idSchema,
  preStretched: z.boolean(),
  roundedOff: z.boolean(),
  startedAt: instantSchema,
  /** In the order taken. */
  readings: z.array(readingSchema),
  demo: demoSchema,
});
export type CalibrationRecord = z.infer<typeof calibrationSchema>;

export const calibrationCreateSchema = calibrationSchema.omit({ readings: true, demo: true });
export type CalibrationCreate = z.infer<typeof calibrationCreateSchema>;

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
