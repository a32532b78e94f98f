import { escapeId, type QueryValues } from 'mysql2';
import type { PoolConnection, RowDataPacket } from 'mysql2/promise';

import { connect, databaseError, isAway, isFull } from '../db/connect';
import { applyMigrations, checkAllRows, newestMigration } from '../db/migrate';
import type { End, Head } from './form';
import { backup } from './write';
import { partsOf, type Row } from './read';
import { BackupRefusal } from './refusal';
import { inScratch } from './scratch';
import { ACCOUNTS, MEMBERS, OWNED, SIGN_IN, STUDIO, STUDIO_TABLES, type KeptTable } from './tables';

/** Characters and rows in one statement: within what a server takes at once by default (16 MB). */
const MOST_CHARACTERS = 1 << 20;
const MOST_ROWS = 500;

/**
 * How far a studio's count of writes jumps: devices that saw later writes, which are lost now, are filled anew, and so
 * are those whose next ones would be counted like them.
 */
const JUMP = 1_000_000;

interface RestoreOptions {
  /** The database to restore into; a scratch one is made beside it. */
  url: string;
  file: string;
}

/** What a backup turned out to hold. */
export interface Held {
  head: Head;
  rows: number;
}

/** What came of a trial: the rows of each table that are not what was written; of those of older tables their number. */
export interface Trial extends Held {
  differ: { table: string; was: number; is: number }[];
}

interface Restored extends Held {
  /** Whether the studio's records as they were until now made way. */
  replaced: boolean;
  /** Who works there and cannot be let in, for somebody else is called so here. */
  leftOut: string[];
}

/**
 * Restores a backup in a database of its own, brought up to this version, and writes it out again: what comes out must be
 * what went in. Nothing else is touched.
 *
 * Throws a BackupRefusal.
 */
export function tryOut({ url, file }: RestoreOptions): Promise<Trial> {
  return loaded({ url, file }, async ({ head, end, scratch }) => {
    const again = await endOf(backup(scratch, { studioId: head.studio.id, signIn: head.signIn, now: new Date() }));
    const sameTables = head.tables === newestMigration();
    const differ = Object.entries(end.tables).flatMap(([table, was]) => {
      const is = again.tables[table];
      const same = sameTables ? is?.sha256 === was.sha256 : is?.rows === was.rows;
      return same ? [] : [{ table, was: was.rows, is: is?.rows ?? 0 }];
    });
    return { head, rows: rowsIn(end), differ };
  });
}

/**
 * Puts a studio of a backup into the records, whole or not at all. Of one that is there already the records make way
 * where `replace` says so; who works there stays then, so that nobody comes back who was let go.
 *
 * Throws a BackupRefusal.
 */
export function restore({ url, file, replace }: RestoreOptions & { replace: boolean }): Promise<Restored> {
  return loaded({ url, file }, async ({ head, end, name }) => {
    const target = connect({ url });
    try {
      await applyMigrations(target);
      const connection = await target.$client.getConnection();
      try {
        await connection.query('set foreign_key_checks = 0');
        await connection.beginTransaction();
        const outcome = await takeOver(connection, { head, from: name, replace });
        await connection.commit();
        return { head, rows: rowsIn(end), ...outcome };
      } catch (error) {
        throw databaseError(error)?.code === 'ER_DUP_ENTRY' ? new BackupRefusal('taken', { cause: error }) : error;
      } finally {
        connection.destroy();
      }
    } finally {
      await target.$client.end();
    }
  });
}

const rowsIn = ({ tables }: End): number => Object.values(tables).reduce((sum, { rows }) => sum + rows, 0);

/** Fills a scratch database from a file, brings it up to this version, checks it, and does some work with it. */
function loaded<T>(
  { url, file }: RestoreOptions,
  work: (held: { head: Head; end: End; name: string; scratch: Parameters<typeof backup>[0] }) => Promise<T>,
): Promise<T> {
  return inScratch(url, async ({ name, database, connection }) => {
    let head: Head | null = null;
    let end: End | null = null;
    const filling = new Filling(connection);
    await connection.query('set foreign_key_checks = 0');
    for await (const part of partsOf(file)) {
      if ('head' in part) {
        ({ head } = part);
        await applyMigrations(database, { upTo: head.tables });
      } else if ('table' in part) await filling.begin(part);
      else if ('row' in part) await filling.add(part.row);
      else ({ end } = part);
    }
    await filling.flush();
    await connection.query('set foreign_key_checks = 1');
    await applyMigrations(database);
    // The reader lets nothing through without both.
    await checkWhole(connection, head!);
    return work({ head: head!, end: end!, name, scratch: database });
  });
}

/** Writes rows table by table, many at once. */
class Filling {
  private table = '';
  private rows: Row[] = [];
  private characters = 0;

  constructor(private readonly connection: PoolConnection) {}

  async begin({ table, columns }: { table: string; columns: string[] }): Promise<void> {
    await this.flush();
    this.table = `${escapeId(table)} (${columns.map((column) => escapeId(column)).join(', ')})`;
  }

  async add(row: Row): Promise<void> {
    this.rows.push(row);
    for (const cell of row) this.characters += cell?.length ?? 0;
    if (this.rows.length >= MOST_ROWS || this.characters >= MOST_CHARACTERS) await this.flush();
  }

  async flush(): Promise<void> {
    if (this.rows.length === 0) return;
    try {
      await this.connection.query(`insert into ${this.table} values ?`, [this.rows]);
    } catch (error) {
      throw misfit(error);
    }
    this.rows = [];
    this.characters = 0;
  }
}

