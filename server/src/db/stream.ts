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
