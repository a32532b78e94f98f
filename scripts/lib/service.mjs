import { fork } from 'node:child_process';

import { ROOT } from './paths.mjs';
import { Refusal } from './refusal.mjs';
import { ensureServer } from './server.mjs';

/** Starts the server process; answers its port, a promise of its end, and `stop`. */
export async function startService({ url, port, demo = false, webFolder, logLevel = 'warn' }) {
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
    },
  });
  child.stderr.on('data', (chunk) => {
    // Until it listens, what it says becomes the one sentence of a refusal.
    if (open) process.stderr.write(chunk);
    else said = `${said}${chunk}`.slice(-4000);
  });
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)));
  const listening = new Promise((resolve) => child.on('message', (message) => resolve(message.listening)));
  const first = await Promise.race([listening, ended.then(() => null)]);
  if (first === null) throw new Refusal(said.trim().split('\n')[0] || 'The server ended as it started.');
  open = true;
  return {
    port: first,
    ended,
    async stop() {
      if (child.exitCode === null) child.kill('SIGTERM');
      await ended;
    },
  };
}
