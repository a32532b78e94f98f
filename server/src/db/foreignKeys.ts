import type { PoolConnection, RowDataPacket } from 'mysql2/promise';

const ADDS = /^\s*ALTER TABLE `(\w+)` ADD CONSTRAINT `(\w+)` FOREIGN KEY \(([^)]+)\) REFERENCES `(\w+)`\s*\(([^)]+)\)/i;
const DROPS = /^\s*ALTER TABLE `(\w+)` DROP (?:FOREIGN KEY|CONSTRAINT) `(\w+)`/i;
const DROPS_TABLE = /^\s*DROP TABLE `(\w+)`/i;

/** Whether a statement adds a foreign key. */
export const addsForeignKey = (statement: string): boolean => ADDS.test(statement);

/**
 * Carries out a statement that adds a foreign key, without the copy of the table that its check of the rows would
 * cost: a database server that dies during such a copy may come back with the key in its books and not at the table,
 * and can then neither find nor add it (MariaDB 10.11). `checkRows` does the check.
 */
export async function addForeignKey(connection: PoolConnection, statement: string): Promise<void> {
  await connection.query('set foreign_key_checks = 0');
  try {
    await connection.query(statement);
  } finally {
    await connection.query('set foreign_key_checks = 1');
  }
}

/** Throws when the table that a statement gave a foreign key holds rows without the row they point to. */
export async function checkRows(connection: PoolConnection, statement: string): Promise<void> {
  const [, table, name, columns = '', parent, keys = ''] = ADDS.exec(statement) ?? [];
  const own = columns.split(',');
  const theirs = keys.split(',');
  const [[row]] = await connection.query<RowDataPacket[]>(
    `select count(*) as count from \`${table}\` as child ` +
      `where ${own.map((column) => `child.${column} is not null`).join(' and ')} and not exists (` +
      `select 1 from \`${parent}\` as parent where ` +
      `${theirs.map((key, at) => `parent.${key} = child.${own[at]}`).join(' and ')})`,
  );
  const count = Number(row?.['count']);
  if (count > 0) throw new Error(`${count} rows of ${table} point to none of ${parent} (${name}).`);
}

/** The foreign keys that are there once these statements are through: what adds each, by table and name. */
export function foreignKeysAfter(statements: readonly string[]): Map<string, string> {
  const keys = new Map<string, string>();
  for (const statement of statements) {
    const [, addedTo, added] = ADDS.exec(statement) ?? [];
    const [, droppedFrom, dropped] = DROPS.exec(statement) ?? [];
    const [, table] = DROPS_TABLE.exec(statement) ?? [];
    if (addedTo) keys.set(`${addedTo}.${added}`, statement);
    if (droppedFrom) keys.delete(`${droppedFrom}.${dropped}`);
    if (table) for (const key of keys.keys()) if (key.startsWith(`${table}.`)) keys.delete(key);
  }
  return keys;
}

/**
 * Puts back the foreign keys that these statements made and that are gone. A database server that dies while it copies
 * a table for a change may come back with the table whole but for all of its foreign keys (MariaDB 10.11).
 *
 * Throws the database's error when one cannot be made.
 */
export async function restoreForeignKeys(connection: PoolConnection, statements: readonly string[]): Promise<void> {
  const [found] = await connection.query<RowDataPacket[]>(
    'select table_name as `table`, constraint_name as `name` from information_schema.referential_constraints ' +
      'where constraint_schema = database()',
  );
  const there = new Set(found.map((row) => `${row['table']}.${row['name']}`));
  for (const [key, statement] of foreignKeysAfter(statements)) {
    if (there.has(key)) continue;
    await addForeignKey(connection, statement);
    await checkRows(connection, statement);
  }
}
