import { spawn } from 'node:child_process';
import path from 'node:path';

import { startMariadb } from './lib/mariadb.mjs';
import { own } from './lib/owner.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { ROOT, STATE } from './lib/paths.mjs';
import { freePort, isFree } from './lib/processes.mjs';
import { Refusal, run, say } from './lib/refusal.mjs';
import { wantedPort } from './lib/serve.mjs';
import { startService } from './lib/service.mjs';
import { EXPO_CLI, EXPO_ENV } from './lib/web.mjs';

/** The demo with fast refresh: Metro in front, the API behind it on a port of its own. */
await run(async () => {
  const port = wantedPort();
  if (!(await isFree(port)))
    throw new Refusal(`Port ${port} is in use: stop what runs there, or choose another, such as PORT=${port + 1}.`);
  const folder = path.join(STATE, 'demo');
  const giveBack = await own(folder);
  await ensurePackages();
  const database = await startMariadb({ folder, name: 'leggero_demo' });
  const service = await startService({ url: database.url, port: await freePort(), demo: true });
  const { CI: _, ...env } = EXPO_ENV;
  const metro = spawn(process.execPath, [EXPO_CLI, 'start', '--web', '--port', String(port), '--localhost'], {
    cwd: path.join(ROOT, 'app'),
    env: { ...process.env, ...env, BROWSER: 'none', LEGGERO_API_PORT: String(service.port) },
    stdio: 'inherit',
  });
  const end = async () => {
    metro.kill('SIGTERM');
    await service.stop();
    await database.stop();
    giveBack();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => void end());
  metro.once('exit', () => void end());
  say(`Development server: http://localhost:${port}`);
});
