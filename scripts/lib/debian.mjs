import { accessSync, constants } from 'node:fs';

import { runCommand } from './processes.mjs';
import { Refusal, say } from './refusal.mjs';

/** The first of these files that can be executed, or null. */
export function findProgram(candidates) {
  for (const file of candidates) {
    try {
      accessSync(file, constants.X_OK);
      return file;
    } catch {
      continue;
    }
  }
  return null;
}

/** The usual folders of programs; an ordinary user's PATH often lacks the sbin ones. */
export function placesOf(name) {
  const folders = [
    ...(process.env.PATH ?? '').split(':'),
    '/usr/local/bin',
    '/usr/bin',
    '/usr/sbin',
    '/usr/local/sbin',
  ];
  return [...new Set(folders.filter(Boolean))].map((folder) => `${folder}/${name}`);
}

/**
 * Finds a program, installing the Debian packages that bring it where that is allowed; else says which command to
 * run.
 */
export async function ensureProgram({ names, debianPackages, title }) {
  const candidates = names.flatMap(placesOf);
  const found = findProgram(candidates);
  if (found) return found;
  const byHand = `run "sudo apt-get install ${debianPackages.join(' ')}" (or your system's like), then try again`;
  if (!findProgram(placesOf('apt-get'))) throw new Refusal(`${title} is not installed: ${byHand}.`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  if (sudo.length > 0) {
    const may = findProgram(placesOf('sudo')) && (await runCommand('sudo', ['-n', 'true'], { quiet: true })).code === 0;
    if (!may) throw new Refusal(`${title} is not installed, and this user may not install it: ${byHand}.`);
  }
  say(`Installing ${title} (${debianPackages.join(', ')}) from Debian's packages…`);
  const apt = async (...args) => {
    const [command, ...rest] = [...sudo, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', '-q', ...args];
    return runCommand(command, rest, { quiet: true });
  };
  await apt('update');
  const { code, output } = await apt('install', '-y', '--no-install-recommends', ...debianPackages);
  const installed = findProgram(candidates);
  if (code === 0 && installed) return installed;
  throw new Refusal(`${title} could not be installed (${output.trim().split('\n').at(-1)}): ${byHand}.`);
}
