import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/mysql2/migrator';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import type { PoolConnection, RowDataPacket } from 'mysql2/promise';

import { connect, type Database } from '../src/db/connect';
import { dumpTo } from '../src/db/dump';
import { addForeignKey, checkRows } from '../src/db/foreignKeys';
import { applyMigrations } from '../src/db/migrate';
import { fillDemo } from '../src/demo/fill';

import { emptyDatabase } from './service';

const MIGRATIONS = path.join(__dirname, '../src/db/migrations');
const STATEMENTS = readMigrationFiles({ migrationsFolder: MIGRATIONS });
const MARK = /replace into leggero_migration_steps/;

const opened: { database: Database; drop(): Promise<void> }[] = [];
async function fresh(): Promise<Database> {
  const one = await emptyDatabase();
  opened.push(one);
  return one.database;
}
afterAll(async () => {
  for (const { drop } of opened) await drop();
});

async function rows(database: Database, statement: string): Promise<RowDataPacket[]> {
  const [found] = await database.$client.query<RowDataPacket[]>(statement);
  return found;
}

async function tablesOf(database: Database): Promise<string[]> {
  return (await rows(database, 'show tables')).map((row) => String(Object.values(row)[0]));
}

/** Migrations that a version of some time may have left half done. */
const NEWEST = 5;

const isKey = (line: string) => line.startsWith('  KEY ');

/** How a table was made, its keys by name: one of a foreign key that was put back stands last. */
function inOrder(made: string): string {
  const lines = made
    .replace(/ AUTO_INCREMENT=\d+/, '')
    // "Restrict" and "no action" are one thing to MariaDB's tables; it tells either by how the key was added.
    .replace(/ ON (DELETE|UPDATE) NO ACTION/g, '')
    .replace(/,$/gm, '')
    .split('\n');
  return [...lines.filter((line) => !isKey(line)), ...lines.filter(isKey).sort()].join('\n');
}

/** How every table of records was made. */
async function madeAs(database: Database): Promise<Record<string, string>> {
  const made: Record<string, string> = {};
  for (const table of await tablesOf(database)) {
    if (table === 'leggero_migration_steps') continue;
    const [row] = await rows(database, `show create table ${table}`);
    made[table] = inOrder(String(row!['Create Table']));
  }
  return made;
}

let asDrizzleMakesIt: Record<string, string>;
beforeAll(async () => {
  const database = await fresh();
  await migrate(database, { migrationsFolder: MIGRATIONS });
  asDrizzleMakesIt = await madeAs(database);
});

/** The database as seen by a process that dies right after a statement whose mark it would write next. */
function dying(database: Database, after: (statement: string) => boolean): Database {
  const client = {
    async getConnection() {
      const connection = await database.$client.getConnection();
      return new Proxy(connection, {
        get(target, key) {
          if (key === 'query') {
            return (statement: string, values?: unknown[]) => {
              if (!after(statement)) return target.query(statement, values);
              target.destroy();
              throw new Error('killed');
            };
          }
          const value: unknown = Reflect.get(target, key);
          return typeof value === 'function' ? (value.bind(target) as unknown) : value;
        },
      });
    },
  };
  return { $client: client } as unknown as Database;
}

