import { randomBytes } from 'node:crypto';

import { escapeId } from 'mysql2';
import type { PoolConnection, RowDataPacket } from 'mysql2/promise';

import { connect, databaseError, type Database } from '../db/connect';
import { BackupRefusal } from './refusal';

/** What a database is called that is there for a restore alone. */
const PREFIX = 'leggero_restore_';
/** One that is older was left by a restore that died. */
const LEFT_HOURS = 24;

interface Scratch {
  name: string;
  database: Database;
  connection: PoolConnection;
}

/** Does some work with an empty database beside the one of `url`, on the same server, and drops it whatever comes. */
export async function inScratch<T>(url: string, work: (scratch: Scratch) => Promise<T>): Promise<T> {
  const beside = connect({ url });
  const name = `${PREFIX}${randomBytes(8).toString('hex')}`;
  try {
    await dropLeft(beside);
    await beside.$client.query(`create database ${escapeId(name)} character set utf8mb4 collate utf8mb4_unicode_ci`);
  } catch (error) {
    await beside.$client.end();
    const code = databaseError(error)?.code ?? '';
    throw /ACCESS_?DENIED/.test(code) ? new BackupRefusal('noScratch', { cause: error }) : error;
  }
  const database = connect({ url: at(url, name) });
  try {
    const connection = await database.$client.getConnection();
    try {
      return await work({ name, database, connection });
    } finally {
      connection.destroy();
    }
  } finally {
    await database.$client.end();
    await beside.$client.query(`drop database ${escapeId(name)}`);
    await beside.$client.end();
  }
}

/** The address of another database of the same server. */
function at(url: string, name: string): string {
  const other = new URL(url);
  other.pathname = `/${name}`;
  return other.href;
}

async function dropLeft({ $client }: Database): Promise<void> {
  const [left] = await $client.query<RowDataPacket[]>(
    'select table_schema as name from information_schema.tables where table_schema like ? ' +
      'group by table_schema having min(create_time) < now() - interval ? hour',
    [`${PREFIX.replaceAll('_', '\\_')}%`, LEFT_HOURS],
  );
  for (const { name } of left) await $client.query(`drop database if exists ${escapeId(String(name))}`);
}
