import { NOUNS, type NounName, type RowOf } from '@leggero/contract';
import { getTableColumns, sql, type SQL } from 'drizzle-orm';
import type { MySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core';

import {
  acceptedTargets,
  asBuilt,
  bags,
  calibrations,
  chains,
  checkResults,
  checks,
  constants,
  events,
  eyeBalloons,
  eyeChecks,
  finishedGarlands,
  fixings,
  holdReadings,
  holdTests,
  holeMeasurements,
  inflationBatches,
  inflations,
  losses,
  models,
  notes,
  ownSteps,
  people,
  photos,
  pieces,
  pumps,
  readings,
  repairs,
  runs,
  siteTicks,
  sizerHoles,
  sizers,
  sizings,
  snags,
  stacks,
  stockEntries,
  studies,
  studios,
  studyPeople,
  studyWidths,
  tallies,
  tiers,
  turnHands,
  turns,
} from '../db/tables';

/** Where the rows of each noun are kept. */
export const TABLES = {
  studio: studios,
  tier: tiers,
  constant: constants,
  person: people,
  pump: pumps,
  sizer: sizers,
  hole: sizerHoles,
  holeMeasurement: holeMeasurements,
  sizing: sizings,
  model: models,
  calibration: calibrations,
  reading: readings,
  holdTest: holdTests,
  holdReading: holdReadings,
  target: acceptedTargets,
  chain: chains,
  note: notes,
  stack: stacks,
  finishedGarland: finishedGarlands,
  event: events,
  piece: pieces,
  fixing: fixings,
  bag: bags,
  stockEntry: stockEntries,
  loss: losses,
  inflation: inflations,
  inflationBatch: inflationBatches,
  turn: turns,
  turnHands,
  tally: tallies,
  ownStep: ownSteps,
  siteTick: siteTicks,
  snag: snags,
  photo: photos,
  asBuilt,
  repair: repairs,
  run: runs,
  check: checks,
  checkResult: checkResults,
  study: studies,
  studyPerson: studyPeople,
  studyWidth: studyWidths,
  eyeCheck: eyeChecks,
  eyeBalloon: eyeBalloons,
} as const satisfies Record<NounName, MySqlTable & { id: MySqlColumn }>;

/** Fields that no column holds as they are sent: a PIN never leaves the server. */
const SHOWN: { [N in NounName]?: { [Field in keyof RowOf<N>]?: SQL } } = {
  person: { hasPin: sql`${people.pinHash} is not null`.mapWith(Boolean) },
};

/** What is selected for a row of a noun: its fields, and nothing else that its table has. */
export function columnsOf(name: NounName): Record<string, MySqlColumn | SQL> {
  return { ...plainColumnsOf(name), ...(SHOWN[name] as Record<string, SQL> | undefined) };
}

/** Whether every field of a noun is a column as it is. */
export const isPlain = (name: NounName): boolean => SHOWN[name] === undefined;

/** The columns of a noun's fields, of those that have one. */
export function plainColumnsOf(name: NounName): Record<string, MySqlColumn> {
  const columns = getTableColumns(TABLES[name]) as Record<string, MySqlColumn>;
  const fields = Object.keys(NOUNS[name].row.shape).filter((field) => field in columns);
  return Object.fromEntries(fields.map((field) => [field, columns[field]!]));
}

/** The column that says whose a row is: of the studio itself, its id. */
export function ownerOf(name: NounName): MySqlColumn {
  const table: MySqlTable & { id: MySqlColumn; studioId?: MySqlColumn } = TABLES[name];
  return table.studioId ?? table.id;
}

/** A noun's column by its field. */
export function columnOf(name: NounName, field: string): MySqlColumn {
  return (getTableColumns(TABLES[name]) as Record<string, MySqlColumn>)[field]!;
}
