import { escapeId } from 'mysql2';
import type { PoolConnection, RowDataPacket } from 'mysql2/promise';

import { databaseError, type Database } from './connect';

/** The names of tables that cannot be read as they should; none when all is well. */
export async function damagedTables(database: Database): Promise<string[]> {
  const connection = await database.$client.getConnection();
  try {
    const [tables] = await connection.query<RowDataPacket[]>('show tables');
    const damaged: string[] = [];
    for (const row of tables) {
      const table = String(Object.values(row)[0]);
      if (!(await isSound(connection, table))) damaged.push(table);
    }
    return damaged;
  } finally {
    connection.release();
  }
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
