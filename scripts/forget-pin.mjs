import path from 'node:path';

import { startMariadb } from './lib/mariadb.mjs';
import { own } from './lib/owner.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { STATE } from './lib/paths.mjs';
import { Refusal, run, say } from './lib/refusal.mjs';

/**
 * Takes away the PIN of someone who forgot it, by name: `npm run forget-pin -- "Maren"`, or with `--demo` in the demo.
 * Whoever can run this has the records on their machine anyway. Leggero must not run meanwhile.
 */
await run(async () => {
  const words = process.argv.slice(2);
  const kind = words.includes('--demo') ? 'demo' : 'studio';
  const [name] = words.filter((word) => word !== '--demo');
  if (!name) throw new Refusal('Whose PIN? Give the name as Leggero shows it: npm run forget-pin -- "Maren".');
  const folder = path.join(STATE, kind);
  const giveBack = await own(folder);
  try {
    await ensurePackages();
    const { createConnection } = await import('mysql2/promise');
    const database = await startMariadb({ folder, name: `leggero_${kind}` });
    try {
      const connection = await createConnection({ uri: database.url });
      const found = await forget(connection, name);
      await connection.end();
      if (found === 0) throw new Refusal(`Nobody here is called "${name}".`);
      say(`${name} has no PIN now: set a new one in Leggero, under Gauges, Eyes.`);
    } finally {
      await database.stop();
    }
  } finally {
    giveBack();
  }
});

/** Takes the PIN away; answers how many people bear the name. */
async function forget(connection, name) {
  try {
    const [{ affectedRows }] = await connection.query('update people set pin_hash = null where name = ?', [name]);
    return affectedRows;
  } catch (error) {
    // Nobody ever opened this studio.
    if (error.code === 'ER_NO_SUCH_TABLE') return 0;
    throw error;
  }
}
