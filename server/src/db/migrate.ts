import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/mysql2';
import { migrate } from 'drizzle-orm/mysql2/migrator';
import { createRequire } from 'node:module';
import path from 'node:path';

import type { Database } from './connect';

const LOCK = 'leggero_migrations';
const LOCK_SECONDS = 60;

/** The committed migrations, found from wherever this code was put. */
function migrationsFolder(): string {
  const workspace = createRequire(import.meta.url).resolve('@leggero/server/package.json');
  return path.join(path.dirname(workspace), 'src/db/migrations');
}

/** Applies the migrations that are missing, one process at a time (DDL is not transactional in MariaDB). */
export async function applyMigrations(database: Database): Promise<void> {
  const connection = await database.$client.getConnection();
  try {
    const single = drizzle(connection);
    await single.execute(sql`select get_lock(${LOCK}, ${LOCK_SECONDS})`);
    await migrate(single, { migrationsFolder: migrationsFolder() });
    await single.execute(sql`select release_lock(${LOCK})`);
  } finally {
    connection.release();
  }
}
