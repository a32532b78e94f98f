import path from 'node:path';

import { startMariadb } from './mariadb.mjs';
import { own } from './owner.mjs';
import { ensurePackages } from './packages.mjs';
import { STATE } from './paths.mjs';
import { isFree } from './processes.mjs';
import { Refusal, say } from './refusal.mjs';
import { secretIn } from './secret.mjs';
import { startService } from './service.mjs';
import { ensureWeb } from './web.mjs';

const DEFAULT_PORT = 8787;

/** The port asked for; refuses what is none. */
export function wantedPort(text = process.env.PORT) {
  if (text === undefined || text === '') return DEFAULT_PORT;
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535) {
    throw new Refusal(`PORT is "${text}": give a number from 1 to 65535, such as PORT=${DEFAULT_PORT}.`);
  }
  return port;
}

/**
 * Runs Leggero until Ctrl-C: database, server, app. `name` is the state folder and the database; `url` names an
 * existing server instead.
 */
export async function serve({ name, demo, url: existing }) {
  const port = wantedPort();
  if (!(await isFree(port))) {
    throw new Refusal(`Port ${port} is in use: stop what runs there, or choose another, such as PORT=${port + 1}.`);
  }
  const folder = path.join(STATE, name);
  const giveBack = existing ? () => {} : await own(folder);
  const stops = [];
  const onStop = (stop) => stops.push(stop);
  let ending = null;
  const end = (code) => {
    ending ??= (async () => {
      for (const stop of stops.reverse()) await stop();
      giveBack();
      process.exit(code);
    })();
    return ending;
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => {
      if (!ending) say('\nStopping…');
      void end(0);
    });
  }
  try {
    await ensurePackages();
    const built = ensureWeb();
    // Its failure is told below, not as a promise that nobody awaits.
    built.catch(() => {});
    let url = existing;
    if (!url) {
      ({ url } = await startMariadb({ folder, name: `leggero_${name}`, notPort: port, kept: true, onStop }));
    }
    const dumps = path.join(folder, 'dumps');
    const backups = path.join(folder, 'backups');
    const place = {
      dumps,
      backups,
      tls: path.join(folder, 'tls'),
      ...(existing ? {} : { data: path.join(folder, 'data') }),
    };
    const secret = secretIn(folder);
    const service = await startService({ url, port, demo, webFolder: await built, ...place, secret, onStop });
    say(`Leggero is open at ${service.at}  (Ctrl-C stops it)`);
    if (service.others.length > 0) say(`From other devices of this network: ${service.others.join(', ')}`);
    const code = await service.ended;
    if (!ending) {
      process.stderr.write('The server ended by itself.\n');
      await end(code || 1);
    }
  } catch (error) {
    if (!(error instanceof Refusal) && !ending) throw error;
    // What is stopped as it starts has nothing to complain of.
    if (!ending) process.stderr.write(`${error.message}\n`);
    await end(1);
  }
}
