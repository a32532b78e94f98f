import { fork } from 'node:child_process';

import { ROOT } from './paths.mjs';
import { Refusal, say } from './refusal.mjs';
import { ensureServer } from './server.mjs';

/**
 * Starts the server process; answers its number, port and address, a promise of its end, and `stop`, of which `onStop` is told
 * as soon as there is anything to end. Before it changes the tables of a database it leaves a dump of it in `dumps`;
 * each night it leaves backups in `backups`; `data` is the folder of the records, where they are on this machine, `tls`
 * that of a certificate of its own; `secret` signs who is signed in.
 */
export async function startService({
  url,
  port,
  demo = false,
  webFolder,
  dumps,
  backups,
  data,
  tls,
  secret,
  logLevel = 'warn',
  onStop = () => {},
}) {
  let said = '';
  let open = false;
  const child = fork(await ensureServer(), [], {
    cwd: ROOT,
    execArgv: ['--enable-source-maps'],
    detached: true,
    stdio: ['ignore', 'inherit', 'pipe', 'ipc'],
    env: {
      ...process.env,
      DATABASE_URL: url,
      PORT: String(port),
      LEGGERO_DEMO: demo ? '1' : '0',
      LOG_LEVEL: process.env.LOG_LEVEL ?? logLevel,
      NODE_ENV: process.env.NODE_ENV ?? 'production',
      ...(webFolder ? { WEB_FOLDER: webFolder } : {}),
      ...(dumps ? { LEGGERO_DUMPS: dumps } : {}),
      ...(backups && process.env.LEGGERO_BACKUPS === undefined ? { LEGGERO_BACKUPS: backups } : {}),
      ...(data ? { LEGGERO_DATA: data } : {}),
      ...(tls ? { LEGGERO_TLS_FOLDER: tls } : {}),
      ...(secret && !process.env.LEGGERO_SECRET ? { LEGGERO_SECRET: secret } : {}),
    },
  });
  child.stderr.on('data', (chunk) => {
    // Until it listens, what it says becomes the one sentence of a refusal.
    if (open) process.stderr.write(chunk);
    else said = `${said}${chunk}`.slice(-4000);
  });
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)));
  const stop = async () => {
    if (child.exitCode === null) child.kill('SIGTERM');
    await ended;
  };
  onStop(stop);
  const listening = new Promise((resolve) => {
    child.on('message', (message) => {
      if ('said' in message) say(message.said);
      else resolve(message);
    });
  });
  const first = await Promise.race([listening, ended.then(() => null)]);
  if (first === null) throw new Refusal(said.trim().split('\n')[0] || 'The server ended as it started.');
  open = true;
  return { pid: child.pid, port: first.listening, at: first.at, others: first.others, ended, stop };
}
