import { EYE_MODES, type PieceDesign } from '@leggero/contract';
import {
  DECORS,
  FINISHES,
  HOLE_ANSWERS,
  HOLE_WAYS,
  INFLATOR_KINDS,
  MODEL_KINDS,
  NOZZLES,
  ORIGINS,
  OUTCOMES,
  SHAPES,
  TIER_SHAPES,
  WAYS,
} from '@leggero/core';
import { sql } from 'drizzle-orm';
import {
  boolean,
  char,
  check,
  customType,
  datetime,
  decimal,
  foreignKey,
  index,
  int,
  mysqlEnum,
  mysqlTable,
  smallint,
  unique,
  varchar,
  type AnyMySqlColumn,
} from 'drizzle-orm/mysql-core';

const id = () => char('id', { length: 36 }).primaryKey();
const studioId = () =>
  char('studio_id', { length: 36 })
    .notNull()
    .references(() => studios.id, { onDelete: 'cascade' });
/** A length that someone typed or measured, mm. */
const lengthMm = (name: string) => decimal(name, { precision: 9, scale: 4, mode: 'number' });
const dose = (name: string) => decimal(name, { precision: 7, scale: 3, mode: 'number' });
const share = (name: string) => decimal(name, { precision: 6, scale: 4, mode: 'number' });
const instant = (name: string) => datetime(name, { mode: 'date', fsp: 3 });
/** A document of the contract, kept as JSON. The database has no type of its own for it and answers text. */
const document = <Data>() =>
  customType<{ data: Data; driverData: string }>({
    dataType: () => 'longtext',
    toDriver: (data) => JSON.stringify(data),
    fromDriver: (text) => JSON.parse(text) as Data,
  });
const demo = () => boolean('demo').notNull().default(false);

export const studios = mysqlTable('studios', {
  id: id(),
  name: varchar('name', { length: 80 }).notNull(),
  unit: mysqlEnum('unit', ['in', 'cm']).notNull(),
  stepMm: lengthMm('step_mm').notNull(),
  daysStanding: smallint('days_standing').notNull(),
  workroomTempC: decimal('workroom_temp_c', { precision: 5, scale: 2, mode: 'number' }).notNull().default(21),
  workroomAltitudeM: decimal('workroom_altitude_m', { precision: 7, scale: 2, mode: 'number' }).notNull().default(0),
  demo: demo(),
});

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

export const pumps = mysqlTable(
  'pumps',
  {
    id: id(),
    studioId: studioId(),
    name: varchar('name', { length: 80 }).notNull(),
    kind: mysqlEnum('kind', INFLATOR_KINDS).notNull(),
    // Litres a stroke or a second.
    doseVolumeL: decimal('stroke_volume_l', { precision: 8, scale: 4, mode: 'number' }),
    mostKPa: decimal('most_kpa', { precision: 7, scale: 3, mode: 'number' }),
    demo: demo(),
  },
  (t) => [unique('pumps_scope').on(t.id, t.studioId), index('pumps_list').on(t.studioId, t.name)],
);

export const sizers = mysqlTable(
  'sizers',
  {
    id: id(),
    studioId: studioId(),
    name: varchar('name', { length: 80 }).notNull(),
    keeper: varchar('keeper', { length: 80 }).notNull().default(''),
    demo: demo(),
  },
  (t) => [unique('sizers_scope').on(t.id, t.studioId), index('sizers_list').on(t.studioId, t.name)],
);

export const sizerHoles = mysqlTable(
  'sizer_holes',
  {
    id: id(),
    studioId: studioId(),
    sizerId: char('sizer_id', { length: 36 }).notNull(),
    label: varchar('label', { length: 20 }).notNull(),
    widthMm: lengthMm('width_mm').notNull(),
  },
  (t) => [
    owned('sizer_holes_sizer', [t.sizerId, t.studioId], [sizers.id, sizers.studioId], 'cascade'),
    unique('sizer_holes_scope').on(t.id, t.studioId),
    unique('sizer_holes_width').on(t.sizerId, t.widthMm),
    check('sizer_holes_positive', sql`width_mm > 0`),
  ],
);

/** A hole that something was taken through; the record outlives the hole. */
const throughHole = (name: string) =>
  char(name, { length: 36 }).references(() => sizerHoles.id, { onDelete: 'set null' });

export const holeMeasurements = mysqlTable(
  'hole_measurements',
  {
    id: id(),
    studioId: studioId(),
    holeId: char('hole_id', { length: 36 }).notNull(),
    acrossMm: lengthMm('across_mm').notNull(),
    downMm: lengthMm('down_mm'),
    way: mysqlEnum('way', HOLE_WAYS).notNull(),
    takenAt: instant('taken_at').notNull(),
  },
  (t) => [
    owned('hole_measurements_hole', [t.holeId, t.studioId], [sizerHoles.id, sizerHoles.studioId], 'cascade'),
    index('hole_measurements_list').on(t.studioId, t.takenAt),
    check('hole_measurements_positive', sql`across_mm > 0 and coalesce(down_mm > 0, true)`),
  ],
);

