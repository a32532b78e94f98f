import { TALLIES } from '@leggero/core';
import {
  boolean,
  char,
  index,
  int,
  mysqlEnum,
  mysqlTable,
  smallint,
  tinyint,
  unique,
  varchar,
} from 'drizzle-orm/mysql-core';

import { events } from './builds';
import { demo, dose, id, instant, lengthMm, owned } from './columns';
import { bags, models } from './shelf';
import { people, studioId } from './studio';

export const inflations = mysqlTable(
  'inflations',
  {
    id: id(),
    studioId: studioId(),
    eventId: char('event_id', { length: 36 }).notNull(),
    startedAt: instant('started_at').notNull(),
    endedAt: instant('ended_at'),
    demo: demo(),
  },
  (t) => [
    unique('inflations_scope').on(t.id, t.studioId),
    owned('inflations_event', [t.eventId, t.studioId], [events.id, events.studioId], 'cascade'),
    index('inflations_list').on(t.studioId, t.startedAt),
  ],
);

export const inflationBatches = mysqlTable(
  'inflation_batches',
  {
    id: id(),
    studioId: studioId(),
    inflationId: char('inflation_id', { length: 36 }).notNull(),
    key: varchar('recipe_key', { length: 60 }).notNull(),
    place: smallint('place').notNull(),
    /** What was made of it outlives the balloon's row. */
    modelId: char('model_id', { length: 36 }).references(() => models.id, { onDelete: 'set null' }),
    colourHex: char('colour_hex', { length: 7 }).notNull(),
    fillMm: lengthMm('fill_mm').notNull(),
    toleranceMm: lengthMm('tolerance_mm').notNull(),
    count: int('count').notNull(),
    dose: dose('dose'),
    timed: boolean('timed').notNull(),
  },
  (t) => [
    unique('inflation_batches_scope').on(t.id, t.studioId),
    owned('inflation_batches_run', [t.inflationId, t.studioId], [inflations.id, inflations.studioId], 'cascade'),
  ],
);

export const turns = mysqlTable(
  'turns',
  {
    id: id(),
    studioId: studioId(),
    batchId: char('batch_id', { length: 36 }).notNull(),
    station: varchar('station', { length: 40 }).notNull(),
    atOnce: tinyint('at_once').notNull(),
    bagId: char('bag_id', { length: 36 }).references(() => bags.id, { onDelete: 'set null' }),
    dose: dose('dose'),
    startedAt: instant('started_at').notNull(),
  },
  (t) => [
    unique('turns_scope').on(t.id, t.studioId),
    owned('turns_batch', [t.batchId, t.studioId], [inflationBatches.id, inflationBatches.studioId], 'cascade'),
    index('turns_list').on(t.studioId, t.startedAt),
  ],
);

export const turnHands = mysqlTable(
  'turn_hands',
  {
    id: id(),
    studioId: studioId(),
    turnId: char('turn_id', { length: 36 }).notNull(),
    personId: char('person_id', { length: 36 }).notNull(),
  },
  (t) => [
    owned('turn_hands_turn', [t.turnId, t.studioId], [turns.id, turns.studioId], 'cascade'),
    owned('turn_hands_person', [t.personId, t.studioId], [people.id, people.studioId], 'cascade'),
  ],
);

export const tallies = mysqlTable(
  'tallies',
  {
    id: id(),
    studioId: studioId(),
    turnId: char('turn_id', { length: 36 }).notNull(),
    what: mysqlEnum('what', TALLIES).notNull(),
    count: tinyint('count').notNull(),
    at: instant('at').notNull(),
  },
  (t) => [
    owned('tallies_turn', [t.turnId, t.studioId], [turns.id, turns.studioId], 'cascade'),
    index('tallies_list').on(t.studioId, t.at),
  ],
);
