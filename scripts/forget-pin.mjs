import { offHours } from './lib/offHours.mjs';
import { Refusal, run, say } from './lib/refusal.mjs';

/** Takes away the PIN of someone who forgot it, by name: `npm run forget-pin -- "Maren"`, or with `--demo` in the demo. */
await run(() =>
  offHours('Whose PIN? Give the name as Leggero shows it: npm run forget-pin -- "Maren".', async ({ name, url }) => {
    const { createConnection } = await import('mysql2/promise');
    const connection = await createConnection({ uri: url });
    const found = await forget(connection, name);
    await connection.end();
    if (found === 0) throw new Refusal(`Nobody here is called "${name}".`);
    say(`${name} has no PIN now: set a new one in Leggero, under Gauges, Eyes.`);
  }),
);

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
