import { z } from 'zod';

import { calibrationSchema } from './calibration';
import { MAKES, NOUNS } from './nouns';
import { readOwnFile } from './ownFile';
import type { Route } from './route';

export const CALIBRATION_FORMAT = 'leggero-calibration';
export const CALIBRATION_VERSION = 1;

/** A whole calibration as a file: the balloon, the inflator and every reading. */
export const calibrationFileSchema = z.object({
  format: z.literal(CALIBRATION_FORMAT),
  version: z.literal(CALIBRATION_VERSION),
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
  return readOwnFile(text, { format: CALIBRATION_FORMAT, version: CALIBRATION_VERSION, schema: calibrationFileSchema });
}
