import type { PoolConnection, RowDataPacket } from 'mysql2/promise';

const ADDS = /^\s*ALTER TABLE `(\w+)` ADD CONSTRAINT `(\w+)` FOREIGN KEY\b/i;
const DROPS = /^\s*ALTER TABLE `(\w+)` DROP (?:FOREIGN KEY|CONSTRAINT) `(\w+)`/i;
const DROPS_TABLE = /^\s*DROP TABLE `(\w+)`/i;

/** The foreign keys that are there once these statements are through: what adds each, by table and name. */
function foreignKeysAfter(statements: readonly string[]): Map<string, string> {
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
    if (!there.has(key)) await connection.query(statement);
  }
}
