import { BUILT_MEASURES, REPAIR_CAUSES } from '@leggero/contract';
import { char, index, mediumtext, mysqlEnum, mysqlTable, varchar } from 'drizzle-orm/mysql-core';

import { events, pieces } from './builds';
import { id, instant, lengthMm, owned } from './columns';
import { models } from './shelf';
import { studioId } from './studio';

const eventId = () => char('event_id', { length: 36 }).notNull();

export const ownSteps = mysqlTable(
  'own_steps',
  {
    id: id(),
    studioId: studioId(),
    text: varchar('text', { length: 160 }).notNull(),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [index('own_steps_list').on(t.studioId, t.createdAt)],
);

export const siteTicks = mysqlTable(
  'site_ticks',
  {
    id: id(),
    studioId: studioId(),
    eventId: eventId(),
    key: varchar('step_key', { length: 80 }).notNull(),
    at: instant('at').notNull(),
  },
  (t) => [
    owned('site_ticks_event', [t.eventId, t.studioId], [events.id, events.studioId], 'cascade'),
    index('site_ticks_list').on(t.studioId, t.at),
  ],
);

export const snags = mysqlTable(
  'snags',
  {
    id: id(),
    studioId: studioId(),
    eventId: eventId(),
    /** What was wrong outlives the piece. */
    pieceId: char('piece_id', { length: 36 }).references(() => pieces.id, { onDelete: 'set null' }),
    text: varchar('text', { length: 300 }).notNull(),
    at: instant('at').notNull(),
    doneAt: instant('done_at'),
  },
  (t) => [
    owned('snags_event', [t.eventId, t.studioId], [events.id, events.studioId], 'cascade'),
    index('snags_list').on(t.studioId, t.at),
  ],
);

export const photos = mysqlTable(
  'photos',
  {
    id: id(),
    studioId: studioId(),
    eventId: eventId(),
    key: varchar('step_key', { length: 80 }).notNull(),
    picture: mediumtext('picture').notNull(),
    at: instant('at').notNull(),
  },
  (t) => [
    owned('photos_event', [t.eventId, t.studioId], [events.id, events.studioId], 'cascade'),
    index('photos_list').on(t.studioId, t.at),
  ],
);

export const asBuilt = mysqlTable(
  'as_built',
  {
    id: id(),
    studioId: studioId(),
    eventId: eventId(),
    pieceId: char('piece_id', { length: 36 }).notNull(),
    measure: mysqlEnum('measure', BUILT_MEASURES).notNull(),
    drawnMm: lengthMm('drawn_mm').notNull(),
    builtMm: lengthMm('built_mm').notNull(),
    at: instant('at').notNull(),
  },
  (t) => [
    owned('as_built_event', [t.eventId, t.studioId], [events.id, events.studioId], 'cascade'),
    owned('as_built_piece', [t.pieceId, t.studioId], [pieces.id, pieces.studioId], 'cascade'),
    index('as_built_list').on(t.studioId, t.at),
  ],
);

export const repairs = mysqlTable(
  'repairs',
  {
    id: id(),
    studioId: studioId(),
    eventId: eventId(),
    /** That it failed outlives the piece, and the balloon's row. */
    pieceId: char('piece_id', { length: 36 }).references(() => pieces.id, { onDelete: 'set null' }),
    modelId: char('model_id', { length: 36 }).references(() => models.id, { onDelete: 'set null' }),
    colourHex: char('colour_hex', { length: 7 }).notNull(),
    cause: mysqlEnum('cause', REPAIR_CAUSES).notNull(),
    reckonedMm: lengthMm('reckoned_mm').notNull(),
    measuredMm: lengthMm('measured_mm'),
    fillMm: lengthMm('fill_mm').notNull(),
    at: instant('at').notNull(),
  },
  (t) => [
    owned('repairs_event', [t.eventId, t.studioId], [events.id, events.studioId], 'cascade'),
    index('repairs_list').on(t.studioId, t.at),
  ],
);
