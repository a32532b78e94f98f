import type { CalibrationRecord, ModelDetail, ShelfModel } from '@leggero/contract';
import { count, eq, getTableColumns, lte, sql } from 'drizzle-orm';

import { checksOf } from '../check/store';
import type { Scope } from '../db/records';
import { groupBy, withoutStudio } from '../db/shape';
import { acceptedTargets, calibrations, checks, readings } from '../db/tables';
import { holdTestsOf } from '../hold/store';
import { listHanging, listRows, orderOf, readRow } from '../records/store';

/** The shelf: every model by line and size, each with its calibrations and readings. */
export async function listModels(scope: Scope): Promise<ShelfModel[]> {
  const [rows, calibrated, held, uses] = await Promise.all([
    listRows(scope, 'model'),
    recentCalibrations(scope),
    holdTestsOf(scope),
    usesOf(scope),
  ]);
  const byModel = groupBy(calibrated, (calibration) => calibration.modelId);
  const heldByModel = groupBy(held, (test) => test.modelId);
  return rows.map((row) => ({
    ...row,
    calibrations: byModel.get(row.id) ?? [],
    holdTests: heldByModel.get(row.id) ?? [],
    uses: uses.get(row.id) ?? 0,
  }));
}

/** One model with its calibrations, accepted targets and checks. */
export async function readModel(scope: Scope, id: string): Promise<ModelDetail> {
  const [row, calibrated, targets, checked, holdTests] = await Promise.all([
    readRow(scope, 'model', id),
    calibrationsOf(scope, id),
    listRows(scope, 'target', eq(acceptedTargets.modelId, id)),
    checksOf(scope, eq(checks.modelId, id)),
    holdTestsOf(scope, id),
  ]);
  const uses = targets.length + checked.length;
  return { ...row, calibrations: calibrated, holdTests, uses, targets, checks: checked };
}

/** Calibrations of a model, newest first, with their readings in the order taken. */
async function calibrationsOf(scope: Scope, modelId: string): Promise<CalibrationRecord[]> {
  const which = eq(calibrations.modelId, modelId);
  const [rows, taken] = await Promise.all([
    listRows(scope, 'calibration', which),
    listHanging(scope, 'reading', 'calibrationId', { of: 'calibration', which }),
  ]);
  return rows.map((row) => ({ ...row, readings: taken.get(row.id) ?? [] }));
}

/** For the shelf the newest few calibrations and readings are enough, however much was imported. */
const RECENT_CALIBRATIONS = 4;
const RECENT_READINGS = 24;

/** The newest calibrations of every model, each with its newest readings in the order taken. */
async function recentCalibrations({ database, studioId }: Scope): Promise<CalibrationRecord[]> {
  const ranked = database.$with('ranked').as(
    database
      .select({
        calibrationId: sql<string>`${calibrations.id}`.as('ranked_id'),
        place: sql<number>`row_number() over (partition by model_id order by started_at desc)`.as('place'),
      })
      .from(calibrations)
      .where(eq(calibrations.studioId, studioId)),
  );
  const newest = database.$with('newest').as(
    database
      .select({
        readingId: sql<string>`${readings.id}`.as('newest_id'),
        age: sql<number>`row_number() over (partition by calibration_id order by taken_at desc)`.as('age'),
      })
      .from(readings)
      .innerJoin(ranked, eq(ranked.calibrationId, readings.calibrationId))
      .where(lte(ranked.place, RECENT_CALIBRATIONS)),
  );
  const [rows, taken] = await Promise.all([
    database
      .with(ranked)
      .select(getTableColumns(calibrations))
      .from(calibrations)
      .innerJoin(ranked, eq(ranked.calibrationId, calibrations.id))
      .where(lte(ranked.place, RECENT_CALIBRATIONS))
      .orderBy(...orderOf('calibration')),
    database
      .with(ranked, newest)
      .select(getTableColumns(readings))
      .from(readings)
      .innerJoin(newest, eq(newest.readingId, readings.id))
      .where(lte(newest.age, RECENT_READINGS))
      .orderBy(...orderOf('reading')),
  ]);
  const byCalibration = groupBy(taken, (reading) => reading.calibrationId);
  return rows.map((row) => ({ ...withoutStudio(row), readings: (byCalibration.get(row.id) ?? []).map(withoutStudio) }));
}

/** How often each model was checked and its target kept. */
async function usesOf({ database, studioId }: Scope): Promise<Map<string, number>> {
  const uses = new Map<string, number>();
  for (const table of [checks, acceptedTargets]) {
    const rows = await database
      .select({ modelId: table.modelId, times: count() })
      .from(table)
      .where(eq(table.studioId, studioId))
      .groupBy(table.modelId);
    for (const { modelId, times } of rows) uses.set(modelId, (uses.get(modelId) ?? 0) + times);
  }
  return uses;
}
