import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

import { inTurn } from './owner.mjs';
import { ROOT, TURNS } from './paths.mjs';
import { runCommand } from './processes.mjs';
import { Refusal, say } from './refusal.mjs';

const STAMP = path.join(ROOT, 'node_modules/.leggero-installed');
const OLDEST_NODE = [20, 19];

/** Installs the npm packages of the lockfile unless they are there. Needs nothing but Node.js and npm. */
export async function ensurePackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor < OLDEST_NODE[1])) {
    throw new Refusal(`Leggero needs Node.js ${OLDEST_NODE.join('.')} or newer; this is ${process.versions.node}.`);
  }
  const wanted = createHash('sha256')
    .update(readFileSync(path.join(ROOT, 'package-lock.json')))
    .digest('hex');
  const there = () => existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted;
  if (there()) return;
  await inTurn(
    path.join(TURNS, 'packages.pid'),
    () => (there() ? undefined : install(wanted)),
    () => say('Waiting for another start, which installs the npm packages…'),
  );
}

async function install(wanted) {
  say('Installing npm packages (a minute or two the first time)…');
  const { code, output } = await runCommand('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    quiet: true,
  });
  if (code !== 0)
    throw new Refusal(`npm could not install the packages: ${output.trim().split('\n').slice(-3).join(' ')}`);
  writeFileSync(STAMP, wanted);
}
