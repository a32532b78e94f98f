import { NOUN_NAMES, NOUNS, type NounName, type RowOf } from '@leggero/contract';
import { getTableColumns } from 'drizzle-orm';
import { getTableConfig } from 'drizzle-orm/mysql-core';

import { TABLES } from '../src/records/tables';

/** Exactly one type and the other. */
type Same<A, B> = [A, B] extends [B, A] ? true : false;
type Kept<N extends NounName> = Omit<(typeof TABLES)[N]['$inferSelect'], 'studioId'>;

/** A table and its noun say the same of each field; compiled, so that forgetting one of the two places does not. */
const TIED: { [N in Exclude<NounName, 'studio' | 'person'>]: Same<Kept<N>, RowOf<N>> } = {
  ...{ tier: true, pump: true, sizer: true, hole: true, holeMeasurement: true, sizing: true, model: true },
  ...{ calibration: true, reading: true, holdTest: true, holdReading: true, target: true, chain: true, piece: true },
  ...{ check: true, checkResult: true, study: true, studyPerson: true, studyWidth: true, eyeCheck: true },
  ...{
    fixing: true,
    stack: true,
    finishedGarland: true,
    event: true,
    eyeBalloon: true,
    run: true,
    note: true,
    constant: true,
    bag: true,
    stockEntry: true,
    loss: true,
    inflation: true,
    inflationBatch: true,
    turn: true,
    turnHands: true,
    tally: true,
    ownStep: true,
    siteTick: true,
    snag: true,
    photo: true,
    asBuilt: true,
    repair: true,
  },
};
/** Of these the table has more than is sent. */
const STUDIO: Same<Omit<Kept<'studio'>, 'demo' | 'revision' | 'filledFrom'>, RowOf<'studio'>> = true;
const PERSON: Same<Omit<Kept<'person'>, 'pinHash'> & { hasPin: boolean }, RowOf<'person'>> = true;
const TOLD: { [N in NounName]?: { more: string[]; less: string[] } } = {
  studio: { more: ['demo', 'revision', 'filledFrom'], less: [] },
  person: { more: ['pinHash'], less: ['hasPin'] },
};

it.each(NOUN_NAMES)('the table of %s has its fields, and keeps to its references', (name) => {
  const table = TABLES[name];
  const { more = [], less = [] } = TOLD[name] ?? {};
  const own = name === 'studio' ? [] : ['studioId'];
  const fields = Object.keys(NOUNS[name].row.shape).filter((field) => !less.includes(field));
  expect(Object.keys(getTableColumns(table)).sort()).toEqual([...fields, ...more, ...own].sort());

  const columns = Object.entries(getTableColumns(table));
  const fieldOf = (column: unknown) => columns.find(([, each]) => each === column)![0];
  const keys = getTableConfig(table).foreignKeys.flatMap((key) => {
    const { columns: from, foreignTable } = key.reference();
    const field = fieldOf(from[0]);
    if (field === 'studioId') return [];
    const to = NOUN_NAMES.find((other) => TABLES[other] === foreignTable);
    return [
      [field, { to, gone: { cascade: 'remove', restrict: 'refuse', 'set null': 'clear' }[String(key.onDelete)] }],
    ];
  });
  expect(Object.fromEntries(keys)).toEqual(NOUNS[name].refs);
});

it('what a table says of its fields is what its noun says', () => {
  expect([...Object.values(TIED), STUDIO, PERSON].every(Boolean)).toBe(true);
});
