import { BALLOON_KINDS } from '@leggero/core';
import { and, asc, eq, inArray } from 'drizzle-orm';
import Papa from 'papaparse';

import type { Scope } from '../db/records';
import { calibrations, models, pumps, readings } from '../db/schema';

const HEADER = [
  'line',
  'kind',
  'nominal (mm)',
  'finish',
  'colour',
  'inflator',
  'pre-stretched',
  'rounded off',
  'calibration',
  'taken at (UTC)',
  'dose (strokes)',
  'dose (s)',
  'nozzle',
  'width (mm)',
  'stops at (mm)',
  'passes (mm)',
  'way',
  'height (mm)',
  'uncertainty (mm)',
  'shape',
  'felt',
  'reading',
];

/** Every reading of the studio, or of one balloon, as a file that can be read in again. */
export async function writeReadings({ database, studioId }: Scope, modelId?: string): Promise<string> {
  const rows = await database
    .select()
    .from(readings)
    .innerJoin(calibrations, eq(calibrations.id, readings.calibrationId))
    .innerJoin(models, eq(models.id, calibrations.modelId))
    .innerJoin(pumps, eq(pumps.id, calibrations.pumpId))
    .where(
      and(
        eq(readings.studioId, studioId),
        // A file of widths: those of modelling balloons are lengths.
        inArray(models.kind, [...BALLOON_KINDS]),
        modelId === undefined ? undefined : eq(calibrations.modelId, modelId),
      ),
    )
    .orderBy(
      asc(models.line),
      asc(models.nominalMm),
      asc(calibrations.startedAt),
      asc(readings.takenAt),
      asc(readings.id),
    );
  const data = rows.map(({ readings: reading, calibrations: calibration, models: model, pumps: pump }) => [
    model.line,
    model.kind,
    model.nominalMm,
    model.finish,
    model.colourName,
    pump.name,
    yes(calibration.preStretched),
    yes(calibration.roundedOff),
    calibration.id,
    reading.takenAt.toISOString(),
    pump.kind === 'hand' ? reading.dose : '',
    pump.kind === 'hand' ? '' : reading.dose,
    reading.nozzle,
    reading.widthMm,
    reading.stopsMm,
    reading.passesMm,
    reading.way,
    reading.heightMm,
    reading.sdMm,
    reading.shape,
    reading.outcome,
    reading.id,
  ]);
  // A text that a spreadsheet would take for a formula is marked as text.
  return Papa.unparse({ fields: HEADER, data }, { escapeFormulae: true, newline: '\r\n' });
}

function yes(is: boolean): string {
  return is ? 'yes' : 'no';
}
