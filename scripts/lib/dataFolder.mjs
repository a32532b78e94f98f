import { cpSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import { runCommand } from './processes.mjs';
import { Refusal, say } from './refusal.mjs';

/** A folder as it is after the set-up, which tests name so that each of their many databases is a copy of it. */
const BLANK = process.env.LEGGERO_BLANK;
/** What a set-up is made in, beside the data folder: nothing was ever stored there. */
const BEGUN = 'set-up-';

/**
 * Makes the data folder of a database server unless there is one. `data` is whole or absent: the set-up is made beside
 * it and renamed. `ready` is the mark of a folder that was in use. Records that were put here by hand are taken as they
 * are; whatever else lies in `data` is moved aside, never deleted. `programOf` answers the path of a MariaDB program.
 */
export async function ensureDataFolder({ data, ready, log, socket }, programOf) {
  clearBegun(data);
  if (!isEmpty(data)) {
    const whole = existsSync(path.join(data, 'mysql'));
    const used = existsSync(ready) || readdirSync(data).some((name) => name.startsWith('leggero_'));
    if (used && !whole) {
      throw new Refusal(
        `The data folder ${data} is damaged (its system tables are gone): put a copy of it in its place, or move it ` +
          'away to start anew.',
      );
    }
    if (!used) {
      const aside = moveAside(data);
      say(
        whole
          ? // An older version was interrupted while it set the folder up.
            `A set-up was interrupted: what there was of it was moved to ${aside}.`
          : `What lay in ${data} is no database: it was moved to ${aside}.`,
      );
    }
  }
  if (isEmpty(data)) await setUp({ data, log, socket }, programOf);
  writeFileSync(ready, '');
}

const isEmpty = (folder) => !existsSync(folder) || readdirSync(folder).length === 0;

/** Gives a folder another name beside its own, and answers it. */
function moveAside(folder) {
  const stamp = new Date().toISOString().slice(0, 19).replaceAll(':', '.');
  for (let more = 0; ; more += 1) {
    const aside = `${folder}-aside-${stamp}${more === 0 ? '' : `-${more}`}`;
    if (existsSync(aside)) continue;
    renameSync(folder, aside);
    return aside;
  }
}

/** Removes what interrupted set-ups began. */
function clearBegun(data) {
  const parent = path.dirname(data);
  for (const name of readdirSync(parent)) {
    if (name.startsWith(BEGUN)) rmSync(path.join(parent, name), { recursive: true, force: true });
  }
}

async function setUp({ data, log, socket }, programOf) {
  const begun = path.join(path.dirname(data), `${BEGUN}${process.pid}`);
  mkdirSync(begun, { mode: 0o700 });
  if (!copyBlank(begun)) {
    await install({ begun, log, socket }, programOf);
    keepBlank(begun);
  }
  // Takes the place of an empty folder, and fails where it is not.
  renameSync(begun, data);
}

async function install({ begun, log, socket }, programOf) {
  await programOf('my_print_defaults');
  const installer = await programOf('mariadb-install-db');
  const { code, output } = await runCommand(
    installer,
    [
      '--no-defaults',
      `--user=${os.userInfo().username}`,
      `--datadir=${begun}`,
      `--socket=${socket}`,
      '--auth-root-authentication-method=normal',
      '--skip-test-db',
      '--skip-name-resolve',
    ],
    { quiet: true },
  );
  writeFileSync(log, output);
  if (code !== 0) throw new Refusal(`MariaDB could not set up ${begun}; its log is ${log}.`);
}

/** Fills a folder from the blank one; false where there is none that may be read. */
function copyBlank(folder) {
  if (!BLANK || !existsSync(BLANK)) return false;
  try {
    cpSync(BLANK, folder, { recursive: true });
    return true;
  } catch (error) {
    if (error.code !== 'EACCES') throw error;
    return false;
  }
}

/**
 * Puts a copy of the set-up in the blank folder's place, whole, so that another test never copies half of it. A user who
 * may not write there goes without.
 */
function keepBlank(folder) {
  if (!BLANK || existsSync(BLANK)) return;
  const own = `${BLANK}.${process.pid}`;
  try {
    mkdirSync(path.dirname(BLANK), { recursive: true });
    cpSync(folder, own, { recursive: true });
  } catch (error) {
    if (error.code !== 'EACCES') throw error;
    return;
  }
  try {
    renameSync(own, BLANK);
  } catch {
    // Another one was first.
    rmSync(own, { recursive: true, force: true });
  }
}
