import { EYE_MODES } from '@leggero/contract';
import { sql } from 'drizzle-orm';
import { char, check, index, mysqlEnum, mysqlTable, smallint, unique, varchar } from 'drizzle-orm/mysql-core';

import { demo, id, instant, lengthMm, owned } from './columns';
import { models } from './shelf';
import { people, studioId } from './studio';

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
