import { BALLOON_KINDS, FINISHES, MM_PER_INCH, type ShelfBalloon } from '@leggero/core';
import { z } from 'zod';

import { calibrationSchema, coreReading } from './calibration';
import { checkSchema } from './check';
import { demoSchema, hexSchema, idSchema, nameSchema } from './common';
import { holdTestSchema } from './hold';
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

/** A model in the shelf's list: with the readings its small picture and its first figure need, and how much it is used. */
export const shelfModelSchema = modelSchema.extend({
  calibrations: z.array(calibrationSchema),
  holdTests: z.array(holdTestSchema),
  /** Checks run and targets kept. */
  uses: z.int().min(0),
});
export type ShelfModel = z.infer<typeof shelfModelSchema>;

/** A model with all that is known of it. */
export const modelDetailSchema = shelfModelSchema.extend({
  targets: z.array(acceptedTargetSchema),
  checks: z.array(checkSchema),
});
export type ModelDetail = z.infer<typeof modelDetailSchema>;

/** A stored model as the core takes a balloon on the shelf. */
export function coreBalloon({ id, line, kind, nominalMm, calibrations }: ShelfModel): ShelfBalloon {
  return {
    id,
    line,
    kind,
    nominalMm,
    calibrations: calibrations.map(({ id: calibrationId, pumpId, readings }) => ({
      id: calibrationId,
      inflatorId: pumpId,
      readings: readings.map(coreReading),
    })),
  };
}

/** What tells one model from another in words: line, nominal inches, kind, finish and colour. */
export function modelLabel({
  line,
  nominalMm,
  kind,
  finish,
  colourName,
}: Pick<ModelRecord, 'line' | 'nominalMm' | 'kind' | 'finish' | 'colourName'>): string {
  const inches = Math.round((nominalMm / MM_PER_INCH) * 100) / 100;
  return `${line.trim()} ${inches} ${kind} ${finish} ${colourName.trim()}`.toLowerCase();
}
