import type { ChangeOf, HoleLabel, RowOf, SizerCreate, SizerRecord } from '@leggero/contract';
import { eq, type SQL } from 'drizzle-orm';

import type { Scope } from '../db/records';
import { groupBy } from '../db/shape';
import { sizerHoles, sizers } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { changeRow, makeRow, removeRow, type Outcome } from '../records/commands';
import type { Asked } from '../records/guard';
import { insertRow, listRows, updateRow } from '../records/store';

/** Sizers, by name, each with its holes by width, their measurements and the balloons sized in them. */
export async function listSizers(scope: Scope, which?: SQL): Promise<SizerRecord[]> {
  const [plates, holes, measured, sized] = await Promise.all([
    listRows(scope, 'sizer', which),
    listRows(scope, 'hole'),
    listRows(scope, 'holeMeasurement'),
    listRows(scope, 'sizing'),
  ]);
  const bySizer = groupBy(holes, (hole) => hole.sizerId);
  const byHole = groupBy(measured, (measurement) => measurement.holeId);
  const sizedIn = groupBy(sized, (sizing) => sizing.holeId);
  return plates.map((plate) => {
    const own = bySizer.get(plate.id) ?? [];
    return {
      ...plate,
      holes: own.map(({ id, label, widthMm }) => ({ id, label, widthMm, measurements: byHole.get(id) ?? [] })),
      sizings: own.flatMap(({ id }) => sizedIn.get(id) ?? []),
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
export async function createSizer(asked: Asked, { holes, ...sizer }: SizerCreate): Promise<Outcome<SizerRecord>> {
  const { created } = await makeRow(asked, 'sizer', sizer);
  if (created) await addHoles(asked, sizer.id, holes);
  return { row: await readSizer(asked, sizer.id), created };
}

/** Changes a sizer's name and keeper, or its holes: those that keep their id keep what was measured of them. */
export async function changeSizer(
  asked: Asked,
  id: string,
  { holes, ...change }: ChangeOf<'sizer'> & { holes?: HoleLabel[] | undefined },
): Promise<SizerRecord> {
  await changeRow(asked, 'sizer', id, change);
  if (holes !== undefined) await replaceHoles(asked, id, holes);
  return readSizer(asked, id);
}

/** Wider than any hole: out of the way of the others while they move. */
const ASIDE_MM = 10_000;

async function replaceHoles(asked: Asked, sizerId: string, holes: readonly HoleLabel[]): Promise<void> {
  const stored = await listRows(asked, 'hole', eq(sizerHoles.sizerId, sizerId));
  const kept = new Set(holes.map(({ id }) => id));
  for (const { id } of stored) if (!kept.has(id)) await removeRow(asked, 'hole', id);
  const before = new Map(stored.map((hole) => [hole.id, hole]));
  const changed = holes.filter(({ id, label, widthMm }) => {
    const hole = before.get(id);
    return hole && (hole.label !== label || hole.widthMm !== widthMm);
  });
  await moveAside(
    asked,
    changed.map(({ id }) => before.get(id)!),
  );
  for (const { id, label, widthMm } of changed) await changeRow(asked, 'hole', id, { label, widthMm });
  await addHoles(
    asked,
    sizerId,
    holes.filter(({ id }) => !before.has(id)),
  );
}

/** Lets no hole stand in the way of another while they trade widths. */
export async function moveAside(asked: Asked, holes: readonly RowOf<'hole'>[]): Promise<void> {
  for (const hole of holes) await updateRow(asked, 'hole', hole, { widthMm: hole.widthMm + ASIDE_MM });
}

async function addHoles(asked: Asked, sizerId: string, holes: readonly HoleLabel[]): Promise<void> {
  for (const hole of holes) await insertRow(asked, 'hole', { ...hole, sizerId });
}
