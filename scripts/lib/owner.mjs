import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

import { commandLineOf, isAlive } from './processes.mjs';
import { Refusal } from './refusal.mjs';

/** Takes a state folder for this process, so that two starts do not share one; answers a function that gives it back. */
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
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    writeFileSync(file, String(process.pid));
  } catch (error) {
    if (error.code === 'EEXIST' || error.code === 'ENOTDIR') {
      throw new Refusal(
        `${folder} should be a folder for the records but is a file: move it away and try again.`,
      );
    }
    throw new Refusal(
      `This user has no right to write in ${folder}: change its owner or its rights and try again.`,
    );
  }
  return () => rmSync(file, { force: true });
}
