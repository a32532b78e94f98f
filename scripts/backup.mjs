import path from 'node:path';

import { fromHere, keep } from './lib/keep.mjs';
import { withRecords } from './lib/records.mjs';
import { Refusal, run, say } from './lib/refusal.mjs';

/**
 * Makes a backup of every studio, also while Leggero runs: `npm run backup`, or `npm run backup -- /some/folder`; with
 * `--demo` of the demo.
 */
await run(() => {
  const words = process.argv.slice(2);
  const [wanted] = words.filter((word) => word !== '--demo');
  return withRecords({ demo: words.includes('--demo'), besides: true }, async ({ url, folder }) => {
    const { made } = await keep(url, 'backup', wanted ? fromHere(wanted) : path.join(folder, 'backups'));
    if (made.length === 0) throw new Refusal('There is no studio yet to make a backup of.');
    for (const { studio, file } of made) say(`${studio}: ${file}`);
    say('It holds what people sign in by: keep it where nobody else reads it, and not on this machine alone.');
  });
});
