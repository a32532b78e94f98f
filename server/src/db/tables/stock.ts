import type { StockEntryRecord } from '@leggero/contract';
import { LOSS_WORKS, STOCK_CHANGES } from '@leggero/core';
import { char, index, int, mysqlEnum, mysqlTable } from 'drizzle-orm/mysql-core';

import { events } from './builds';
import { id, instant, owned } from './columns';
import { bags, models } from './shelf';
import { studioId } from './studio';

type Change = StockEntryRecord['change'];
const NOT_BOUGHT = STOCK_CHANGES.filter((change): change is Change => change !== 'bought') as [Change, ...Change[]];

export const stockEntries = mysqlTable(
  'stock_entries',
  {
    id: id(),
    studioId: studioId(),
    modelId: char('model_id', { length: 36 }).notNull(),
    /** What went out for it stays gone when it goes. */
    eventId: char('event_id', { length: 36 }).references(() => events.id, { onDelete: 'set null' }),
    change: mysqlEnum('change', NOT_BOUGHT).notNull(),
    count: int('count').notNull(),
    at: instant('at').notNull(),
  },
  (t) => [
    owned('stock_entries_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    index('stock_entries_list').on(t.studioId, t.at),
  ],
);

export const losses = mysqlTable(
  'losses',
  {
    id: id(),
    studioId: studioId(),
    modelId: char('model_id', { length: 36 }).notNull(),
    bagId: char('bag_id', { length: 36 }).references(() => bags.id, { onDelete: 'set null' }),
    work: mysqlEnum('work', LOSS_WORKS).notNull(),
    used: int('used').notNull(),
    lost: int('lost').notNull(),
    at: instant('at').notNull(),
  },
  (t) => [
    owned('losses_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    index('losses_list').on(t.studioId, t.at),
  ],
);
