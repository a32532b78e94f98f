import type {
  AcceptedTarget,
  CalibrationRecord,
  ModelCreate,
  ModelDetail,
  ModelRecord,
  ShelfModel,
} from '@leggero/contract';
import { isWidthKind } from '@leggero/core';
import { and, asc, count, desc, eq, getTableColumns, lte, sql } from 'drizzle-orm';

import { calibrationOf, IN_ORDER_TAKEN, readingOf } from '../calibration/store';
import { checksOf } from '../check/store';
import { insertOnce, readOwned, type Scope } from '../db/records';
import { acceptedTargets, calibrations, checks, models, readings } from '../db/tables';
import { groupBy, withoutStudio, withoutStudioOnce } from '../db/shape';
import { HttpProblem } from '../http/problem';
import { holdTestsOf } from '../hold/store';
import { targetOf } from '../target/store';

/** The shelf: every model by line and size, each with its calibrations and readings. */
export async function listModels(scope: Scope): Promise<ShelfModel[]> {
  const { database, studioId } = scope;
  const [rows, calibrated, held, uses] = await Promise.all([
    database
      .select()
      .from(models)
      .where(eq(models.studioId, studioId))
      .orderBy(asc(models.line), asc(models.nominalMm), asc(models.colourName)),
    recentCalibrations(scope),
    holdTestsOf(scope),
    usesOf(scope),
  ]);
  const byModel = groupBy(calibrated, (calibration) => calibration.modelId);
  const heldByModel = groupBy(held, (test) => test.modelId);
  return rows.map((row) => ({
    ...withoutStudio(row),
    calibrations: byModel.get(row.id) ?? [],
    holdTests: heldByModel.get(row.id) ?? [],
    uses: uses.get(row.id) ?? 0,
  }));
}

/** One model with its calibrations, accepted targets and checks. */
export async function readModel(scope: Scope, id: string): Promise<ModelDetail> {
  const [row, calibrated, targets, checked, holdTests] = await Promise.all([
    readOwned(scope, models, id),
    calibrationsOf(scope, id),
    targetsOf(scope, id),
    checksOf(scope, { modelId: id }),
    holdTestsOf(scope, id),
  ]);
  const uses = targets.length + checked.length;
  return { ...withoutStudio(row), calibrations: calibrated, holdTests, uses, targets, checks: checked };
}

/**
 * Puts a model on the shelf; a pair only of two balloons that are there, filled to a width, single, and of which the
 * inner goes in.
 */
export async function createModel(scope: Scope, create: ModelCreate): Promise<{ row: ModelRecord; created: boolean }> {
  if (create.outerId !== null && create.innerId !== null)
    await refuseImpossiblePair(scope, create.outerId, create.innerId);
  return withoutStudioOnce(await insertOnce(scope, models, create));
}

async function refuseImpossiblePair(scope: Scope, outerId: string, innerId: string): Promise<void> {
  const refuse = (path: string, message: string) => HttpProblem.unusable({ path, message });
  const [outer, inner] = await Promise.all([readOwned(scope, models, outerId), readOwned(scope, models, innerId)]);
  for (const [path, part] of Object.entries({ outerId: outer, innerId: inner })) {
    if (part.outerId !== null || !isWidthKind(part.kind))
      throw refuse(path, 'Not a single balloon that is filled to a width');
  }
  if (inner.nominalMm > outer.nominalMm) throw refuse('innerId', 'The inner is larger than its outer');
}

/** Calibrations of a model, newest first, with their readings in the order taken. */
async function calibrationsOf({ database, studioId }: Scope, modelId: string): Promise<CalibrationRecord[]> {
  const which = and(eq(calibrations.studioId, studioId), eq(calibrations.modelId, modelId));
  const [rows, taken] = await Promise.all([
    database.select().from(calibrations).where(which).orderBy(desc(calibrations.startedAt)),
    database
      .select(getTableColumns(readings))
      .from(readings)
      .innerJoin(calibrations, eq(calibrations.id, readings.calibrationId))
      .where(which)
      .orderBy(...IN_ORDER_TAKEN),
  ]);
  return withReadings(rows, taken);
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
      .orderBy(desc(calibrations.startedAt)),
    database
      .with(ranked, newest)
      .select(getTableColumns(readings))
      .from(readings)
      .innerJoin(newest, eq(newest.readingId, readings.id))
      .where(lte(newest.age, RECENT_READINGS))
      .orderBy(...IN_ORDER_TAKEN),
  ]);
  return withReadings(rows, taken);
}

function withReadings(
  rows: readonly (typeof calibrations.$inferSelect)[],
  taken: readonly (typeof readings.$inferSelect)[],
): CalibrationRecord[] {
  const byCalibration = groupBy(taken, (reading) => reading.calibrationId);
  return rows.map((row) => calibrationOf(row, (byCalibration.get(row.id) ?? []).map(readingOf)));
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

async function targetsOf({ database, studioId }: Scope, modelId: string): Promise<AcceptedTarget[]> {
  const rows = await database
    .select()
    .from(acceptedTargets)
    .where(and(eq(acceptedTargets.studioId, studioId), eq(acceptedTargets.modelId, modelId)))
    .orderBy(desc(acceptedTargets.acceptedAt));
  return rows.map(targetOf);
}
