import { execFile, spawn } from 'node:child_process';
import { randomBytes, randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';

import mysql from 'mysql2/promise';

import { writeFile } from '../server/src/backup/file';
import { backup } from '../server/src/backup/write';
import { connect } from '../server/src/db/connect';
import type { Bench } from './bench';
import { median, timedAsync } from './figure';
import { grow } from './grown';

/** A studio of some years, with the photos of its sites. */
const SIZE = { models: 300, readings: 100_000, pieces: 500, checks: 5000 };
const PHOTOS = 1200;
const PHOTO_BYTES = 225_000;
const SMALL = { models: 5, readings: 100, pieces: 5, checks: 5 };

/**
 * A backup of a grown studio, against the database's own dump of the same records; and the most memory that the
 * command takes, against that for a quarter of its photos.
 */
export async function measureBackup(bench: Bench): Promise<void> {
  const { databaseUrl } = await bench.freshWorld();
  await grow(databaseUrl, bench.smoke ? SMALL : SIZE);
  const folder = mkdtempSync(path.join(tmpdir(), 'leggero-bench-'));
  const database = connect({ url: databaseUrl });
  const [own, theirs] = [path.join(folder, 'own.ndjson.gz'), path.join(folder, 'theirs.sql')];
  try {
    const studioId = await studioOf(databaseUrl);
    const backUp = () =>
      writeFile(folder, backup(database, { studioId, signIn: true, now: new Date() }), () => path.basename(own));
    const photos = bench.rounds(PHOTOS);
    await addPhotos(databaseUrl, photos / 4);
    const few = await memoryOf(databaseUrl, folder);
    await addPhotos(databaseUrl, (3 * photos) / 4);
    const all = await memoryOf(databaseUrl, folder);
    const took = { ours: [] as number[], theirs: [] as number[] };
    for (let i = 0; i < bench.rounds(5); i += 1) {
      took.ours.push(await timedAsync(backUp));
      took.theirs.push(await timedAsync(() => dump(databaseUrl, theirs)));
    }
    const size = (file: string) => `${Math.round(statSync(file).size / 2 ** 20)} MB`;
    bench.report({
      what: `a backup of a grown studio, ${size(theirs)}, checked, and packed to ${size(own)}`,
      ours: median(took.ours),
      yardstick: "the database's own dump of the same records, not packed",
      theirs: median(took.theirs),
      unit: 'ms',
      most: 2,
    });
    bench.report({
      what: 'memory of the command that makes it, at most',
      ours: all,
      yardstick: 'with a quarter of the photos',
      theirs: few,
      unit: 'MB',
      most: 1.25,
    });
  } finally {
    await database.$client.end();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The most memory that the command of backups ever has, as the system counts it (VmHWM), MB. */
async function memoryOf(databaseUrl: string, folder: string): Promise<number> {
  const child = spawn(process.execPath, [process.env['LEGGERO_KEEP']!, 'backup', folder], {
    env: { ...process.env, DATABASE_URL: databaseUrl },
  });
  let most = 0;
  const watching = setInterval(() => {
    const [, kB] = /VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8')) ?? [];
    most = Math.max(most, Number(kB ?? 0));
  }, 20);
  const [code] = (await once(child, 'exit')) as [number];
  clearInterval(watching);
  if (code !== 0) throw new Error('the command of backups failed');
  return most / 1024;
}

async function studioOf(uri: string): Promise<string> {
  const connection = await mysql.createConnection({ uri });
  const [[studio]] = await connection.query<mysql.RowDataPacket[]>('select id from studios limit 1');
  await connection.end();
  return String(studio!['id']);
}

async function addPhotos(uri: string, count: number): Promise<void> {
  const connection = await mysql.createConnection({ uri });
  try {
    for (let i = 0; i < count; i += 1) {
      const picture = `data:image/jpeg;base64,${randomBytes(PHOTO_BYTES).toString('base64')}`;
      await connection.query(
        'insert into photos (id, studio_id, event_id, step_key, picture, at) ' +
          'select ?, studio_id, id, ?, ?, now() from events limit 1',
        [randomUUID(), `step ${i}`, picture],
      );
    }
  } finally {
    await connection.end();
  }
}

async function dump(uri: string, file: string): Promise<void> {
  const { hostname, port, username, password, pathname } = new URL(uri);
  const where = [`--host=${hostname}`, `--port=${port}`, `--user=${username}`, '--protocol=tcp'];
  const how = ['--single-transaction', '--no-tablespaces', `--result-file=${file}`];
  await promisify(execFile)(process.env['LEGGERO_DUMP'] ?? 'mariadb-dump', [...where, ...how, pathname.slice(1)], {
    env: { ...process.env, MYSQL_PWD: password },
  });
}
