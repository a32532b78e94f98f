import type { HoleRecord, SizerCreate, SizerRecord } from '@leggero/contract';
import { and, asc, eq } from 'drizzle-orm';

import { insertOnce, ownedBy, readOwned, type Scope } from '../db/records';
import { sizerHoles, sizers } from '../db/schema';
import { groupBy, withoutStudio } from '../db/shape';

/** All sizers, by name, each with its holes by width. */
export async function listSizers({ database, studioId }: Scope): Promise<SizerRecord[]> {
  const [plates, holes] = await Promise.all([
    database.select().from(sizers).where(eq(sizers.studioId, studioId)).orderBy(asc(sizers.name)),
    database
      .select()
      .from(sizerHoles)
      .where(eq(sizerHoles.studioId, studioId))
      .orderBy(asc(sizerHoles.widthMm)),
  ]);
  const bySizer = groupBy(holes, (hole) => hole.sizerId);
  return plates.map((plate) => ({
    ...withoutStudio(plate),
    holes: (bySizer.get(plate.id) ?? []).map(holeOf),
  }));
}

/** One sizer with its holes. */
export async function readSizer(scope: Scope, id: string): Promise<SizerRecord> {
  const plate = await readOwned(scope, sizers, id);
  const holes = await scope.database
    .select()
    .from(sizerHoles)
    .where(and(eq(sizerHoles.sizerId, id), eq(sizerHoles.studioId, scope.studioId)))
    .orderBy(asc(sizerHoles.widthMm));
  return { ...withoutStudio(plate), holes: holes.map(holeOf) };
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

/** Changes a sizer's name, or replaces all its holes. */
export async function changeSizer(
  scope: Scope,
  id: string,
  { name, holes }: { name?: string | undefined; holes?: HoleRecord[] | undefined },
): Promise<SizerRecord> {
  await readOwned(scope, sizers, id);
  await scope.database.transaction(async (tx) => {
    const inside = { ...scope, database: tx as unknown as Scope['database'] };
    if (name !== undefined)
      await tx
        .update(sizers)
        .set({ name })
        .where(ownedBy(sizers, scope, id));
    if (holes === undefined) return;
    await tx
      .delete(sizerHoles)
      .where(and(eq(sizerHoles.sizerId, id), eq(sizerHoles.studioId, scope.studioId)));
    await addHoles(inside, id, holes);
  });
  return readSizer(scope, id);
}

async function addHoles(
  { database, studioId }: Scope,
  sizerId: string,
  holes: readonly HoleRecord[],
): Promise<void> {
  if (holes.length === 0) return;
  await database.insert(sizerHoles).values(holes.map((hole) => ({ ...hole, sizerId, studioId })));
}

function holeOf({ id, label, widthMm }: HoleRecord): HoleRecord {
  return { id, label, widthMm };
}
