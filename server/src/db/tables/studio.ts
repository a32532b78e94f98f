import type { NounName } from '@leggero/contract';
import { TIER_SHAPES } from '@leggero/core';
import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  char,
  check,
  decimal,
  index,
  mysqlEnum,
  mysqlTable,
  primaryKey,
  smallint,
  unique,
  varchar,
} from 'drizzle-orm/mysql-core';

import { altitudeM, currency, demo, id, instant, lengthMm, share, tempC } from './columns';

export const studios = mysqlTable('studios', {
  id: id(),
  name: varchar('name', { length: 80 }).notNull(),
  unit: mysqlEnum('unit', ['in', 'cm']).notNull(),
  stepMm: lengthMm('step_mm').notNull(),
  daysStanding: smallint('days_standing').notNull(),
  workroomTempC: tempC('workroom_temp_c').notNull().default(21),
  workroomAltitudeM: altitudeM('workroom_altitude_m').notNull().default(0),
  currency: currency().notNull().default('EUR'),
  demo: demo(),
  /** Counts the writes; each raises it first, so that the order of revisions is the order of commits. */
  revision: bigint('revision', { mode: 'number' }).notNull().default(0),
  /** Devices that were filled before this one are filled anew: the records came from a backup. */
  filledFrom: bigint('filled_from', { mode: 'number' }).notNull().default(0),
});

/** Whose a row is. */
export const studioId = () =>
  char('studio_id', { length: 36 })
    .notNull()
    .references(() => studios.id, { onDelete: 'cascade' });

export const tiers = mysqlTable(
  'tiers',
  {
    id: id(),
    studioId: studioId(),
    name: varchar('name', { length: 80 }).notNull(),
    fraction: share('fraction').notNull(),
    leastFraction: share('least_fraction').notNull(),
    mostFraction: share('most_fraction').notNull(),
    shape: mysqlEnum('shape', TIER_SHAPES).notNull().default('round'),
    purpose: varchar('purpose', { length: 120 }).notNull(),
    position: smallint('position').notNull(),
  },
  (t) => [
    unique('tiers_scope').on(t.id, t.studioId),
    index('tiers_list').on(t.studioId, t.position),
    check('tiers_fraction', sql`fraction > 0 and fraction <= 1.2`),
    check('tiers_range', sql`least_fraction <= fraction and fraction <= most_fraction`),
  ],
);

export const constants = mysqlTable(
  'constants',
  {
    id: id(),
    studioId: studioId(),
    key: varchar('constant_key', { length: 60 }).notNull(),
    value: decimal('value', { precision: 13, scale: 6, mode: 'number' }).notNull(),
    revision: smallint('revision').notNull(),
  },
  (t) => [
    unique('constants_scope').on(t.id, t.studioId),
    unique('constants_revision').on(t.studioId, t.key, t.revision),
  ],
);

export const people = mysqlTable(
  'people',
  {
    id: id(),
    studioId: studioId(),
    name: varchar('name', { length: 80 }).notNull(),
    owner: boolean('owner').notNull().default(false),
    pinHash: varchar('pin_hash', { length: 200 }),
    demo: demo(),
  },
  (t) => [unique('people_scope').on(t.id, t.studioId), index('people_list').on(t.studioId, t.name)],
);

/**
 * The revision with which each row was last written, and, of its own, the one with which it was last taken away: one
 * that is put again under its id must not hide that what hung on it had gone.
 */
export const changes = mysqlTable(
  'changes',
  {
    studioId: studioId(),
    noun: varchar('noun', { length: 24 }).$type<NounName>().notNull(),
    rowId: char('row_id', { length: 36 }).notNull(),
    /** Written; else taken away. */
    there: boolean('there').notNull(),
    revision: bigint('revision', { mode: 'number' }).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.studioId, t.noun, t.rowId, t.there] }),
    index('changes_feed').on(t.studioId, t.revision, t.noun, t.rowId, t.there),
  ],
);

/** Commands that were carried out, by the key that devices give them: one that comes again changes nothing. */
export const carriedOut = mysqlTable(
  'carried_out',
  {
    studioId: studioId(),
    commandKey: char('command_key', { length: 36 }).notNull(),
    at: instant('at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.studioId, t.commandKey] }), index('carried_out_at').on(t.at)],
);
