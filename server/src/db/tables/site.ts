import { char, index, mysqlTable, varchar } from 'drizzle-orm/mysql-core';

import { events } from './builds';
import { id, instant, owned } from './columns';
import { studioId } from './studio';

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
    eventId: char('event_id', { length: 36 }).notNull(),
    key: varchar('step_key', { length: 80 }).notNull(),
    at: instant('at').notNull(),
  },
  (t) => [
    owned('site_ticks_event', [t.eventId, t.studioId], [events.id, events.studioId], 'cascade'),
    index('site_ticks_list').on(t.studioId, t.at),
  ],
);
