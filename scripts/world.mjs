import { randomUUID } from 'node:crypto';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';

import { launchChromium } from './lib/chromium.mjs';
import { keep } from './lib/keep.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { keepOffline } from './lib/offline.mjs';
import { STATE } from './lib/paths.mjs';
import { startService } from './lib/service.mjs';
import { ensureWeb } from './lib/web.mjs';

/**
 * A whole Leggero of its own for a test or a screenshot run, ended with its parent. Started as a child process with
 * `demo` or `empty`, and perhaps a packed dump of an earlier version's records, with which it begins; tells its parent
 * `{ url, databaseUrl, pid }`, and obeys the commands below. Its records are a database of their own on the server that
 * LEGGERO_TEST_DATABASE names; where none is named, or with `alone`, on a database server of its own, which alone can
 * be stopped. With `browser` it tells where a Chromium of its own listens, too.
 */
const [kind, ...how] = process.argv.slice(2);
const demo = kind === 'demo';
const shared = how.includes('alone') ? undefined : process.env.LEGGERO_TEST_DATABASE;
const browser = how.includes('browser') ? await launchChromium() : null;
const dump = how.find((word) => word.endsWith('.sql.gz'));
const name = demo ? 'leggero_demo' : 'leggero_studio';
let webFolder = await ensureWeb();

let database = shared ? await databaseOn(shared) : await ownDatabase();
if (dump) await carryOut(database.url, gunzipSync(readFileSync(dump)).toString());
let service = await startService({ url: database.url, port: 0, demo, webFolder, logLevel: 'silent' });
const port = service.port;

/** A new database on a server that others use too. */
async function databaseOn(url) {
  const fresh = `leggero_${randomUUID().replaceAll('-', '')}`;
  await carryOut(url, `create database ${fresh}`);
  return { url: url.replace(/[^/]+$/, fresh), stop: () => carryOut(url, `drop database ${fresh}`) };
}

async function carryOut(url, statements) {
  const { createConnection } = await import('mysql2/promise');
  const connection = await createConnection({ uri: url, multipleStatements: true });
  await connection.query(statements);
  await connection.end();
}

/** A folder that goes with this process. */
function passingFolder(name) {
  mkdirSync(STATE, { recursive: true });
  const folder = mkdtempSync(path.join(STATE, `${name}-`));
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
  return folder;
}

async function ownDatabase() {
  const folder = passingFolder('world');
  const start = (more) => startMariadb({ folder, name, passing: true, ...more });
  return { ...(await start()), again: (on) => start({ port: on }) };
}

/** The same app as a version after it: its document says so. */
async function nextVersion(folder) {
  const next = passingFolder('version');
  cpSync(folder, next, { recursive: true });
  const index = path.join(next, 'index.html');
  writeFileSync(index, readFileSync(index, 'utf8').replace('</head>', '<meta name="version" content="next"></head>'));
  await keepOffline(next);
  return next;
}

const commands = {
  async 'stop-database'() {
    await database.stop();
  },
  async 'start-database'() {
    const { again } = database;
    database = { ...(await again(database.port)), again };
  },
  async 'restart-service'() {
    await commands['stop-service']();
    await commands['start-service']();
  },
  async 'stop-service'() {
    await service.stop();
  },
  async 'start-service'() {
    service = await startService({ url: database.url, port, demo, webFolder, logLevel: 'silent' });
  },
  /** Goes on with what a backup of its records brought into a database that was empty. */
  async 'restore-elsewhere'() {
    const { made } = await keep(database.url, 'backup', passingFolder('backup'));
    await commands['stop-service']();
    const before = database;
    const fresh = await databaseOn(before.url);
    database = { ...fresh, stop: () => fresh.stop().then(() => before.stop()) };
    await keep(database.url, 'restore', made[0].file);
    await commands['start-service']();
  },
  async 'new-version'() {
    webFolder = await nextVersion(webFolder);
    await commands['restart-service']();
  },
};

async function end() {
  await browser?.close();
  await service.stop();
  await database.stop();
  process.exit(0);
}

let queue = Promise.resolve();
process.on('message', ({ command, id }) => {
  queue = queue.then(async () => {
    await commands[command]();
    process.send({ done: id });
  });
});
process.once('disconnect', end);
process.once('SIGTERM', end);
process.on('SIGINT', () => {});
process.send({
  url: `http://127.0.0.1:${port}`,
  databaseUrl: database.url,
  pid: service.pid,
  browser: browser?.wsEndpoint(),
});
