import { z } from 'zod';

import { CALIBRATION_FILE, calibrationSchema } from './calibration';
import { MAKES, NOUNS } from './nouns';
import { readOwnFile } from './ownFile';
import type { Route } from './route';

/** A whole calibration as a file: the balloon, the inflator and every reading. */
export const calibrationFileSchema = z.object({
  format: z.literal(CALIBRATION_FILE.format),
  version: z.literal(CALIBRATION_FILE.version),
  model: NOUNS.model.row.omit({ demo: true }),
  pump: NOUNS.pump.row.omit({ demo: true }),
  calibration: calibrationSchema.omit({ demo: true }).extend({ readings: z.array(MAKES.reading) }),
});
export type CalibrationFile = z.infer<typeof calibrationFileSchema>;

/** Takes such a file in, with its balloon and its inflator where they are not there yet. */
export const IMPORT_CALIBRATION = {
  method: 'POST',
  path: '/api/calibrations/import',
  request: calibrationFileSchema,
  response: calibrationSchema,
} as const satisfies Route;

export function readCalibrationFile(text: string) {
  return readOwnFile(text, { ...CALIBRATION_FILE, schema: calibrationFileSchema });
}
