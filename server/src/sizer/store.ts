import type {
  HoleLabel,
  HoleMeasurementRecord,
  HoleRecord,
  SizerCreate,
  SizerRecord,
  SizingRecord,
} from '@leggero/contract';
import { and, asc, eq, inArray, notInArray, type SQL } from 'drizzle-orm';

import { changeOwned, insertOnce, readOwned, type Scope } from '../db/records';
import { holeMeasurements, sizerHoles, sizers, sizings } from '../db/tables';
import { groupBy, withoutStudio } from '../db/shape';
import { HttpProblem } from '../http/problem';

/** All sizers, by name, each with its holes by width, their measurements and the balloons sized in them. */
export async function listSizers({ database, studioId }: Scope, which?: SQL): Promise<SizerRecord[]> {
  const [plates, holes, measured, sized] = await Promise.all([
    database
      .select()
      .from(sizers)
      .where(and(eq(sizers.studioId, studioId), which))
      .orderBy(asc(sizers.name)),
    database.select().from(sizerHoles).where(eq(sizerHoles.studioId, studioId)).orderBy(asc(sizerHoles.widthMm)),
    database
      .select()
      .from(holeMeasurements)
      .where(eq(holeMeasurements.studioId, studioId))
      .orderBy(asc(holeMeasurements.takenAt)),
    database.select().from(sizings).where(eq(sizings.studioId, studioId)).orderBy(asc(sizings.takenAt)),
  ]);
  const bySizer = groupBy(holes, (hole) => hole.sizerId);
  const byHole = groupBy(measured, (measurement) => measurement.holeId);
  const sizedIn = groupBy(sized, (sizing) => sizing.holeId);
  return plates.map((plate) => {
    const own = bySizer.get(plate.id) ?? [];
    return {
      ...withoutStudio(plate),
      holes: own.map(({ id, label, widthMm }): HoleRecord => ({
        id,
        label,
        widthMm,
        measurements: (byHole.get(id) ?? []).map(measurementOf),
      })),
      sizings: own.flatMap(({ id }) => (sizedIn.get(id) ?? []).map(sizingOf)),
    };
  });
}

/** One sizer with its holes. */
async function readSizer(scope: Scope, id: string): Promise<SizerRecord> {
  const [sizer] = await listSizers(scope, eq(sizers.id, id));
  if (!sizer) throw HttpProblem.notFound();
  return sizer;
}

/** Creates a sizer with its holes, both or neither. */
export async function createSizer(
  scope: Scope,
  { holes, ...sizer }: SizerCreate,
): Promise<{ row: SizerRecord; created: boolean }> {
  const created = await scope.database.transaction(async (tx) => {
    const inside = { ...scope, database: tx as unknown as Scope['database'] };
    const outcome = await insertOnce(inside, sizers, sizer);
    if (outcome.created) await addHoles(inside, sizer.id, holes);
    return outcome.created;
  });
  return { row: await readSizer(scope, sizer.id), created };
}

/** Changes a sizer's name and keeper, or its holes: those that keep their id keep what was measured of them. */
export async function changeSizer(
  scope: Scope,
  id: string,
  { holes, ...change }: { name?: string | undefined; keeper?: string | undefined; holes?: HoleLabel[] | undefined },
): Promise<SizerRecord> {
  await scope.database.transaction(async (tx) => {
    const inside = { ...scope, database: tx as unknown as Scope['database'] };
    await changeOwned(inside, sizers, id, change);
    if (holes !== undefined) await replaceHoles(inside, id, holes);
  });
  return readSizer(scope, id);
}

async function replaceHoles(scope: Scope, sizerId: string, holes: readonly HoleLabel[]): Promise<void> {
  const { database, studioId } = scope;
  const own = and(eq(sizerHoles.sizerId, sizerId), eq(sizerHoles.studioId, studioId));
  const kept = holes.map((hole) => hole.id);
  await database.delete(sizerHoles).where(kept.length > 0 ? and(own, notInArray(sizerHoles.id, kept)) : own);
  const stored = await database.select().from(sizerHoles).where(own);
  const before = new Map(stored.map((hole) => [hole.id, hole]));
  const changed = holes.filter(({ id, label, widthMm }) => {
    const hole = before.get(id);
    return hole && (hole.label !== label || hole.widthMm !== widthMm);
  });
  // Two holes may trade widths: none stands in the way of another while they move.
  for (const { id } of changed) {
    await database
      .update(sizerHoles)
      .set({ widthMm: before.get(id)!.widthMm + 10_000 })
      .where(and(own, eq(sizerHoles.id, id)));
  }
  for (const { id, label, widthMm } of changed) {
    await database
      .update(sizerHoles)
      .set({ label, widthMm })
      .where(and(own, eq(sizerHoles.id, id)));
  }
  await addHoles(
    scope,
    sizerId,
    holes.filter(({ id }) => !before.has(id)),
  );
}

async function addHoles({ database, studioId }: Scope, sizerId: string, holes: readonly HoleLabel[]): Promise<void> {
  if (holes.length === 0) return;
  await database
    .insert(sizerHoles)
    .values(holes.map(({ id, label, widthMm }) => ({ id, label, widthMm, sizerId, studioId })));
}

function measurementOf(row: typeof holeMeasurements.$inferSelect): HoleMeasurementRecord {
  const { studioId: _, takenAt, ...rest } = row;
  return { ...rest, takenAt: takenAt.toISOString() };
}

function sizingOf(row: typeof sizings.$inferSelect): SizingRecord {
  const { studioId: _, takenAt, ...rest } = row;
  return { ...rest, takenAt: takenAt.toISOString() };
}

/** Adds a measurement to one of the studio's holes. */
export async function createHoleMeasurement(
  scope: Scope,
  create: HoleMeasurementRecord,
): Promise<{ row: HoleMeasurementRecord; created: boolean }> {
  await readOwned(scope, sizerHoles, create.holeId);
  const { row, created } = await insertOnce(scope, holeMeasurements, {
    ...create,
    takenAt: new Date(create.takenAt),
  });
  return { row: measurementOf(row), created };
}

/** Adds a balloon sized in one of the studio's holes and measured afterwards. */
export async function createSizing(
  scope: Scope,
  create: SizingRecord,
): Promise<{ row: SizingRecord; created: boolean }> {
  await readOwned(scope, sizerHoles, create.holeId);
  const { row, created } = await insertOnce(scope, sizings, { ...create, takenAt: new Date(create.takenAt) });
  return { row: sizingOf(row), created };
}

/** Which of these holes are the studio's and still there: what was taken through one that is gone stays, without it. */
export async function holesStillThere(
  { database, studioId }: Scope,
  ids: readonly (string | null)[],
): Promise<(id: string | null) => string | null> {
  const asked = ids.filter((id) => id !== null);
  if (asked.length === 0) return () => null;
  const rows = await database
    .select({ id: sizerHoles.id })
    .from(sizerHoles)
    .where(and(eq(sizerHoles.studioId, studioId), inArray(sizerHoles.id, asked)));
  const there = new Set(rows.map(({ id }) => id));
  return (id) => (id !== null && there.has(id) ? id : null);
}
