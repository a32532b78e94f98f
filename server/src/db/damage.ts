import { escapeId } from 'mysql2';
import type { PoolConnection, RowDataPacket } from 'mysql2/promise';

import { databaseError, type Database } from './connect';

/**
 * A database server that came back from a crash undoes in the background what was not committed, and a table that was
 * being written may look damaged until it has; damage itself stays.
 */
const LOOKS = 3;
const BETWEEN_MS = 1000;

/** The names of tables that cannot be read as they should; none when all is well. */
export async function damagedTables(database: Database): Promise<string[]> {
  const connection = await database.$client.getConnection();
  try {
    const [tables] = await connection.query<RowDataPacket[]>('show tables');
    let damaged = await unsound(
      connection,
      tables.map((row) => String(Object.values(row)[0])),
    );
    for (let look = 1; look < LOOKS && damaged.length > 0; look += 1) {
      await new Promise((resolve) => setTimeout(resolve, BETWEEN_MS));
      damaged = await unsound(connection, damaged);
    }
    return damaged;
  } finally {
    connection.release();
  }
}

async function unsound(connection: PoolConnection, tables: readonly string[]): Promise<string[]> {
  const damaged: string[] = [];
  for (const table of tables) if (!(await isSound(connection, table))) damaged.push(table);
  return damaged;
}

async function isSound(connection: PoolConnection, table: string): Promise<boolean> {
  try {
    const [said] = await connection.query<RowDataPacket[]>(`check table ${escapeId(table)} quick`);
    return said.every((line) => !/error|corrupt/i.test(`${line['Msg_type']} ${line['Msg_text']}`));
  } catch (error) {
    // A server that ends over a table says as much.
    if (databaseError(error)) return false;
    throw error;
  }
}
