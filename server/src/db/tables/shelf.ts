import { DECORS, FINISHES, MODEL_KINDS, NOZZLES, ORIGINS, OUTCOMES, SHAPES, WAYS } from '@leggero/core';
import { sql } from 'drizzle-orm';
import {
  boolean,
  char,
  check,
  decimal,
  index,
  int,
  mysqlEnum,
  mysqlTable,
  smallint,
  unique,
  varchar,
} from 'drizzle-orm/mysql-core';

import { currency, demo, dose, id, instant, lengthMm, owned } from './columns';
import { pumps, throughHole } from './gauges';
import { studioId, tiers } from './studio';

export const models = mysqlTable(
  'models',
  {
    id: id(),
    studioId: studioId(),
    line: varchar('line', { length: 80 }).notNull(),
    kind: mysqlEnum('kind', MODEL_KINDS).notNull(),
    nominalMm: lengthMm('nominal_mm').notNull(),
    lengthMm: lengthMm('length_mm'),
    finish: mysqlEnum('finish', FINISHES).notNull(),
    decor: mysqlEnum('decor', DECORS).notNull().default('none'),
    colourName: varchar('colour_name', { length: 40 }).notNull(),
    colourHex: char('colour_hex', { length: 7 }).notNull(),
    stock: int('stock'),
    // A pair is a model of two others, and goes with either.
    outerId: char('outer_id', { length: 36 }),
    innerId: char('inner_id', { length: 36 }),
    seenHex: char('seen_hex', { length: 7 }),
    demo: demo(),
  },
  (t) => [
    unique('models_scope').on(t.id, t.studioId),
    index('models_list').on(t.studioId, t.line, t.nominalMm),
    owned('models_outer', [t.outerId, t.studioId], [t.id, t.studioId], 'cascade'),
    owned('models_inner', [t.innerId, t.studioId], [t.id, t.studioId], 'cascade'),
    check('models_nominal', sql`nominal_mm > 0 and coalesce(length_mm > 0, true)`),
    check('models_pair', sql`(outer_id is null) = (inner_id is null)`),
    check('models_stock', sql`coalesce(stock >= 0, true)`),
  ],
);

