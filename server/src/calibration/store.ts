import {
  coreReading,
  type CalibrationCreate,
  lengthReading,
  type CalibrationRecord,
  type ReadingCreate,
  type ReadingRecord,
} from '@leggero/contract';
import { readingProblem } from '@leggero/core';
import { lengthReadingProblem } from '@leggero/core/modelling';
import { and, asc, eq } from 'drizzle-orm';

import { insertOnce, type Scope } from '../db/records';
import { calibrations, models, readings } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { READING_REFUSED } from '../http/words';
import { holesStillThere } from '../sizer/store';

type CalibrationRow = typeof calibrations.$inferSelect;
type ReadingRow = typeof readings.$inferSelect;

/** Readings in the order taken; the same every time, also for those of one moment. */
export const IN_ORDER_TAKEN = [asc(readings.takenAt), asc(readings.dose), asc(readings.id)];

/** A calibration as the contract has it. */
export function calibrationOf(row: CalibrationRow, taken: ReadingRecord[]): CalibrationRecord {
  const { studioId: _, startedAt, ...rest } = row;
  return { ...rest, startedAt: startedAt.toISOString(), readings: taken };
}

/** A reading as the contract has it. */
export function readingOf(row: ReadingRow): ReadingRecord {
  const { studioId: _, takenAt, ...rest } = row;
  return { ...rest, takenAt: takenAt.toISOString() };
}

/** Creates a calibration; repeated, answers it with the readings it has by then. */
export async function createCalibration(
  scope: Scope,
  create: CalibrationCreate,
): Promise<{ row: CalibrationRecord; created: boolean }> {
  const outcome = await insertOnce(scope, calibrations, { ...create, startedAt: new Date(create.startedAt) });
  const taken = outcome.created
    ? []
    : await scope.database
        .select()
        .from(readings)
        .where(and(eq(readings.calibrationId, create.id), eq(readings.studioId, scope.studioId)))
        .orderBy(...IN_ORDER_TAKEN);
  return { row: calibrationOf(outcome.row, taken.map(readingOf)), created: outcome.created };
}

/** Adds a reading to one of the studio's calibrations; refuses one that the core could not use, naming the field. */
export async function createReading(
  scope: Scope,
  create: ReadingCreate,
): Promise<{ row: ReadingRecord; created: boolean }> {
  const [model] = await scope.database
    .select({ kind: models.kind, nominalMm: models.nominalMm, lengthMm: models.lengthMm })
    .from(calibrations)
    .innerJoin(models, eq(models.id, calibrations.modelId))
    .where(and(eq(calibrations.id, create.calibrationId), eq(calibrations.studioId, scope.studioId)));
  if (!model) {
    throw HttpProblem.unknown('calibrationId');
  }
  const { kind, nominalMm, lengthMm } = model;
  const bad =
    kind === 'modelling' && lengthMm !== null
      ? lengthReadingProblem({ size: { lengthMm }, reading: lengthReading(create) })
      : readingProblem({ reading: coreReading(create), nominalMm });
  if (bad) {
    // The length of a modelling balloon stands where others have their height.
    const path = bad.field === 'lengthMm' ? 'heightMm' : (bad.field ?? '');
    throw HttpProblem.unusable({ path, message: READING_REFUSED[bad.code] });
  }
  const there = await holesStillThere(scope, [create.holeId, create.stopsHoleId]);
  const { row, created } = await insertOnce(scope, readings, {
    ...create,
    holeId: there(create.holeId),
    stopsHoleId: there(create.stopsHoleId),
    takenAt: new Date(create.takenAt),
  });
  return { row: readingOf(row), created };
}
