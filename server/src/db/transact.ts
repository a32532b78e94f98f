import { databaseOn, type Database } from './connect';

/** Does some work in one transaction, on a connection of its own; what throws leaves nothing behind. */
export async function transact<T>(database: Database, work: (within: Database) => Promise<T>): Promise<T> {
  const connection = await database.$client.getConnection();
  try {
    await connection.beginTransaction();
    const result = await work(databaseOn(connection));
    await connection.commit();
    return result;
  } catch (error) {
    // A connection that cannot even take it back is of no use to anyone after.
    await connection.rollback().catch(() => connection.destroy());
    throw error;
  } finally {
    connection.release();
  }
}