export const bags = mysqlTable(
  'bags',
  {
    id: id(),
    studioId: studioId(),
    modelId: char('model_id', { length: 36 }).notNull(),
    count: int('count').notNull(),
    bags: smallint('bags').notNull(),
    batch: varchar('batch', { length: 40 }).notNull(),
    shop: varchar('shop', { length: 80 }).notNull(),
    /** In minor units of its currency. */
    priceMinor: int('price_minor'),
    currency: currency().notNull(),
    boughtAt: instant('bought_at').notNull(),
    demo: demo(),
  },
  (t) => [
    unique('bags_scope').on(t.id, t.studioId),
    owned('bags_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    index('bags_list').on(t.studioId, t.boughtAt),
  ],
);

export const calibrations = mysqlTable(
  'calibrations',
  {
    id: id(),
    studioId: studioId(),
    modelId: char('model_id', { length: 36 }).notNull(),
    pumpId: char('pump_id', { length: 36 }).notNull(),
    preStretched: boolean('pre_stretched').notNull(),
    roundedOff: boolean('rounded_off').notNull(),
    bagId: char('bag_id', { length: 36 }).references(() => bags.id, { onDelete: 'set null' }),
    startedAt: instant('started_at').notNull(),
    demo: demo(),
  },
  (t) => [
    unique('calibrations_scope').on(t.id, t.studioId),
    owned('calibrations_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    owned('calibrations_pump', [t.pumpId, t.studioId], [pumps.id, pumps.studioId], 'restrict'),
    index('calibrations_list').on(t.studioId, t.modelId, t.startedAt),
  ],
);

export const readings = mysqlTable(
  'readings',
  {
    id: id(),
    studioId: studioId(),
    calibrationId: char('calibration_id', { length: 36 }).notNull(),
    dose: dose('dose').notNull(),
    widthMm: lengthMm('width_mm'),
    way: mysqlEnum('way', WAYS).notNull().default('tape'),
    stopsMm: lengthMm('stops_mm'),
    passesMm: lengthMm('passes_mm'),
    holeId: throughHole('hole_id'),
    stopsHoleId: throughHole('stops_hole_id'),
    nozzle: mysqlEnum('nozzle', NOZZLES),
    balloon: smallint('balloon'),
    heightMm: lengthMm('height_mm'),
    sdMm: lengthMm('sd_mm'),
    shape: mysqlEnum('shape', SHAPES),
    outcome: mysqlEnum('outcome', OUTCOMES).notNull(),
    takenAt: instant('taken_at').notNull(),
  },
  (t) => [
    owned('readings_calibration', [t.calibrationId, t.studioId], [calibrations.id, calibrations.studioId], 'cascade'),
    index('readings_list').on(t.calibrationId, t.takenAt),
    check('readings_dose', sql`dose > 0`),
    check('readings_width', sql`coalesce(width_mm > 0, stops_mm < passes_mm, false) or outcome = 'burst'`),
    check('readings_balloon', sql`balloon > 0`),
    check('readings_bracket', sql`(stops_mm is null) = (passes_mm is null)`),
  ],
);

export const holdTests = mysqlTable(
  'hold_tests',
  {
    id: id(),
    studioId: studioId(),
    modelId: char('model_id', { length: 36 }).notNull(),
    wraps: smallint('wraps').$type<1 | 2>().notNull(),
    stuffed: boolean('stuffed').notNull(),
    startedAt: instant('started_at').notNull(),
    demo: demo(),
  },
  (t) => [
    unique('hold_tests_scope').on(t.id, t.studioId),
    owned('hold_tests_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    index('hold_tests_list').on(t.studioId, t.modelId, t.startedAt),
    check('hold_tests_wraps', sql`wraps in (1, 2)`),
  ],
);

export const holdReadings = mysqlTable(
  'hold_readings',
  {
    id: id(),
    studioId: studioId(),
    holdTestId: char('hold_test_id', { length: 36 }).notNull(),
    hours: decimal('hours', { precision: 8, scale: 3, mode: 'number' }).notNull(),
    widthMm: lengthMm('width_mm').notNull(),
  },
  (t) => [
    owned('hold_readings_test', [t.holdTestId, t.studioId], [holdTests.id, holdTests.studioId], 'cascade'),
    unique('hold_readings_hour').on(t.holdTestId, t.hours),
    check('hold_readings_positive', sql`hours >= 0 and width_mm > 0`),
  ],
);

export const acceptedTargets = mysqlTable(
  'accepted_targets',
  {
    id: id(),
    studioId: studioId(),
    modelId: char('model_id', { length: 36 }).notNull(),
    // The target outlives its tier: the name at the time is kept beside it.
    tierId: char('tier_id', { length: 36 }).references(() => tiers.id, { onDelete: 'set null' }),
    tierName: varchar('tier_name', { length: 80 }).notNull(),
    revision: int('revision').notNull(),
    widthMm: lengthMm('width_mm').notNull(),
    toleranceMm: lengthMm('tolerance_mm').notNull(),
    dose: dose('dose'),
    origin: mysqlEnum('origin', ORIGINS).notNull(),
    daysStanding: smallint('days_standing').notNull(),
    acceptedAt: instant('accepted_at').notNull(),
  },
  (t) => [
    owned('accepted_targets_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    unique('accepted_targets_revision').on(t.modelId, t.tierName, t.revision),
    check('accepted_targets_width', sql`width_mm > 0 and tolerance_mm > 0`),
  ],
);

export const notes = mysqlTable(
  'notes',
  {
    id: id(),
    studioId: studioId(),
    modelId: char('model_id', { length: 36 }).notNull(),
    text: varchar('text', { length: 500 }).notNull(),
    writtenAt: instant('written_at').notNull(),
  },
  (t) => [
    owned('notes_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    index('notes_list').on(t.studioId, t.writtenAt),
  ],
);

export const chains = mysqlTable(
  'chains',
  {
    id: id(),
    studioId: studioId(),
    modelId: char('model_id', { length: 36 }).notNull(),
    count: smallint('count').notNull(),
    widthMm: lengthMm('width_mm').notNull(),
    lengthMm: lengthMm('length_mm').notNull(),
    takenAt: instant('taken_at').notNull(),
  },
  (t) => [
    owned('chains_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    index('chains_list').on(t.studioId, t.takenAt),
    check('chains_positive', sql`count >= 3 and width_mm > 0 and length_mm > 0`),
  ],
);
