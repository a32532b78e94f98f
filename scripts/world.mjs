import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';

import { startMariadb } from './lib/mariadb.mjs';
import { STATE } from './lib/paths.mjs';
import { startService } from './lib/service.mjs';
import { ensureWeb } from './lib/web.mjs';

/**
 * A whole Leggero of its own for a test or a screenshot run, ended with its parent. Started as a child process with
 * `demo` or `empty`; tells its parent `{ url, databaseUrl }`, and obeys `stop-database`, `start-database`,
 * `restart-service`.
 */
const demo = process.argv[2] === 'demo';
mkdirSync(STATE, { recursive: true });
const folder = mkdtempSync(path.join(STATE, 'world-'));
process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
const webFolder = await ensureWeb();
const name = demo ? 'leggero_demo' : 'leggero_studio';

let database = await startMariadb({ folder, name });
let service = await startService({ url: database.url, port: 0, demo, webFolder, logLevel: 'silent' });
const port = service.port;

const commands = {
  async 'stop-database'() {
    await database.stop();
  },
  async 'start-database'() {
    database = await startMariadb({ folder, name, port: database.port });
  },
  async 'restart-service'() {
    await service.stop();
    service = await startService({ url: database.url, port, demo, webFolder, logLevel: 'silent' });
  },
};

async function end() {
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
process.send({ url: `http://127.0.0.1:${port}`, databaseUrl: database.url });
