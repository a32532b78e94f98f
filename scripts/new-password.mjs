import { ensureProgramOf } from './lib/server.mjs';
import { offHours } from './lib/offHours.mjs';
import { runCommand } from './lib/processes.mjs';
import { Refusal, run, say } from './lib/refusal.mjs';
import { secretIn } from './lib/secret.mjs';

/**
 * Gives a code for a new password of whoever forgot theirs and has nobody to ask, as an owner has: by the name they sign
 * in with, `npm run new-password -- maren`, or with `--demo` in the demo.
 */
await run(() =>
  offHours('Whose password? Give the name to sign in with: npm run new-password -- maren.', async (at) => {
    const { name, url, folder } = at;
    const env = { DATABASE_URL: url, LEGGERO_SECRET: process.env.LEGGERO_SECRET ?? secretIn(folder) };
    const { output } = await runCommand(process.execPath, [await ensureProgramOf('newPassword'), name], {
      quiet: true,
      env,
    });
    const [code] = /^([A-Z2-9]{5}-){3}[A-Z2-9]{5}$/m.exec(output) ?? [];
    if (!code) throw new Refusal(`Nobody signs in here as "${name}".`);
    say(`Start Leggero, open /new-password and give this code within an hour: ${code}`);
  }),
);
