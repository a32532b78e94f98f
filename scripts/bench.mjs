import { writeFileSync } from 'node:fs';
import path from 'node:path';

import { bundle } from './lib/bundle.mjs';
import { ensureChromium, ensureShell, QUIET } from './lib/chromium.mjs';
import { ensureProgram } from './lib/debian.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { ROOT } from './lib/paths.mjs';
import { runCommand } from './lib/processes.mjs';
import { run } from './lib/refusal.mjs';
import { ensureProgramOf } from './lib/server.mjs';
import { ensureWeb } from './lib/web.mjs';

/** Prints every figure of speed and size beside its yardstick. */
await run(async () => {
  await ensurePackages();
  // A smoke's figures say nothing: what tests have serves it too.
  const chromium = await (process.argv.includes('--smoke') ? ensureShell() : ensureChromium());
  const dump = await ensureProgram({
    names: ['mariadb-dump', 'mysqldump'],
    debianPackages: ['mariadb-client'],
    title: 'The dump of MariaDB',
  });
  await ensureWeb();
  const { code } = await runCommand(process.execPath, [await bundled(), ...process.argv.slice(2)], {
    env: {
      LEGGERO_CHROMIUM: chromium,
      LEGGERO_CHROMIUM_FLAGS: JSON.stringify(QUIET),
      LEGGERO_DUMP: dump,
      LEGGERO_KEEP: await ensureProgramOf('keep'),
      NODE_ENV: 'production',
    },
  });
  process.exitCode = code;
});

/** The measuring program as one file: plain JavaScript, as a browser gets it, beside its sources. */
async function bundled() {
  const outfile = path.join(ROOT, 'speed/.main.mjs');
  writeFileSync(outfile, await bundle(path.join(ROOT, 'speed/main.mts')));
  return outfile;
}