export const sizings = mysqlTable(
  'sizings',
  {
    id: id(),
    studioId: studioId(),
    holeId: char('hole_id', { length: 36 }).notNull(),
    nominalMm: lengthMm('nominal_mm').notNull(),
    widthMm: lengthMm('width_mm').notNull(),
    takenAt: instant('taken_at').notNull(),
  },
  (t) => [
    owned('sizings_hole', [t.holeId, t.studioId], [sizerHoles.id, sizerHoles.studioId], 'cascade'),
    index('sizings_list').on(t.studioId, t.takenAt),
    check('sizings_positive', sql`nominal_mm > 0 and width_mm > 0`),
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

export const calibrations = mysqlTable(
  'calibrations',
  {
    id: id(),
    studioId: studioId(),
    modelId: char('model_id', { length: 36 }).notNull(),
    pumpId: char('pump_id', { length: 36 }).notNull(),
    preStretched: boolean('pre_stretched').notNull(),
    roundedOff: boolean('rounded_off').notNull(),
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
    wraps: smallint('wraps').notNull(),
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
  (t) => [index('pieces_list').on(t.studioId, t.createdAt), check('pieces_design', sql`json_valid(design)`)],
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

export const eyeChecks = mysqlTable(
  'eye_checks',
  {
    id: id(),
    studioId: studioId(),
    mode: mysqlEnum('mode', EYE_MODES).notNull(),
    personId: char('person_id', { length: 36 }).notNull(),
    secondPersonId: char('second_person_id', { length: 36 }),
    modelId: char('model_id', { length: 36 }).notNull(),
    targetMm: lengthMm('target_mm').notNull(),
    size: smallint('size').notNull(),
    startedAt: instant('started_at').notNull(),
    demo: demo(),
  },
  (t) => [
    unique('eye_checks_scope').on(t.id, t.studioId),
    owned('eye_checks_person', [t.personId, t.studioId], [people.id, people.studioId], 'cascade'),
    owned('eye_checks_second', [t.secondPersonId, t.studioId], [people.id, people.studioId], 'cascade'),
    owned('eye_checks_model', [t.modelId, t.studioId], [models.id, models.studioId], 'cascade'),
    index('eye_checks_list').on(t.studioId, t.personId, t.startedAt),
    check('eye_checks_size', sql`size >= 2 and target_mm > 0`),
  ],
);

export const eyeBalloons = mysqlTable(
  'eye_balloons',
  {
    id: id(),
    studioId: studioId(),
    eyeCheckId: char('eye_check_id', { length: 36 }).notNull(),
    position: smallint('position').notNull(),
    widthMm: lengthMm('width_mm'),
    filledAt: instant('filled_at').notNull(),
  },
  (t) => [
    owned('eye_balloons_check', [t.eyeCheckId, t.studioId], [eyeChecks.id, eyeChecks.studioId], 'cascade'),
    unique('eye_balloons_place').on(t.eyeCheckId, t.position),
    check('eye_balloons_width', sql`coalesce(width_mm > 0, true)`),
  ],
);

export const studies = mysqlTable(
  'studies',
  {
    id: id(),
    studioId: studioId(),
    subject: varchar('subject', { length: 80 }).notNull(),
    balloons: smallint('balloons').notNull(),
    repeats: smallint('repeats').notNull(),
    startedAt: instant('started_at').notNull(),
    demo: demo(),
  },
  (t) => [
    unique('studies_scope').on(t.id, t.studioId),
    index('studies_list').on(t.studioId, t.startedAt),
    check('studies_size', sql`balloons >= 2 and repeats >= 2`),
  ],
);

export const studyPeople = mysqlTable(
  'study_people',
  {
    id: id(),
    studioId: studioId(),
    studyId: char('study_id', { length: 36 }).notNull(),
    position: smallint('position').notNull(),
    name: varchar('name', { length: 80 }).notNull(),
  },
  (t) => [
    owned('study_people_study', [t.studyId, t.studioId], [studies.id, studies.studioId], 'cascade'),
    unique('study_people_place').on(t.studyId, t.position),
  ],
);

export const studyWidths = mysqlTable(
  'study_widths',
  {
    id: id(),
    studioId: studioId(),
    studyId: char('study_id', { length: 36 }).notNull(),
    balloon: smallint('balloon').notNull(),
    person: smallint('person').notNull(),
    repeat: smallint('repeat_no').notNull(),
    widthMm: lengthMm('width_mm').notNull(),
    takenAt: instant('taken_at').notNull(),
  },
  (t) => [
    owned('study_widths_study', [t.studyId, t.studioId], [studies.id, studies.studioId], 'cascade'),
    unique('study_widths_cell').on(t.studyId, t.balloon, t.person, t.repeat),
    check('study_widths_positive', sql`width_mm > 0`),
  ],
);

/** A foreign key that carries the studio along, so that no row can hang on another studio's. */
function owned(
  name: string,
  columns: [AnyMySqlColumn, AnyMySqlColumn],
  foreignColumns: [AnyMySqlColumn, AnyMySqlColumn],
  onDelete: 'cascade' | 'restrict',
) {
  return foreignKey({ name, columns, foreignColumns: foreignColumns as never }).onDelete(onDelete);
}
