import { z } from 'zod';

import { calibrationSchema } from './calibration';
import { MAKES, NOUNS } from './nouns';
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

/** Why a file is no calibration that can be read here. */
export type CalibrationFileProblem =
  | { code: 'not-json' }
  | { code: 'other-format' }
  | { code: 'newer-version'; version: number }
  | { code: 'bad-field'; path: string; message: string };

/** Reads the text of a calibration file. A newer version is refused by name before its fields are looked at. */
export function readCalibrationFile(
  text: string,
): { ok: true; value: CalibrationFile } | { ok: false; problem: CalibrationFileProblem } {
  const refuse = (problem: CalibrationFileProblem) => ({ ok: false as const, problem });
  let found: unknown;
  try {
    found = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refuse({ code: 'not-json' });
  }
  const head = z.object({ format: z.literal(CALIBRATION_FORMAT), version: z.int().min(1) }).safeParse(found);
  if (!head.success) return refuse({ code: 'other-format' });
  if (head.data.version > CALIBRATION_VERSION) {
    return refuse({ code: 'newer-version', version: head.data.version });
  }
  const parsed = calibrationFileSchema.safeParse(found);
  if (parsed.success) return { ok: true, value: parsed.data };
  const [issue] = parsed.error.issues;
  return refuse({ code: 'bad-field', path: issue?.path.join('.') ?? '', message: issue?.message ?? '' });
}
