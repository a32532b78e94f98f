import { HOLE_WAYS, holeOn, WIDEST_HOLE_MM, type HoleMeasurement, type HoleNow } from '@leggero/core';
import { z } from 'zod';

import { demoSchema, idSchema, instantSchema, lengthMmSchema, nameSchema, storedLength } from './common';

const holeWidthSchema = storedLength().positive().max(WIDEST_HOLE_MM);

/** A hole measured: in one direction, and square to it where it was taken both ways. */
export const holeMeasurementSchema = z.object({
  id: idSchema,
  holeId: idSchema,
  acrossMm: holeWidthSchema,
  downMm: holeWidthSchema.nullable(),
  way: z.enum(HOLE_WAYS),
  takenAt: instantSchema,
});
export type HoleMeasurementRecord = z.infer<typeof holeMeasurementSchema>;

/** A balloon sized in a hole and measured afterwards: what the squeeze is learned from. */
export const sizingSchema = z.object({
  id: idSchema,
  holeId: idSchema,
  nominalMm: storedLength().min(25).max(2500),
  widthMm: lengthMmSchema,
  takenAt: instantSchema,
});
export type SizingRecord = z.infer<typeof sizingSchema>;

/** A hole as it was made or written down. */
export const holeLabelSchema = z.object({
  id: idSchema,
  /** What is written beside it. */
  label: z.string().trim().min(1).max(20),
  /** The width its label claims. */
  widthMm: lengthMmSchema,
});
export type HoleLabel = z.infer<typeof holeLabelSchema>;

export const holeSchema = holeLabelSchema.extend({
  /** Oldest first. */
  measurements: z.array(holeMeasurementSchema),
});
export type HoleRecord = z.infer<typeof holeSchema>;

/** A plate or box with holes. */
export const sizerSchema = z.object({
  id: idSchema,
  name: nameSchema,
  /** Who keeps it; empty for the studio's own. */
  keeper: z.string().trim().max(80),
  /** Sorted by labelled width. */
  holes: z.array(holeSchema).max(60),
  sizings: z.array(sizingSchema),
  demo: demoSchema,
});
export type SizerRecord = z.infer<typeof sizerSchema>;

/** Holes of one sizer differ: two of one width would be one. */
const distinctHoles = z
  .array(holeLabelSchema)
  .max(60)
  .superRefine((holes, context) => {
    const seen = new Set<number>();
    holes.forEach(({ widthMm }, index) => {
      if (seen.has(widthMm)) {
        context.addIssue({ code: 'custom', path: [index, 'widthMm'], message: 'This hole is there twice' });
      }
      seen.add(widthMm);
    });
  });

export const sizerCreateSchema = sizerSchema
  .omit({ demo: true, sizings: true })
  .extend({ holes: distinctHoles, keeper: sizerSchema.shape.keeper.default('') });
export type SizerCreate = z.output<typeof sizerCreateSchema>;
/** A patch replaces all holes or none; a hole that keeps its id keeps its measurements. */
export const sizerPatchSchema = z
  .object({ name: nameSchema, keeper: sizerSchema.shape.keeper, holes: distinctHoles })
  .partial();

const DAY_MS = 86_400_000;
/** A moment as the core counts days. */
const dayOf = (instant: string) => Date.parse(instant) / DAY_MS;

/** A stored measurement as the core takes it. */
function coreMeasurement({ acrossMm, downMm, way, takenAt }: HoleMeasurementRecord): HoleMeasurement {
  return { acrossMm, downMm: downMm ?? undefined, way, day: dayOf(takenAt) };
}

/** What a hole was at a moment, or is by its last measurement. */
export function holeAt({ widthMm, measurements }: Omit<HoleRecord, 'id' | 'label'>, instant?: string): HoleNow {
  const hole = { labelledMm: widthMm, measurements: measurements.map(coreMeasurement) };
  return instant === undefined ? holeOn(hole) : holeOn(hole, dayOf(instant));
}
