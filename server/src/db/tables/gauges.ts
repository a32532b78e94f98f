import { HOLE_WAYS, INFLATOR_KINDS } from '@leggero/core';
import { sql } from 'drizzle-orm';
import { char, check, decimal, index, mysqlEnum, mysqlTable, unique, varchar } from 'drizzle-orm/mysql-core';

import { demo, id, instant, lengthMm, owned } from './columns';
import { studioId } from './studio';

export const pumps = mysqlTable(
  'pumps',
  {
    id: id(),
    studioId: studioId(),
    name: varchar('name', { length: 80 }).notNull(),
    kind: mysqlEnum('kind', INFLATOR_KINDS).notNull(),
    // Litres a stroke or a second.
    doseVolumeL: decimal('stroke_volume_l', { precision: 8, scale: 4, mode: 'number' }),
    mostKPa: decimal('most_kpa', { precision: 7, scale: 3, mode: 'number' }),
    demo: demo(),
  },
  (t) => [unique('pumps_scope').on(t.id, t.studioId), index('pumps_list').on(t.studioId, t.name)],
);

export const sizers = mysqlTable(
  'sizers',
  {
    id: id(),
    studioId: studioId(),
    name: varchar('name', { length: 80 }).notNull(),
    keeper: varchar('keeper', { length: 80 }).notNull().default(''),
    demo: demo(),
  },
  (t) => [unique('sizers_scope').on(t.id, t.studioId), index('sizers_list').on(t.studioId, t.name)],
);

export const sizerHoles = mysqlTable(
  'sizer_holes',
  {
    id: id(),
    studioId: studioId(),
    sizerId: char('sizer_id', { length: 36 }).notNull(),
    label: varchar('label', { length: 20 }).notNull(),
    widthMm: lengthMm('width_mm').notNull(),
  },
  (t) => [
    owned('sizer_holes_sizer', [t.sizerId, t.studioId], [sizers.id, sizers.studioId], 'cascade'),
    unique('sizer_holes_scope').on(t.id, t.studioId),
    unique('sizer_holes_width').on(t.sizerId, t.widthMm),
    check('sizer_holes_positive', sql`width_mm > 0`),
  ],
);

/** A hole that something was taken through; the record outlives the hole. */
export const throughHole = (name: string) =>
  char(name, { length: 36 }).references(() => sizerHoles.id, { onDelete: 'set null' });

export const holeMeasurements = mysqlTable(
  'hole_measurements',
  {
    id: id(),
    studioId: studioId(),
    holeId: char('hole_id', { length: 36 }).notNull(),
    acrossMm: lengthMm('across_mm').notNull(),
    downMm: lengthMm('down_mm'),
    way: mysqlEnum('way', HOLE_WAYS).notNull(),
    takenAt: instant('taken_at').notNull(),
  },
  (t) => [
    owned('hole_measurements_hole', [t.holeId, t.studioId], [sizerHoles.id, sizerHoles.studioId], 'cascade'),
    index('hole_measurements_list').on(t.studioId, t.takenAt),
    check('hole_measurements_positive', sql`across_mm > 0 and coalesce(down_mm > 0, true)`),
  ],
);

export const sizings = mysqlTable(
  'sizings',
  {
    id: id(),
    studioId: studioId(),
    holeId: char('hole_id', { length: 36 }).notNull(),
    nominalMm: lengthMm('nominal_mm').notNull(),
    widthMm: lengthMm('width_mm').notNull(),
    takenAt: instant('taken_at').notNull(),
  },
  (t) => [
    owned('sizings_hole', [t.holeId, t.studioId], [sizerHoles.id, sizerHoles.studioId], 'cascade'),
    index('sizings_list').on(t.studioId, t.takenAt),
    check('sizings_positive', sql`nominal_mm > 0 and width_mm > 0`),
  ],
);
