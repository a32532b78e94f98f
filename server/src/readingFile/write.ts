import { BALLOON_KINDS } from '@leggero/core';
import { and, asc, eq, inArray } from 'drizzle-orm';
import Papa from 'papaparse';

import { databaseOn, type Database } from '../db/connect';
import type { Scope } from '../db/records';
import { onOwnConnection } from '../db/stream';
import { calibrations, models, pumps, readings } from '../db/tables';

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
  'balloon',
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

/** Rows written at once. */
const BATCH = 500;
// A text that a spreadsheet would take for a formula is marked as text.
const FORMAT = { escapeFormulae: true, newline: '\r\n', header: false };

/**
 * Every reading of the studio, or of one balloon, as a file that can be read in again: piece by piece, so that a large
 * one never lies in memory whole. The header comes with the first of them.
 */
export function readingLines({ database, studioId }: Scope, modelId?: string): AsyncGenerator<string> {
  return onOwnConnection(database, (connection) => linesOf(rowsOf(databaseOn(connection), { studioId, modelId })));
}

/** The rows of a file, in its order, as the database hands them out. */
function rowsOf(
  database: Database,
  { studioId, modelId }: { studioId: string; modelId: string | undefined },
): AsyncIterable<Row> {
  return database
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
    )
    .iterator();
}

async function* linesOf(rows: AsyncIterable<Row>): AsyncGenerator<string> {
  let cells: unknown[][] = [HEADER];
  for await (const row of rows) {
    cells.push(cellsOf(row));
    if (cells.length < BATCH) continue;
    yield `${Papa.unparse(cells, FORMAT)}\r\n`;
    cells = [];
  }
  if (cells.length > 0) yield Papa.unparse(cells, FORMAT);
}

interface Row {
  readings: typeof readings.$inferSelect;
  calibrations: typeof calibrations.$inferSelect;
  models: typeof models.$inferSelect;
  pumps: typeof pumps.$inferSelect;
}

function cellsOf({ readings: reading, calibrations: calibration, models: model, pumps: pump }: Row): unknown[] {
  return [
    ...[model.line, model.kind, model.nominalMm, model.finish, model.colourName, pump.name],
    ...[yes(calibration.preStretched), yes(calibration.roundedOff), calibration.id, reading.takenAt],
    ...(pump.kind === 'hand' ? [reading.dose, ''] : ['', reading.dose]),
    ...[
      reading.nozzle,
      reading.balloon,
      reading.widthMm,
      reading.stopsMm,
      reading.passesMm,
      reading.way,
      reading.heightMm,
    ],
    ...[reading.sdMm, reading.shape, reading.outcome, reading.id],
  ];
}

function yes(is: boolean): string {
  return is ? 'yes' : 'no';
}
