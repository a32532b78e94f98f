import type { PieceDesign } from '@leggero/contract';
import { sql } from 'drizzle-orm';
import { check, index, mysqlTable, unique, varchar } from 'drizzle-orm/mysql-core';

import { demo, document, id, instant } from './columns';
import { studioId } from './studio';

export const pieces = mysqlTable(
  'pieces',
  {
    id: id(),
    studioId: studioId(),
    name: varchar('name', { length: 80 }).notNull(),
    /** As the contract has it; counts and sizes are worked out from it. */
    design: document<PieceDesign>()('design').notNull(),
    createdAt: instant('created_at').notNull(),
    demo: demo(),
  },
  (t) => [
    unique('pieces_scope').on(t.id, t.studioId),
    index('pieces_list').on(t.studioId, t.createdAt),
    check('pieces_design', sql`json_valid(design)`),
  ],
);
