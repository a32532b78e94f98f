import path from 'node:path';

import { runningMariadb, startMariadb } from './mariadb.mjs';
import { own } from './owner.mjs';
import { ensurePackages } from './packages.mjs';
import { STATE } from './paths.mjs';

/**
 * Does some work with the records of the studio, or of the demo: `url` of the database, `folder` of the state. The
 * database is that of DATABASE_URL where it is set; else the studio's own, which is started for it. `besides`: also while
 * Leggero runs; else that is refused.
 */
export async function withRecords({ demo = false, besides = false }, work) {
  const kind = demo ? 'demo' : 'studio';
  const folder = path.join(STATE, kind);
  const name = `leggero_${kind}`;
  const existing = process.env.DATABASE_URL ?? (besides ? runningMariadb({ folder, name }) : null);
  if (existing) {
    await ensurePackages();
    return work({ url: existing, folder });
  }
  const giveBack = await own(folder);
  try {
    await ensurePackages();
    const database = await startMariadb({ folder, name });
    try {
      return await work({ url: database.url, folder });
    } finally {
      await database.stop();
    }
  } finally {
    giveBack();
  }
}
