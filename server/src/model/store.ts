import type {
  AcceptedTarget,
  CalibrationRecord,
  CheckRecord,
  ModelDetail,
  ShelfModel,
} from '@leggero/contract';
import { and, asc, desc, eq, getTableColumns } from 'drizzle-orm';

import { calibrationOf, readingOf } from '../calibration/store';
import { checkOf, checkResultOf } from '../check/store';
import { readOwned, type Scope } from '../db/records';
import { acceptedTargets, calibrations, checkResults, checks, models, readings } from '../db/schema';
import { groupBy, withoutStudio } from '../db/shape';
import { targetOf } from '../target/store';

/** The shelf: every model by line and size, each with its calibrations and readings. */
export async function listModels(scope: Scope): Promise<ShelfModel[]> {
  const { database, studioId } = scope;
  const [rows, calibrated] = await Promise.all([
    database
      .select()
      .from(models)
      .where(eq(models.studioId, studioId))
      .orderBy(asc(models.line), asc(models.nominalMm), asc(models.colourName)),
    calibrationsOf(scope),
  ]);
  const byModel = groupBy(calibrated, (calibration) => calibration.modelId);
  return rows.map((row) => ({ ...withoutStudio(row), calibrations: byModel.get(row.id) ?? [] }));
}

/** One model with its calibrations, accepted targets and checks. */
export async function readModel(scope: Scope, id: string): Promise<ModelDetail> {
  const [row, calibrated, targets, checked] = await Promise.all([
    readOwned(scope, models, id),
    calibrationsOf(scope, id),
    targetsOf(scope, id),
    checksOf(scope, id),
  ]);
  return { ...withoutStudio(row), calibrations: calibrated, targets, checks: checked };
}

/** Calibrations, newest first, with their readings in the order taken: of one model, or of all. */
async function calibrationsOf({ database, studioId }: Scope, modelId?: string): Promise<CalibrationRecord[]> {
  const which = modelId === undefined ? undefined : eq(calibrations.modelId, modelId);
  const [rows, taken] = await Promise.all([
    database
      .select()
      .from(calibrations)
      .where(and(eq(calibrations.studioId, studioId), which))
      .orderBy(desc(calibrations.startedAt)),
    database
      .select(getTableColumns(readings))
      .from(readings)
      .innerJoin(calibrations, eq(calibrations.id, readings.calibrationId))
      .where(and(eq(calibrations.studioId, studioId), which))
      .orderBy(asc(readings.takenAt), asc(readings.dose)),
  ]);
  const byCalibration = groupBy(taken, (reading) => reading.calibrationId);
  return rows.map((row) => calibrationOf(row, (byCalibration.get(row.id) ?? []).map(readingOf)));
}

async function targetsOf({ database, studioId }: Scope, modelId: string): Promise<AcceptedTarget[]> {
  const rows = await database
    .select()
    .from(acceptedTargets)
    .where(and(eq(acceptedTargets.studioId, studioId), eq(acceptedTargets.modelId, modelId)))
    .orderBy(desc(acceptedTargets.acceptedAt));
  return rows.map(targetOf);
}

async function checksOf({ database, studioId }: Scope, modelId: string): Promise<CheckRecord[]> {
  const which = and(eq(checks.studioId, studioId), eq(checks.modelId, modelId));
  const [rows, results] = await Promise.all([
    database.select().from(checks).where(which).orderBy(desc(checks.startedAt)),
    database
      .select(getTableColumns(checkResults))
      .from(checkResults)
      .innerJoin(checks, eq(checks.id, checkResults.checkId))
      .where(which)
      .orderBy(asc(checkResults.position)),
  ]);
  const byCheck = groupBy(results, (result) => result.checkId);
  return rows.map((row) => checkOf(row, (byCheck.get(row.id) ?? []).map(checkResultOf)));
}
