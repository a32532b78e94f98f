import { accessSync, constants, existsSync, mkdirSync } from 'node:fs';

import { Refusal } from './refusal.mjs';

/** Makes a folder that this user alone may look into, unless it is there; refuses where it cannot be written to. */
export function ensureFolder(folder) {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    ensureWritable(folder);
  } catch (error) {
    if (error.code !== 'EEXIST' && error.code !== 'ENOTDIR') throw error instanceof Refusal ? error : noRight(folder);
    throw new Refusal(`${folder} should be a folder for the records but is a file: move it away and try again.`);
  }
}

/** Refuses a folder that is there and that this user may not write to. */
export function ensureWritable(folder) {
  if (!existsSync(folder)) return;
  try {
    accessSync(folder, constants.R_OK | constants.W_OK | constants.X_OK);
  } catch {
    throw noRight(folder);
  }
}

function noRight(folder) {
  return new Refusal(`This user has no right to write in ${folder}: change its owner or its rights and try again.`);
}
