import { z } from 'zod';

import { demoSchema, idSchema, lengthMmSchema, nameSchema } from './common';

export const holeSchema = z.object({
  id: idSchema,
  /** What is written beside it. */
  label: z.string().trim().min(1).max(20),
  widthMm: lengthMmSchema,
});
export type HoleRecord = z.infer<typeof holeSchema>;

/** A plate or box with holes. */
export const sizerSchema = z.object({
  id: idSchema,
  name: nameSchema,
  /** Sorted by width. */
  holes: z.array(holeSchema).max(60),
  demo: demoSchema,
});
export type SizerRecord = z.infer<typeof sizerSchema>;

/** Holes of one sizer differ: two of one width would be one. */
const distinctHoles = z
  .array(holeSchema)
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

export const sizerCreateSchema = sizerSchema.omit({ demo: true }).extend({ holes: distinctHoles });
export type SizerCreate = z.infer<typeof sizerCreateSchema>;
/** A patch replaces all holes or none. */
export const sizerPatchSchema = sizerCreateSchema.omit({ id: true }).partial();
