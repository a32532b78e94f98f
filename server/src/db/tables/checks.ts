import { HOLE_ANSWERS } from '@leggero/core';
import { sql } from 'drizzle-orm';
import { boolean, char, check, index, mysqlEnum, mysqlTable, smallint, unique, varchar } from 'drizzle-orm/mysql-core';

import { demo, id, instant, lengthMm, owned } from './columns';
import { pieces } from './builds';
import { throughHole } from './gauges';
import { turns } from './inflation';
import { models } from './shelf';
import { studioId } from './studio';

export const runs = mysqlTable(
  'runs',
  {
    id: id(),
    studioId: studioId(),
    pieceId: char('piece_id', { length: 36 }).notNull(),
    startedAt: instant('started_at').notNull(),
    demo: demo(),
  },
  (t) => [
    unique('runs_scope').on(t.id, t.studioId),
    owned('runs_piece', [t.pieceId, t.studioId], [pieces.id, pieces.studioId], 'cascade'),
  ],
);

export const checks = mysqlTable(
  'checks',
  {
    id: id(),
    studioId: studioId(),
    modelId: char('model_id', { length: 36 }).notNull(),
    tierName: varchar('tier_name', { length: 80 }).notNull(),
    targetMm: lengthMm('target_mm').notNull(),
    toleranceMm: lengthMm('tolerance_mm').notNull(),
    size: smallint('size').notNull(),
    lotSize: smallint('lot_size'),
    acceptMost: smallint('accept_most'),
    pairs: boolean('pairs').notNull().default(false),
    holeId: throughHole('hole_id'),
    holeMm: lengthMm('hole_mm'),
    /** The record outlives the piece. */
    pieceId: char('piece_id', { length: 36 }).references(() => pieces.id, { onDelete: 'set null' }),
    layer: varchar('layer', { length: 40 }),
    runId: char('run_id', { length: 36 }).references(() => runs.id, { onDelete: 'set null' }),
    place: smallint('place'),
    turnId: char('turn_id', { length: 36 }).references(() => turns.id, { onDelete: 'set null' }),
    startedAt: instant('started_at').notNull(),
    demo: demo(),
  },
  (t) => [
    unique('checks_scope').on(t.id, t.studioId),
    owned('checks_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    index('checks_list').on(t.studioId, t.modelId, t.startedAt),
    check('checks_size', sql`size > 0`),
  ],
);

export const checkResults = mysqlTable(
  'check_results',
  {
    id: id(),
    studioId: studioId(),
    checkId: char('check_id', { length: 36 }).notNull(),
    position: smallint('position').notNull(),
    answer: mysqlEnum('answer', HOLE_ANSWERS),
    widthMm: lengthMm('width_mm'),
    stopsHoleId: throughHole('stops_hole_id'),
    passesHoleId: throughHole('passes_hole_id'),
    stopsMm: lengthMm('stops_mm'),
    passesMm: lengthMm('passes_mm'),
    takenAt: instant('taken_at').notNull(),
  },
  (t) => [
    owned('check_results_check', [t.checkId, t.studioId], [checks.id, checks.studioId], 'cascade'),
    unique('check_results_place').on(t.checkId, t.position),
    check(
      'check_results_kind',
      sql`(answer is not null) + (width_mm is not null) + (stops_mm is not null or passes_mm is not null) = 1`,
    ),
  ],
);
