import { bigint, boolean, char, index, int, longtext, mysqlTable, unique, varchar } from 'drizzle-orm/mysql-core';

import { document, id, instant } from './columns';
import { studioId } from './studio';

/** What somebody did at once. Rows of it are kept as they were, also when what they tell of is gone. */
export const deeds = mysqlTable(
  'deeds',
  {
    id: id(),
    studioId: studioId(),
    revision: bigint('revision', { mode: 'number' }).notNull(),
    at: instant('at').notNull(),
    /** Who, and what they were called then: it outlives their account. */
    accountId: char('account_id', { length: 36 }),
    name: varchar('name', { length: 80 }),
    /** What is told of it (DeedRow[]), and all that it takes to take it back: JSON; null where that is too much. */
    told: document<unknown[]>()('told').notNull(),
    kept: longtext('kept'),
    count: int('row_count').notNull(),
    /** Whether devices keep none of it: it is told to nobody. */
    isPrivate: boolean('is_private').notNull(),
    undoneBy: char('undone_by', { length: 36 }),
    undoes: char('undoes', { length: 36 }),
  },
  (t) => [unique('deeds_revision').on(t.studioId, t.revision), index('deeds_at').on(t.at)],
);
