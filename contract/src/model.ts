import { DECORS, FINISHES, MM_PER_INCH, MODEL_KINDS, type ShelfBalloon } from '@leggero/core';
import { z } from 'zod';

import { calibrationSchema, coreReading } from './calibration';
import { checkSchema } from './check';
import { demoSchema, hexSchema, idSchema, nameSchema, storedLength } from './common';
import { holdTestSchema } from './hold';
import { acceptedTargetSchema } from './target';

/** A model in full, as a form holds it: nothing is filled in. */
export const modelFieldsSchema = z.object({
  id: idSchema,
  /** Maker and line, as on the bag; what a pair is called. */
  line: nameSchema,
  kind: z.enum(MODEL_KINDS),
  /** Across when full: of a modelling balloon the width in its code, of a foil its flat width. */
  nominalMm: storedLength().min(25).max(2500),
  /** Along when full, of a modelling balloon; the flat height of a foil figure or letter. */
  lengthMm: storedLength().min(50).max(5000).nullable(),
  finish: z.enum(FINISHES),
  decor: z.enum(DECORS),
  colourName: z.string().trim().min(1).max(40),
  colourHex: hexSchema,
  /** How many there are; null when nobody counted. */
  stock: z.int().min(0).max(1_000_000).nullable(),
  /** The two balloons of a pair, one in the other; null for a single one. */
  outerId: idSchema.nullable(),
  innerId: idSchema.nullable(),
  /** What a pair really looked like, once someone saved it. */
  seenHex: hexSchema.nullable(),
});

/** What a model has that is neither special nor paired: those written before there were any. */
export const MODEL_DEFAULTS = {
  lengthMm: null,
  decor: 'none',
  stock: null,
  outerId: null,
  innerId: null,
  seenHex: null,
} as const;

const { lengthMm, decor, stock, outerId, innerId, seenHex } = modelFieldsSchema.shape;

/**
 * What a shelf holds: maker's line, kind, nominal size, finish, and the colour it is shown in; or a pair of two such
 * balloons.
 */
export const modelSchema = modelFieldsSchema.extend({
  lengthMm: lengthMm.default(MODEL_DEFAULTS.lengthMm),
  decor: decor.default(MODEL_DEFAULTS.decor),
  stock: stock.default(MODEL_DEFAULTS.stock),
  outerId: outerId.default(MODEL_DEFAULTS.outerId),
  innerId: innerId.default(MODEL_DEFAULTS.innerId),
  seenHex: seenHex.default(MODEL_DEFAULTS.seenHex),
  demo: demoSchema,
});
export type ModelRecord = z.infer<typeof modelSchema>;

export const modelCreateSchema = modelSchema
  .omit({ demo: true })
  .refine((model) => (model.outerId === null) === (model.innerId === null), {
    path: ['innerId'],
    message: 'A pair has an outer and an inner balloon',
  })
  .refine(({ kind, lengthMm: long }) => kind !== 'modelling' || long !== null, {
    path: ['lengthMm'],
    message: 'A modelling balloon has a length',
  });
export type ModelCreate = z.output<typeof modelCreateSchema>;
/** Which two balloons a pair is made of does not change. */
export const modelPatchSchema = modelFieldsSchema.omit({ id: true, outerId: true, innerId: true }).partial();

/**
 * A model in the shelf's list: with the readings its small picture and its first figure need, and how much it is
 * used.
 */
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
export function coreBalloon({ id, line, kind, nominalMm, outerId: of, calibrations }: ShelfModel): ShelfBalloon {
  return {
    id,
    line,
    kind,
    nominalMm,
    stuffed: of !== null,
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