describe('migrations', () => {
  it('make the same tables as the migrator of the library, and are marked as its own are', async () => {
    const database = await fresh();
    await applyMigrations(database);
    expect(await madeAs(database)).toEqual(asDrizzleMakesIt);
    const done = await rows(database, 'select hash, created_at from __drizzle_migrations order by created_at');
    expect(done.map(({ hash }) => hash as string)).toEqual(STATEMENTS.map(({ hash }) => hash));
    // Its own migrator finds nothing left to do.
    await migrate(database, { migrationsFolder: MIGRATIONS });
    expect(await madeAs(database)).toEqual(asDrizzleMakesIt);
  });

  it('that die after each single statement, before it is marked, go on where they were', async () => {
    const database = await fresh();
    const count = STATEMENTS.reduce((sum, { sql: all }) => sum + all.length, 0);
    let deaths = 0;
    for (;;) {
      let marks = 0;
      // Each life gets through with what the last one left in doubt, and dies after the next statement.
      const mortal = dying(database, (statement) => MARK.test(statement) && (marks += 1) === (deaths === 0 ? 1 : 2));
      const outcome = await applyMigrations(mortal).then(
        () => 'through',
        (error: Error) => error.message,
      );
      if (outcome === 'through') break;
      expect(outcome).toBe('killed');
      deaths += 1;
    }
    expect(deaths).toBe(count);
    expect(await madeAs(database)).toEqual(asDrizzleMakesIt);
  });

  // Committed migrations stay as they are: those before were looked at like this while they were the newest.
  it.each(STATEMENTS.map((_, i) => i).slice(-NEWEST))(
    'that an older version left half done, without a mark, are finished (migration %i)',
    async (at) => {
      const database = await fresh();
      const before = STATEMENTS.slice(0, at).reduce((sum, { sql: all }) => sum + all.length, 0);
      let seen = 0;
      const mortal = dying(database, (statement) => MARK.test(statement) && (seen += 1) > before);
      // Everything before this migration, whole.
      await expect(applyMigrations(mortal)).rejects.toThrow('killed');
      const { sql: own } = STATEMENTS[at]!;
      for (const statement of own.slice(1, Math.ceil(own.length / 2))) await database.execute(sql.raw(statement));
      await database.execute(sql.raw('drop table leggero_migration_steps'));
      await applyMigrations(database);
      expect(await madeAs(database)).toEqual(asDrizzleMakesIt);
    },
  );

  it('put back the foreign keys that a table lost when the database server died', async () => {
    const database = await fresh();
    const last = STATEMENTS.at(-1)!;
    let done = 0;
    const all = STATEMENTS.reduce((sum, { sql: own }) => sum + own.length, 0);
    const mortal = dying(database, (statement) => MARK.test(statement) && (done += 1) === all);
    await expect(applyMigrations(mortal)).rejects.toThrow('killed');
    for (const name of ['readings_calibration', 'readings_studio_id_studios_id_fk']) {
      await database.execute(sql.raw(`alter table readings drop foreign key ${name}`));
    }
    expect(await madeAs(database)).not.toEqual(asDrizzleMakesIt);
    await applyMigrations(database);
    expect(await madeAs(database)).toEqual(asDrizzleMakesIt);
    expect(await rows(database, `select id from __drizzle_migrations where hash = '${last.hash}'`)).toHaveLength(1);
  });

  it('do not take rows that point to nothing for whole', async () => {
    const database = await fresh();
    await database.execute(sql.raw('create table roots (id int, room int, primary key (id, room))'));
    await database.execute(sql.raw('create table leaves (root_id int, room int)'));
    await database.execute(sql.raw('insert into roots values (1, 7), (2, 8)'));
    await database.execute(sql.raw('insert into leaves values (1, 7), (null, 7), (9, null)'));
    const key =
      'ALTER TABLE `leaves` ADD CONSTRAINT `leaves_root` FOREIGN KEY (`root_id`,`room`) REFERENCES `roots`(`id`,`room`)';
    const connection: PoolConnection = await database.$client.getConnection();
    await addForeignKey(connection, key);
    await checkRows(connection, key);
    // From here on the database itself refuses such rows, also on this connection.
    await expect(connection.query('insert into leaves values (1, 8)')).rejects.toThrow(/foreign key/);
    await connection.query('alter table leaves drop foreign key leaves_root');
    await connection.query('insert into leaves values (1, 8), (2, 8), (3, 7)');
    await addForeignKey(connection, key);
    await expect(checkRows(connection, key)).rejects.toThrow('2 rows of leaves point to none of roots (leaves_root).');
    connection.release();
  });

  it('wait for one another', async () => {
    const database = await fresh();
    await Promise.all([applyMigrations(database), applyMigrations(database), applyMigrations(database)]);
    expect(await madeAs(database)).toEqual(asDrizzleMakesIt);
    expect(await rows(database, 'select id from __drizzle_migrations')).toHaveLength(STATEMENTS.length);
  });
});

describe('before an upgrade', () => {
  let folder: string;
  beforeEach(() => {
    folder = mkdtempSync(path.join(tmpdir(), 'leggero-dumps-'));
  });
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  const dumping = (to: Database) =>
    applyMigrations(to, { beforeUpgrade: async (connection) => void (await dumpTo(connection, folder)) });

  it('records are dumped, and nothing is where there are none', async () => {
    const database = await fresh();
    await dumping(database);
    expect(readdirSync(folder)).toEqual([]);
    await fillDemo({ database });
    await dumping(database);
    expect(readdirSync(folder)).toEqual([]);
    // As if the last version did not have its last migration yet.
    await database.execute(sql.raw('delete from __drizzle_migrations order by created_at desc limit 1'));
    await dumping(database);
    expect(readdirSync(folder)).toEqual([expect.stringMatching(/^before-upgrade-.*\.sql$/)]);
    expect(await madeAs(database)).toEqual(asDrizzleMakesIt);
  });

  it('the dump brings back every table and row as it was', async () => {
    const database = await fresh();
    await applyMigrations(database);
    await fillDemo({ database });
    const awkward = `O’Hara "the \\ kelp" — 潮, it's\n;-- 🎈`;
    await database.execute(sql`update studios set name = ${awkward}`);
    const connection: PoolConnection = await database.$client.getConnection();
    const file = await dumpTo(connection, folder);
    connection.release();
    const again = await fresh();
    await carryOut(again, readFileSync(file, 'utf8'));
    expect(await madeAs(again)).toEqual(await madeAs(database));
    const sums = async (of: Database) => {
      const tables = await tablesOf(of);
      const found = await rows(of, `checksum table ${tables.join(', ')}`);
      return found.map(({ Checksum: sum }, i) => [tables[i], sum as number]);
    };
    expect(await sums(again)).toEqual(await sums(database));
    expect(await rows(again, 'select name from studios')).toEqual([{ name: awkward }]);
    expect((await rows(again, 'select id from readings')).length).toBeGreaterThan(50);
  });
});

/** Statements of a dump, as a client would send them. */
async function carryOut(database: Database, dump: string): Promise<void> {
  const url = process.env['LEGGERO_TEST_DATABASE']!.replace(/[^/]+$/, await nameOf(database));
  const client = connect({ url: `${url}?multipleStatements=true` });
  await client.$client.query(dump);
  await client.$client.end();
}

async function nameOf(database: Database): Promise<string> {
  const [row] = await rows(database, 'select database() as name');
  return String(row!['name']);
}
