import { createHash } from 'node:crypto';

import { escapeId } from 'mysql2';
import type { PoolConnection, RowDataPacket } from 'mysql2/promise';

import { newestMigration } from '../db/migrate';
import type { Database } from '../db/connect';
import { asOfOneMoment, cellsOf } from '../db/stream';
import { FORM, type End, type Head } from './form';
import { ACCOUNTS, SIGN_IN, STUDIO, STUDIO_TABLES, type KeptTable } from './tables';

/** Characters written at once: few enough to lie in memory, many enough to be worth a step. */
const PIECE = 1 << 16;

/** What opens a person's own pages: kept to where what they sign in by is. */
const PIN = 'pin_hash';

interface BackupOptions {
  studioId: string;
  /** Whether what people sign in by goes along: only where the file stays with whoever keeps the machine. */
  signIn: boolean;
  now: Date;
}

/**
 * Everything of a studio, as of one moment, in the form that docs/formats.md tells, before it is compressed: piece by
 * piece, so that a grown studio never lies in memory whole.
 */
export function backup(database: Database, options: BackupOptions): AsyncGenerator<Buffer> {
  return asOfOneMoment(database, (connection) => linesOf(connection, options));
}

async function* linesOf(connection: PoolConnection, { studioId, signIn, now }: BackupOptions): AsyncGenerator<Buffer> {
  const whole = createHash('sha256');
  const told = (bytes: Buffer) => {
    whole.update(bytes);
    return bytes;
  };
  const [[studio]] = await connection.query<RowDataPacket[]>('select name, revision from studios where id = ?', [
    studioId,
  ]);
  if (!studio) throw new Error(`There is no studio ${studioId}.`);
  const head: Head = {
    ...{ leggero: 'backup', form: FORM, madeAt: now.toISOString() },
    studio: { id: studioId, name: String(studio['name']) },
    revision: Number(studio['revision']),
    tables: newestMigration(),
    signIn,
  };
  yield told(line(head));
  const tables: End['tables'] = {};
  for (const { table, which } of tablesOf(signIn)) {
    yield told(line({ table: table.name, columns: table.columns }));
    const own = createHash('sha256');
    let rows = 0;
    for await (const { bytes, count } of rowsOf(connection, { table, which, studioId, signIn })) {
      own.update(bytes);
      rows += count;
      yield told(bytes);
    }
    tables[table.name] = { rows, sha256: own.digest('hex') };
  }
  yield line({ end: { tables, sha256: whole.digest('hex') } satisfies End });
}

const line = (said: object): Buffer => Buffer.from(`${JSON.stringify(said)}\n`);

/** Each table with the condition that its rows are the studio's: one mark in it, for the studio's id. */
function tablesOf(signIn: boolean): { table: KeptTable; which: string }[] {
  const theirs = 'in (select account_id from members where studio_id = ?)';
  const people = [ACCOUNTS, ...(signIn ? SIGN_IN : [])];
  return [
    ...people.map((table) => ({ table, which: `${escapeId(table.of)} ${theirs}` })),
    ...[STUDIO, ...STUDIO_TABLES].map((table) => ({ table, which: `${escapeId(table.of)} = ?` })),
  ];
}

/** Rows of a table as lines, some at once, in the order of their key. */
async function* rowsOf(
  connection: PoolConnection,
  { table, which, studioId, signIn }: { table: KeptTable; which: string; studioId: string; signIn: boolean },
): AsyncGenerator<{ bytes: Buffer; count: number }> {
  const shown = table.columns.map((name) => (signIn || name !== PIN ? escapeId(name) : `null as ${escapeId(name)}`));
  const key = table.key.map((name) => escapeId(name)).join(', ');
  const query = `select ${shown.join(', ')} from ${escapeId(table.name)} where ${which} order by ${key}`;
  let [text, count] = ['', 0];
  for await (const cells of cellsOf(connection, query, [studioId])) {
    text += `${JSON.stringify(cells)}\n`;
    count += 1;
    if (text.length < PIECE) continue;
    yield { bytes: Buffer.from(text), count };
    [text, count] = ['', 0];
  }
  if (count > 0) yield { bytes: Buffer.from(text), count };
}
