import { holeOn, TRADE, type HoleMeasurement, type HoleNow, type Trade } from '@leggero/core';
import { z } from 'zod';

import { changeFields } from './noun';
import { MOST_HOLES, NOUNS, type RowOf } from './nouns';

export type HoleMeasurementRecord = RowOf<'holeMeasurement'>;

/** A hole as its sizer has it, without what was measured of it. */
export const holeLabelSchema = NOUNS.hole.row.omit({ sizerId: true });
export type HoleLabel = z.infer<typeof holeLabelSchema>;

/** A hole with its measurements, oldest first. */
export const holeSchema = holeLabelSchema.extend({ measurements: z.array(NOUNS.holeMeasurement.row) });
export type HoleRecord = z.infer<typeof holeSchema>;

/** A sizer with its holes by labelled width, and the balloons sized in them. */
export const sizerSchema = NOUNS.sizer.row.extend({
  holes: z.array(holeSchema).max(MOST_HOLES),
  sizings: z.array(NOUNS.sizing.row),
});
export type SizerRecord = z.infer<typeof sizerSchema>;

/** Holes of one sizer differ: two of one width would be one. */
const distinctHoles = z
  .array(holeLabelSchema)
  .max(MOST_HOLES)
  .superRefine((holes, context) => {
    const seen = new Set<number>();
    holes.forEach(({ widthMm }, index) => {
      if (seen.has(widthMm)) {
        context.addIssue({ code: 'custom', path: [index, 'widthMm'], message: 'This hole is there twice' });
      }
      seen.add(widthMm);
    });
  });

export const sizerCreateSchema = NOUNS.sizer.row.omit({ demo: true }).extend({ holes: distinctHoles });
export type SizerCreate = z.output<typeof sizerCreateSchema>;
/** A patch replaces all holes or none; a hole that keeps its id keeps its measurements. */
export const sizerPatchSchema = z.object({ ...changeFields(NOUNS.sizer), holes: distinctHoles.optional() });

const DAY_MS = 86_400_000;
/** A moment as the core counts days. */
const dayOf = (instant: string) => Date.parse(instant) / DAY_MS;

/** A stored measurement as the core takes it. */
function coreMeasurement({ acrossMm, downMm, way, takenAt }: HoleMeasurementRecord): HoleMeasurement {
  return { acrossMm, downMm: downMm ?? undefined, way, day: dayOf(takenAt) };
}

/** What a hole was at a moment, or is by its last measurement. */
export function holeAt(
  { widthMm, measurements }: Omit<HoleRecord, 'id' | 'label'>,
  { at, trade = TRADE }: { at?: string; trade?: Trade } = {},
): HoleNow {
  const hole = { labelledMm: widthMm, measurements: measurements.map(coreMeasurement) };
  return holeOn(hole, at === undefined ? Infinity : dayOf(at), trade);
}

/** Its width alone, which no number of the trade decides, mm. */
export function holeWidthAt(hole: Omit<HoleRecord, 'id' | 'label'>, at?: string): number {
  return holeAt(hole, { ...(at === undefined ? {} : { at }), trade: TRADE }).widthMm;
}
