import { MM_PER_INCH, type ShelfBalloon } from '@leggero/core';
import { z } from 'zod';

import { calibrationSchema, coreReading } from './calibration';
import { checkSchema } from './check';
import { holdTestSchema } from './hold';
import { bareRow } from './noun';
import { MAKES, NOUNS, type RowOf } from './nouns';

/** A model in full, as a form holds it: nothing is filled in. */
export const modelFieldsSchema = bareRow(NOUNS.model);
export type ModelRecord = RowOf<'model'>;

export type ModelCreate = z.output<typeof MAKES.model>;

/**
 * A model in the shelf's list: with the readings its small picture and its first figure need, and how much it is
 * used.
 */
export const shelfModelSchema = NOUNS.model.row.extend({
  calibrations: z.array(calibrationSchema),
  holdTests: z.array(holdTestSchema),
  /** Checks run and targets kept. */
  uses: z.int().min(0),
});
export type ShelfModel = z.infer<typeof shelfModelSchema>;

/** A model with all that is known of it. */
export const modelDetailSchema = shelfModelSchema.extend({
  targets: z.array(NOUNS.target.row),
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
