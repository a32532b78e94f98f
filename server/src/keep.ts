import path from 'node:path';

import { fileName, writeFile } from './backup/file';
import { BackupRefusal } from './backup/refusal';
import { restore, tryOut } from './backup/restore';
import { backup } from './backup/write';
import { connect, databaseError, isAway } from './db/connect';
import { studios } from './db/tables';

/** What is said to whoever keeps the records on their machine; the last line is JSON, for the script that asked. */
type Told = object;

const { DATABASE_URL = '' } = process.env;

/** Makes a backup of every studio in a folder. */
async function backUp(folder: string): Promise<Told> {
  const database = connect({ url: DATABASE_URL });
  try {
    const made = [];
    for (const studio of await database.select({ id: studios.id, name: studios.name }).from(studios)) {
      const now = new Date();
      const pieces = backup(database, { studioId: studio.id, signIn: true, now });
      const name = fileName({ studio, madeAt: now.toISOString() });
      made.push({ studio: studio.name, file: await writeFile(path.resolve(folder), pieces, () => name) });
    }
    return { made };
  } finally {
    await database.$client.end();
  }
}

const WORK: Record<string, (path: string) => Promise<Told>> = {
  backup: backUp,
  try: (file) => tryOut({ url: DATABASE_URL, file }),
  restore: (file) => restore({ url: DATABASE_URL, file, replace: false }),
  replace: (file) => restore({ url: DATABASE_URL, file, replace: true }),
};

async function main(): Promise<void> {
  const [, , what = '', where = ''] = process.argv;
  try {
    process.stdout.write(`${JSON.stringify(await WORK[what]!(where))}\n`);
  } catch (error) {
    const known = databaseError(error);
    if (error instanceof BackupRefusal) process.stderr.write(`${error.message}\n`);
    else if (known?.code === 'ENOENT' || known?.code === 'EACCES' || known?.code === 'EISDIR')
      process.stderr.write(`${where} cannot be read or written (${known.code}).\n`);
    else if (known && isAway(known.code)) process.stderr.write(`The database cannot be reached (${known.code}).\n`);
    else throw error;
    process.exitCode = 1;
  }
}

await main();
