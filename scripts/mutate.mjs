import { readFileSync } from 'node:fs';
import path from 'node:path';

import mutation from '../core/mutation/tests.cjs';
import { ensurePackages } from './lib/packages.mjs';
import { ROOT } from './lib/paths.mjs';
import { runCommand } from './lib/processes.mjs';
import { Refusal, run } from './lib/refusal.mjs';

const LEAST_SCORE = 80;
const CAUGHT = new Set(['Killed', 'Timeout']);
const MISSED = new Set(['Survived', 'NoCoverage']);

/** Mutation testing of the numbers, folder by folder: `npm run mutate [-- FOLDER …] [-- --mutate FILE]`. */
await run(async () => {
  await ensurePackages();
  const asked = process.argv.slice(2);
  const named = asked.filter((word) => word in mutation.TESTS);
  const options = asked.filter((word) => !(word in mutation.TESTS));
  const tally = [];
  for (const folder of named.length > 0 ? named : Object.keys(mutation.TESTS)) {
    const { code } = await runCommand('npx', ['stryker', 'run', 'core/mutation/stryker.mjs', ...options], {
      env: { LEGGERO_MUTATED: folder },
    });
    if (code !== 0) throw new Refusal(`The mutants of ${folder} could not be run.`);
    tally.push({ folder, ...counted(folder) });
  }
  const all = tally.reduce(
    (sum, { caught, missed }) => ({ caught: sum.caught + caught, missed: sum.missed + missed }),
    {
      caught: 0,
      missed: 0,
    },
  );
  for (const { folder, ...counts } of [...tally, { folder: 'all', ...all }])
    console.log(`${folder.padEnd(12)} ${score(counts).toFixed(1)} % of ${counts.caught + counts.missed}`);
  if (score(all) < LEAST_SCORE) throw new Refusal(`Fewer than ${LEAST_SCORE} % of the mutants were noticed.`);
});

function counted(folder) {
  const { files } = JSON.parse(readFileSync(path.join(ROOT, `.leggero/mutation/${folder}.json`), 'utf8'));
  const mutants = Object.values(files).flatMap((file) => file.mutants);
  const of = (kinds) => mutants.filter(({ status }) => kinds.has(status)).length;
  return { caught: of(CAUGHT), missed: of(MISSED) };
}

function score({ caught, missed }) {
  return (100 * caught) / (caught + missed);
}
