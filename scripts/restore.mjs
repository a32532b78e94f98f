import path from 'node:path';

import { fromHere, keep } from './lib/keep.mjs';
import { withRecords } from './lib/records.mjs';
import { Refusal, run, say } from './lib/refusal.mjs';

const ASKS =
  'Which backup? npm run restore -- file.ndjson.gz, with --trial to try it without a trace, or --replace to put it ' +
  'in the place of the same studio.';

/**
 * Puts a studio back from a backup, while Leggero does not run: `npm run restore -- file`; with `--demo` into the demo's
 * records. `--trial` restores it beside the records, at any time, and leaves no trace.
 */
await run(() => {
  const words = process.argv.slice(2);
  const has = (word) => words.includes(word);
  const [name] = words.filter((word) => !word.startsWith('--'));
  if (!name) throw new Refusal(ASKS);
  const file = fromHere(name);
  return withRecords({ demo: has('--demo'), besides: has('--trial') }, async ({ url, folder }) => {
    if (has('--trial')) return sayTried(await keep(url, 'try', file));
    // What makes way is kept: nobody restores the wrong file twice.
    if (has('--replace')) await keepAsItIs(url, folder);
    sayRestored(await keep(url, has('--replace') ? 'replace' : 'restore', file));
  });
});

async function keepAsItIs(url, folder) {
  const { made } = await keep(url, 'backup', path.join(folder, 'backups'));
  for (const { studio, file } of made) say(`${studio} as it was until now: ${file}`);
}

function counted(rows) {
  return `${rows} ${rows === 1 ? 'row' : 'rows'}`;
}

function said({ head: { studio, madeAt }, rows }) {
  return `${studio.name} as of ${madeAt.slice(0, 16).replace('T', ' ')} UTC, ${counted(rows)}`;
}

function sayTried(trial) {
  if (trial.differ.length === 0) return say(`It can be restored: ${said(trial)}. Nothing was changed.`);
  for (const { table, was, is } of trial.differ) say(`${table}: ${counted(was)} in the backup, ${is} of them restored`);
  throw new Refusal('It cannot be restored whole.');
}

function sayRestored({ leftOut, ...restored }) {
  say(`Restored: ${said(restored)}.`);
  for (const name of leftOut) say(`${name} was left out: somebody else here signs in by the same name or address.`);
  if (!restored.head.signIn) {
    say('It holds no passwords: give whoever owned the studio a code for a new one (npm run new-password -- name).');
  }
}
