import type { Connection, TypeCastField } from 'mysql2';
import type { PoolConnection } from 'mysql2/promise';

import type { Database } from './connect';

/** What is read piece by piece on a connection of its own, which is given back once all of it was. */
export async function* onOwnConnection<Piece>(
  database: Database,
  read: (connection: PoolConnection) => AsyncIterable<Piece>,
): AsyncGenerator<Piece> {
  const connection = await database.$client.getConnection();
  let whole = false;
  try {
    yield* read(connection);
    whole = true;
  } finally {
    // One that is left before its end still has rows on their way.
    if (whole) connection.release();
    else connection.destroy();
  }
}

/** The same, all of it as of one moment, and without a word written. */
export function asOfOneMoment<Piece>(
  database: Database,
  read: (connection: PoolConnection) => AsyncIterable<Piece>,
): AsyncGenerator<Piece> {
  return onOwnConnection(database, async function* (connection) {
    await connection.query('set transaction isolation level repeatable read');
    await connection.query('start transaction with consistent snapshot, read only');
    yield* read(connection);
    await connection.query('commit');
  });
}

/** Row after row of a query, every cell in the database's own words: nothing is rounded or moved to another time zone. */
export function cellsOf(
  { connection }: PoolConnection,
  sql: string,
  values: string[] = [],
): AsyncIterable<(string | null)[]> {
  const query = { sql, values, rowsAsArray: true, typeCast: (field: TypeCastField) => field.string() };
  // The connection without promises, which alone can hand out row after row.
  return (connection as unknown as Connection).query(query).stream() as AsyncIterable<(string | null)[]>;
}
