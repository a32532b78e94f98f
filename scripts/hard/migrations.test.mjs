import { fork } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import mysql from 'mysql2/promise';

import { startMariadb } from '../lib/mariadb.mjs';
import { SERVER } from '../lib/paths.mjs';
import { pause } from '../lib/processes.mjs';

const KILLS = 50;
/** Kills of one database before it is let through. */
const IN_A_ROW = 5;

let folder;
let database;
beforeAll(async () => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'leggero-kills-'));
  database = await startMariadb({ folder, name: 'leggero_test' });
});
afterAll(async () => {
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
});

const urlOf = (name) => database.url.replace(/[^/]+$/, name);

async function query(name, statement) {
  const connection = await mysql.createConnection({ uri: urlOf(name) });
  try {
    return (await connection.query(statement))[0];
  } finally {
    await connection.end();
  }
}

/** Tries until the database server answers again. */
async function patiently(work) {
  for (let tries = 0; ; tries += 1) {
    try {
      return await work();
    } catch (error) {
      if (tries === 100) throw error;
      await pause(100);
    }
  }
}

/** A server that sets up this database; `opened` answers whether it came to listen. */
function serverOn(name) {
  const child = fork(SERVER, [], {
    stdio: ['ignore', 'ignore', 'pipe', 'ipc'],
    env: { ...process.env, DATABASE_URL: urlOf(name), PORT: '0', LEGGERO_DEMO: '0', LOG_LEVEL: 'silent' },
  });
  let said = '';
  child.stderr.on('data', (chunk) => (said += chunk));
  const ended = new Promise((resolve) => child.once('exit', () => resolve(false)));
  const opened = Promise.race([ended, new Promise((resolve) => child.once('message', () => resolve(true)))]);
  return { child, ended, opened, said: () => said };
}

const isKey = (line) => line.startsWith('  KEY ');

/** How every table was made, its keys by name: one of a foreign key that was put back stands last. */
async function madeAs(name) {
  const tables = (await query(name, 'show tables')).map((row) => Object.values(row)[0]);
  const made = {};
  for (const table of tables) {
    const [row] = await query(name, `show create table ${table}`);
    const lines = row['Create Table']
      .replace(/ AUTO_INCREMENT=\d+/, '')
      .replace(/,$/gm, '')
      .split('\n');
    made[table] = [...lines.filter((line) => !isKey(line)), ...lines.filter(isKey).sort()].join('\n');
  }
  return made;
}

it(`a set-up goes on after ${KILLS} kills at random moments, of the server and of the database server`, async () => {
  await query('leggero_test', 'create database leggero_whole');
  const start = performance.now();
  const whole = serverOn('leggero_whole');
  expect([await whole.opened, whole.said()]).toEqual([true, '']);
  const lasts = performance.now() - start;
  whole.child.kill('SIGTERM');
  await whole.ended;
  const wanted = await madeAs('leggero_whole');

  const seen = { server: 0, database: 0, tables: new Set() };
  for (let kill = 0; kill < KILLS; kill += 1) {
    const name = `leggero_killed_${Math.floor(kill / IN_A_ROW)}`;
    if (kill % IN_A_ROW === 0) await patiently(() => query('leggero_test', `create database ${name}`));
    const { child, ended, said } = serverOn(name);
    await pause(Math.random() * lasts);
    if (kill % 3 === 2) {
      process.kill(database.pid, 'SIGKILL');
      seen.database += 1;
      database = await startMariadb({ folder, name: 'leggero_test', port: database.port });
    } else {
      child.kill('SIGKILL');
      seen.server += 1;
    }
    // One whose database has died ends by itself, or comes through once that is back.
    setTimeout(() => child.kill('SIGKILL'), 3000).unref();
    await ended;
    expect(said()).not.toMatch(/already exists|Duplicate/);
    seen.tables.add((await patiently(() => query(name, 'show tables'))).length);
    if (kill % IN_A_ROW < IN_A_ROW - 1) continue;
    const last = serverOn(name);
    expect([await last.opened, last.said()]).toEqual([true, '']);
    last.child.kill('SIGTERM');
    await last.ended;
    expect(await madeAs(name)).toEqual(wanted);
    expect(await query(name, 'select count(*) as studios from studios')).toEqual([{ studios: 1 }]);
  }
  expect(seen.server + seen.database).toBe(KILLS);
  // The kills came at different moments: some before the first table, some between, some after the last.
  expect(seen.tables.size).toBeGreaterThan(3);
});
