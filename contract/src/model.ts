import { BALLOON_KINDS, FINISHES } from '@leggero/core';
import { z } from 'zod';

import { calibrationSchema } from './calibration';
import { checkSchema } from './check';
import { demoSchema, hexSchema, idSchema, nameSchema } from './common';
import { acceptedTargetSchema } from './target';

/** A balloon model: maker's line, kind, nominal size, finish, and the colour it is shown in. */
export const modelSchema = z.object({
  id: idSchema,
  /** Maker and line, as on the bag. */
  line: nameSchema,
  kind: z.enum(BALLOON_KINDS),
  nominalMm: z.number().min(25).max(2500),
  finish: z.enum(FINISHES),
  colourName: z.string().trim().min(1).max(40),
  colourHex: hexSchema,
  demo: demoSchema,
});
export type ModelRecord = z.infer<typeof modelSchema>;

export const modelCreateSchema = modelSchema.omit({ demo: true });
export type ModelCreate = z.infer<typeof modelCreateSchema>;
export const modelPatchSchema = modelCreateSchema.omit({ id: true }).partial();

/** A model in the shelf's list: with the readings its small picture and its first figure need. */
export const shelfModelSchema = modelSchema.extend({ calibrations: z.array(calibrationSchema) });
export type ShelfModel = z.infer<typeof shelfModelSchema>;

/** A model with all that is known of it. */
export const modelDetailSchema = shelfModelSchema.extend({
  targets: z.array(acceptedTargetSchema),
  checks: z.array(checkSchema),
});
export type ModelDetail = z.infer<typeof modelDetailSchema>;
