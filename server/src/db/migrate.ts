import { readMigrationFiles, type MigrationMeta } from 'drizzle-orm/migrator';
import type { PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

import { workspaceFile } from '../workspace';
import { databaseError, type Database } from './connect';
import { addForeignKey, addsForeignKey, checkRows, foreignKeysAfter, restoreForeignKeys } from './foreignKeys';

/** One server may have several databases; each is changed by one process at a time. */
const LOCK = "concat('leggero_migrations ', database())";
const LOCK_SECONDS = 60;
/** Migrations that are through, as Drizzle's own migrator keeps them. */
const DONE = '__drizzle_migrations';
/** How many statements of a migration are through. */
const STEPS = 'leggero_migration_steps';

/**
 * What a statement says that had been carried out before: a table, column, key or constraint is there already, or is
 * gone already.
 */
const ALREADY = new Set([
  'ER_TABLE_EXISTS_ERROR',
  'ER_DUP_FIELDNAME',
  'ER_DUP_KEYNAME',
  'ER_DUP_CONSTRAINT_NAME',
  'ER_FK_DUP_NAME',
  'ER_CANT_DROP_FIELD_OR_KEY',
]);
/** "Duplicate key on write or update": how a foreign key says so. */
const FOREIGN_KEY_THERE = /errno: 121\b/;

interface MigrateOptions {
  /** The last one to be applied, as they are dated; all of them by default. */
  upTo?: number;
  /** Called before tables that hold records are changed. */
  beforeUpgrade?: (connection: PoolConnection) => Promise<void>;
}

/**
 * Applies the migrations that are missing, one process at a time. The database carries out each statement whole or not
 * at all (MariaDB's atomic DDL, since 10.6) but no two of them together, so how far a migration came is kept beside it:
 * one that was cut off, at any moment, goes on where it was. What the one statement that was cut off may still have lost,
 * foreign keys, is put back before its migration counts as done.
 *
 * Throws when another process has been at it for a minute.
 */
export async function applyMigrations(
  database: Database,
  { beforeUpgrade, upTo = Infinity }: MigrateOptions = {},
): Promise<void> {
  const connection = await database.$client.getConnection();
  try {
    await lock(connection);
    await prepare(connection);
    const all = migrations().filter(({ folderMillis }) => folderMillis <= upTo);
    const pending = await missing(connection, all);
    if (pending.length > 0 && (await holdsRecords(connection))) await beforeUpgrade?.(connection);
    for (const migration of pending) {
      await carryOut(connection, migration);
      const through = all.slice(0, all.indexOf(migration) + 1);
      await restoreForeignKeys(
        connection,
        through.flatMap(({ sql }) => sql),
      );
      await markDone(connection, migration);
    }
  } finally {
    // Closed, not given back: whatever it still holds, the lock among it, goes with it.
    connection.destroy();
  }
}

const migrations = () => readMigrationFiles({ migrationsFolder: workspaceFile('src/db/migrations') });

/** The newest change of the tables that this version knows, as migrations are dated, ms. */
export const newestMigration = (): number => migrations().at(-1)!.folderMillis;

/** Throws when a row of any table points to one that is not there: where rows came in without the checks of their keys. */
export async function checkAllRows(connection: PoolConnection): Promise<void> {
  const statements = foreignKeysAfter(migrations().flatMap(({ sql }) => sql)).values();
  for (const statement of statements) await checkRows(connection, statement);
}

async function lock(connection: PoolConnection): Promise<void> {
  const [[row]] = await connection.query<RowDataPacket[]>(`select get_lock(${LOCK}, ?) as mine`, [LOCK_SECONDS]);
  if (row?.['mine'] !== 1) throw new Error('Another Leggero is changing these records: wait, then start again.');
}

async function prepare(connection: PoolConnection): Promise<void> {
  await connection.query(
    `create table if not exists ${DONE} (id serial primary key, hash text not null, created_at bigint)`,
  );
  await connection.query(`create table if not exists ${STEPS} (hash char(64) primary key, done int not null)`);
}

async function missing(connection: PoolConnection, all: readonly MigrationMeta[]): Promise<MigrationMeta[]> {
  const [[row]] = await connection.query<RowDataPacket[]>(`select max(created_at) as latest from ${DONE}`);
  const latest = Number(row?.['latest'] ?? 0);
  return all.filter(({ folderMillis }) => folderMillis > latest);
}

/** Whether anyone's records are there: a database that is new has none to lose. */
async function holdsRecords(connection: PoolConnection): Promise<boolean> {
  const [tables] = await connection.query<RowDataPacket[]>("show tables like 'studios'");
  if (tables.length === 0) return false;
  const [[row]] = await connection.query<RowDataPacket[]>('select count(*) as count from studios');
  return Number(row?.['count']) > 0;
}

async function carryOut(connection: PoolConnection, { sql, hash }: MigrationMeta): Promise<void> {
  const [[begun]] = await connection.query<RowDataPacket[]>(`select done from ${STEPS} where hash = ?`, [hash]);
  for (let step = Number(begun?.['done'] ?? 0); step < sql.length; step += 1) {
    // A change of rows counts as done together with its mark; a change of tables commits by itself.
    await connection.beginTransaction();
    await once(connection, sql[step]!);
    await connection.query(`replace into ${STEPS} (hash, done) values (?, ?)`, [hash, step + 1]);
    await connection.commit();
  }
}

async function markDone(connection: PoolConnection, { hash, folderMillis }: MigrationMeta): Promise<void> {
  await connection.beginTransaction();
  await connection.query(`insert into ${DONE} (hash, created_at) values (?, ?)`, [hash, folderMillis]);
  await connection.query(`delete from ${STEPS} where hash = ?`, [hash]);
  await connection.commit();
}

/** Carries out a statement unless it was before, without its mark. */
async function once(connection: PoolConnection, statement: string): Promise<void> {
  const isKey = addsForeignKey(statement);
  try {
    await (isKey ? addForeignKey(connection, statement) : connection.query<ResultSetHeader>(statement));
  } catch (error) {
    const known = databaseError(error);
    const already = known && (ALREADY.has(known.code) || FOREIGN_KEY_THERE.test(known.message));
    if (!already) throw error;
  }
  if (isKey) await checkRows(connection, statement);
}
