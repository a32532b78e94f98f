import path from 'node:path';

import { startMariadb } from './mariadb.mjs';
import { own } from './owner.mjs';
import { ensurePackages } from './packages.mjs';
import { STATE } from './paths.mjs';
import { Refusal } from './refusal.mjs';

/**
 * Does something to the records of a studio while Leggero does not run: for whoever has them on their machine anyway.
 * Takes the name of somebody, and `--demo` for the demo, from the command line; `asks` is said where no name is given.
 */
export async function offHours(asks, work) {
  const words = process.argv.slice(2);
  const kind = words.includes('--demo') ? 'demo' : 'studio';
  const [name] = words.filter((word) => word !== '--demo');
  if (!name) throw new Refusal(asks);
  const folder = path.join(STATE, kind);
  const giveBack = await own(folder);
  try {
    await ensurePackages();
    const database = await startMariadb({ folder, name: `leggero_${kind}` });
    try {
      await work({ name, url: database.url, folder });
    } finally {
      await database.stop();
    }
  } finally {
    giveBack();
  }
}
