import { NOUNS, type NounName, type RowOf } from '@leggero/contract';
import { getTableColumns, is, SQL, sql } from 'drizzle-orm';
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
const SHOWN: { [N in NounName]?: { [Field in keyof RowOf<N>]?: { of: SQL; read: (answered: unknown) => unknown } } } = {
  person: { hasPin: { of: sql`${people.pinHash} is not null`, read: Boolean } },
};

/** How a field of a row is selected, and read from what the driver answers. */
interface Field {
  name: string;
  of: MySqlColumn | SQL;
  read: (answered: unknown) => unknown;
}

const FIELDS = new Map<NounName, Field[]>();

/** The fields of a noun's rows, in an order of their own. */
export function fieldsOf(name: NounName): Field[] {
  const kept = FIELDS.get(name);
  if (kept) return kept;
  const columns = getTableColumns(TABLES[name]) as Record<string, MySqlColumn>;
  const plain = Object.keys(NOUNS[name].row.shape).flatMap((field) => {
    const column = columns[field];
    return column
      ? [{ name: field, of: column, read: (answered: unknown) => column.mapFromDriverValue(answered) }]
      : [];
  });
  const shown = Object.entries(SHOWN[name] ?? {}).map(([field, how]) => ({
    name: field,
    ...(how as Omit<Field, 'name'>),
  }));
  const fields = [...plain, ...shown];
  FIELDS.set(name, fields);
  return fields;
}

/** A row of a noun, from its fields as the driver answers them. */
export const rowFrom = <N extends NounName>(name: N, answered: readonly unknown[]): RowOf<N> =>
  Object.fromEntries(
    fieldsOf(name).map(({ name: field, read }, i) => [field, answered[i] === null ? null : read(answered[i])]),
  ) as RowOf<N>;

/** What is selected for a row of a noun: its fields, and nothing else that its table has. */
export const columnsOf = (name: NounName): Record<string, MySqlColumn | SQL> =>
  Object.fromEntries(fieldsOf(name).map(({ name: field, of, read }) => [field, is(of, SQL) ? of.mapWith(read) : of]));

/** The column that says whose a row is: of the studio itself, its id. */
export function ownerOf(name: NounName): MySqlColumn {
  const table: MySqlTable & { id: MySqlColumn; studioId?: MySqlColumn } = TABLES[name];
  return table.studioId ?? table.id;
}

/** A noun's column by its field. */
export function columnOf(name: NounName, field: string): MySqlColumn {
  return (getTableColumns(TABLES[name]) as Record<string, MySqlColumn>)[field]!;
}