/** What rows that do not fit the tables are told as; the database being away, or full, stays what it is. */
function misfit(error: unknown): unknown {
  const known = databaseError(error);
  if (!known || isAway(known.code) || isFull(known.code, known.message)) return error;
  return new BackupRefusal('misfit', { cause: error });
}

/** A backup holds one studio, nothing of another, and nothing that hangs on what is not there. */
async function checkWhole(connection: PoolConnection, { studio }: Head): Promise<void> {
  const strange = async ({ name, of }: KeptTable) => {
    const [[row]] = await connection.query<RowDataPacket[]>(
      `select count(*) as count from ${escapeId(name)} where ${escapeId(of)} <> ?`,
      [studio.id],
    );
    return Number(row!['count']) > 0;
  };
  for (const table of [STUDIO, ...STUDIO_TABLES]) if (await strange(table)) throw new BackupRefusal('misfit');
  await checkAllRows(connection).catch((cause: unknown) => {
    throw new BackupRefusal('misfit', { cause });
  });
}

/** The ids that a query finds. */
type Ids = (query: string, values?: QueryValues) => Promise<string[]>;
/** Copies rows of a table from the scratch database. */
type Copy = (table: KeptTable, which?: string, values?: QueryValues) => Promise<void>;

async function takeOver(
  connection: PoolConnection,
  { head: { studio, revision, signIn }, from, replace }: { head: Head; from: string; replace: boolean },
): Promise<Pick<Restored, 'replaced' | 'leftOut'>> {
  const ids: Ids = async (query, values = []) => {
    const [rows] = await connection.query<RowDataPacket[]>(query, values);
    return rows.map(({ id }) => String(id));
  };
  const [there] = await ids('select id from studios where id = ? for update', [studio.id]);
  if (there && !replace) throw new BackupRefusal('there');
  if (!there) await makeRoom(connection, ids);
  const [[counted]] = await connection.query<RowDataPacket[]>('select revision from studios where id = ?', [studio.id]);
  const crew = there ? await ids('select id from members where studio_id = ?', [studio.id]) : [];
  const staying = crew.length > 0 ? [MEMBERS.name] : [];
  if (there) await empty(connection, studio.id, staying);
  const copy: Copy = async (table, which = '', values = []) => {
    const columns = table.columns.map((column) => escapeId(column)).join(', ');
    const source = `select ${columns} from ${escapeId(from)}.${escapeId(table.name)} ${which}`;
    await connection.query(`insert into ${escapeId(table.name)} (${columns}) ${source}`, values);
  };
  const leftOut = crew.length > 0 ? [] : await takeAccounts({ connection, from, signIn, ids, copy });
  for (const table of [STUDIO, ...STUDIO_TABLES]) {
    if (staying.includes(table.name)) continue;
    await copy(table, table.name === MEMBERS.name ? 'where account_id in (select id from accounts)' : '');
  }
  // Who works there now may be somebody, or help at something, that was not there then.
  await connection.query(
    'update members set person_id = null where studio_id = ? and person_id not in (select id from people)',
    [studio.id],
  );
  await connection.query(
    'delete from members where studio_id = ? and event_id is not null and event_id not in (select id from events)',
    [studio.id],
  );
  const anew = Math.max(revision, Number(counted?.['revision'] ?? 0)) + JUMP;
  await connection.query('update studios set revision = ?, filled_from = ? where id = ?', [anew, anew, studio.id]);
  return { replaced: there !== undefined, leftOut };
}

/** Takes away the studio that a first start made and nobody used; refuses where one that nobody owns has records. */
async function makeRoom(connection: PoolConnection, ids: Ids): Promise<void> {
  const nobodys = 'select id from studios where id not in (select studio_id from members)';
  if ((await ids(`${nobodys} and (revision > 0 or demo = 1)`)).length > 0) throw new BackupRefusal('another');
  for (const id of await ids(nobodys)) await empty(connection, id, []);
}

async function empty(connection: PoolConnection, studioId: string, staying: readonly string[]): Promise<void> {
  for (const { name } of OWNED) {
    if (staying.includes(name)) continue;
    await connection.query(`delete from ${escapeId(name)} where studio_id = ?`, [studioId]);
  }
  await connection.query('delete from studios where id = ?', [studioId]);
}

/** Lets in whoever worked there: an account that is here stays as it is. Answers who stays out. */
async function takeAccounts({
  connection,
  from,
  signIn,
  ids,
  copy,
}: {
  connection: PoolConnection;
  from: string;
  signIn: boolean;
  ids: Ids;
  copy: Copy;
}): Promise<string[]> {
  const theirs = `${escapeId(from)}.accounts`;
  const fresh = await ids(
    `select id from ${theirs} as theirs where not exists (select 1 from accounts as own ` +
      'where own.id = theirs.id or own.email = theirs.email or own.username = theirs.username)',
  );
  if (fresh.length > 0) {
    await copy(ACCOUNTS, 'where id in (?)', [fresh]);
    if (signIn) for (const table of SIGN_IN) await copy(table, `where ${escapeId(table.of)} in (?)`, [fresh]);
  }
  const [out] = await connection.query<RowDataPacket[]>(
    `select name from ${theirs} where id not in (select id from accounts)`,
  );
  return out.map(({ name }) => String(name));
}

/** What the last line of a backup says, which is not kept otherwise. */
async function endOf(pieces: AsyncIterable<Buffer>): Promise<End> {
  let last: Buffer = Buffer.alloc(0);
  for await (const piece of pieces) last = piece;
  return (JSON.parse(last.toString()) as { end: End }).end;
}
