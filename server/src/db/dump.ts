import { createWriteStream } from 'node:fs';
import { mkdir, open, rename } from 'node:fs/promises';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { escape, escapeId } from 'mysql2';
import type { PoolConnection, RowDataPacket } from 'mysql2/promise';

import { cellsOf } from './stream';

/** Rows in one statement. */
const BATCH = 500;

/**
 * Writes every table and row of a database as SQL statements into `folder`, as they are at one moment. Answers the
 * file, which any client carries out (`mariadb leggero_studio < file`). Half a dump never bears the name of a whole one.
 */
export async function dumpTo(connection: PoolConnection, folder: string, now = new Date()): Promise<string> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const file = path.join(folder, `before-upgrade-${now.toISOString().slice(0, 19).replaceAll(':', '.')}.sql`);
  const part = `${file}.part`;
  await connection.query('start transaction with consistent snapshot');
  try {
    await pipeline(Readable.from(statements(connection)), createWriteStream(part, { mode: 0o600 }));
  } finally {
    await connection.rollback();
  }
  const written = await open(part, 'r+');
  await written.sync();
  await written.close();
  await rename(part, file);
  return file;
}

async function* statements(connection: PoolConnection): AsyncGenerator<string> {
  yield 'set names utf8mb4;\nset foreign_key_checks = 0;\n';
  const [tables] = await connection.query<RowDataPacket[]>("show full tables where table_type = 'BASE TABLE'");
  for (const row of tables) {
    const table = String(Object.values(row)[0]);
    const [[made]] = await connection.query<RowDataPacket[]>(`show create table ${escapeId(table)}`);
    yield `\ndrop table if exists ${escapeId(table)};\n${String(made!['Create Table'])};\n`;
    yield* rowsOf(connection, table);
  }
  yield 'set foreign_key_checks = 1;\n';
}

async function* rowsOf(connection: PoolConnection, table: string): AsyncGenerator<string> {
  let batch: string[] = [];
  const flush = () => `insert into ${escapeId(table)} values\n${batch.join(',\n')};\n`;
  for await (const cells of cellsOf(connection, `select * from ${escapeId(table)}`)) {
    batch.push(`(${cells.map((cell) => escape(cell)).join(', ')})`);
    if (batch.length < BATCH) continue;
    yield flush();
    batch = [];
  }
  if (batch.length > 0) yield flush();
}
