import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

import { ensureFolder } from './folder.mjs';
import { commandLineOf, isAlive } from './processes.mjs';
import { Refusal } from './refusal.mjs';

/**
 * Takes a state folder for this process, so that two starts do not share one; answers a function that gives it back.
 */
export function own(folder) {
  const file = path.join(folder, 'owner.pid');
  if (existsSync(file)) {
    const pid = Number(readFileSync(file, 'utf8'));
    if (pid !== process.pid && pid > 1 && isAlive(pid) && commandLineOf(pid).includes('scripts/')) {
      throw new Refusal(
        `Leggero already runs from this folder (process ${pid}): stop it with Ctrl-C in its terminal first.`,
      );
    }
  }
  ensureFolder(folder);
  writeFileSync(file, String(process.pid));
  return () => rmSync(file, { force: true });
}
