import { Refusal } from './refusal.mjs';
import { withRecords } from './records.mjs';

/**
 * Does something to the records of a studio while Leggero does not run: for whoever has them on their machine anyway.
 * Takes the name of somebody, and `--demo` for the demo, from the command line; `asks` is said where no name is given.
 */
export async function offHours(asks, work) {
  const words = process.argv.slice(2);
  const [name] = words.filter((word) => word !== '--demo');
  if (!name) throw new Refusal(asks);
  await withRecords({ demo: words.includes('--demo') }, (records) => work({ name, ...records }));
}
