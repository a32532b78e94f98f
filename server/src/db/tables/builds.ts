import {
  EVENT_STATES,
  type FinishedGarland,
  type PieceDesign,
  type StackRecord,
  type WorkPlan,
} from '@leggero/contract';
import { ORIGINS } from '@leggero/core';
import { sql } from 'drizzle-orm';
import {
  boolean,
  char,
  check,
  decimal,
  index,
  mysqlEnum,
  mysqlTable,
  smallint,
  tinyint,
  unique,
  varchar,
} from 'drizzle-orm/mysql-core';

import { altitudeM, demo, document, dose, id, instant, lengthMm, owned, tempC } from './columns';
import { models } from './shelf';
import { studioId } from './studio';

export const events = mysqlTable(
  'events',
  {
    id: id(),
    studioId: studioId(),
    name: varchar('name', { length: 80 }).notNull(),
    client: varchar('client', { length: 80 }).notNull(),
    place: varchar('place', { length: 120 }).notNull(),
    opensAt: instant('opens_at'),
    timeZone: varchar('time_zone', { length: 64 }),
    daysStanding: smallint('days_standing').notNull(),
    workroomTempC: tempC('workroom_temp_c'),
    venueTempC: tempC('venue_temp_c'),
    venueAltitudeM: altitudeM('venue_altitude_m'),
    hoursBefore: decimal('hours_before', { precision: 5, scale: 1, mode: 'number' }).notNull(),
    wraps: tinyint('wraps').$type<1 | 2>().notNull(),
    outdoors: boolean('outdoors').notNull(),
    ceilingMm: lengthMm('ceiling_mm'),
    doorHighMm: lengthMm('door_high_mm'),
    doorWideMm: lengthMm('door_wide_mm'),
    liftHighMm: lengthMm('lift_high_mm'),
    liftWideMm: lengthMm('lift_wide_mm'),
    notes: varchar('notes', { length: 2000 }).notNull(),
    state: mysqlEnum('state', EVENT_STATES).notNull(),
    /** As the contract has it: people, order on the bench, money. */
    plan: document<WorkPlan>()('plan'),
    createdAt: instant('created_at').notNull(),
    demo: demo(),
  },
  (t) => [
    unique('events_scope').on(t.id, t.studioId),
    index('events_list').on(t.studioId, t.createdAt),
    check('events_plan', sql`plan is null or json_valid(plan)`),
  ],
);

export const stacks = mysqlTable(
  'stacks',
  {
    id: id(),
    studioId: studioId(),
    /** As the contract has them, from the lowest up. */
    layers: document<StackRecord['layers']>()('layers').notNull(),
    heightMm: lengthMm('height_mm').notNull(),
    takenAt: instant('taken_at').notNull(),
  },
  (t) => [index('stacks_list').on(t.studioId, t.takenAt), check('stacks_layers', sql`json_valid(layers)`)],
);

export const finishedGarlands = mysqlTable(
  'finished_garlands',
  {
    id: id(),
    studioId: studioId(),
    /** As the contract has them, in their rhythm. */
    kinds: document<FinishedGarland['kinds']>()('kinds').notNull(),
    clusters: smallint('clusters').notNull(),
    lengthMm: lengthMm('length_mm').notNull(),
    takenAt: instant('taken_at').notNull(),
  },
  (t) => [
    index('finished_garlands_list').on(t.studioId, t.takenAt),
    check('finished_garlands_kinds', sql`json_valid(kinds)`),
  ],
);

export const pieces = mysqlTable(
  'pieces',
  {
    id: id(),
    studioId: studioId(),
    name: varchar('name', { length: 80 }).notNull(),
    /** As the contract has it; counts and sizes are worked out from it. */
    design: document<PieceDesign>()('design').notNull(),
    /** It outlives its event, as a sketch. */
    eventId: char('event_id', { length: 36 }).references(() => events.id, { onDelete: 'set null' }),
    copies: tinyint('copies').notNull().default(1),
    createdAt: instant('created_at').notNull(),
    demo: demo(),
  },
  (t) => [
    unique('pieces_scope').on(t.id, t.studioId),
    index('pieces_list').on(t.studioId, t.createdAt),
    check('pieces_design', sql`json_valid(design)`),
  ],
);

export const fixings = mysqlTable(
  'fixings',
  {
    id: id(),
    studioId: studioId(),
    pieceId: char('piece_id', { length: 36 }).notNull(),
    modelId: char('model_id', { length: 36 }).notNull(),
    wantedMm: lengthMm('wanted_mm').notNull(),
    fillMm: lengthMm('fill_mm').notNull(),
    dose: dose('dose'),
    origin: mysqlEnum('origin', ORIGINS).notNull(),
    fixedAt: instant('fixed_at').notNull(),
  },
  (t) => [
    owned('fixings_piece', [t.pieceId, t.studioId], [pieces.id, pieces.studioId], 'cascade'),
    owned('fixings_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    index('fixings_list').on(t.studioId, t.fixedAt),
  ],
);
