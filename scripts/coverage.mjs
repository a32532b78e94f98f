import { writeFileSync } from 'node:fs';
import path from 'node:path';

import { bundle } from './lib/bundle.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { ROOT } from './lib/paths.mjs';
import { runCommand } from './lib/processes.mjs';
import { run } from './lib/refusal.mjs';

/** Prints the tables of how often bands hold: `npm run coverage [-- RUNS [NAME]]`. */
await run(async () => {
  await ensurePackages();
  const outfile = path.join(ROOT, 'speed/.coverage.mjs');
  writeFileSync(outfile, await bundle(path.join(ROOT, 'speed/coverage.mts')));
  const { code } = await runCommand(process.execPath, [outfile, ...process.argv.slice(2)]);
  process.exitCode = code;
});
