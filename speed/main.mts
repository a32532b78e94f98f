import { benchOf } from './bench';
import { figureText, tableOf } from './figure';
import { PARTS } from './parts';

const say = (text: string) => process.stdout.write(`${text}\n`);

const asked = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const unknown = asked.filter((name) => !PARTS.some((part) => part.name === name));
if (unknown.length > 0) {
  process.stderr.write(`There is no part "${unknown[0]}": choose of ${PARTS.map(({ name }) => name).join(', ')}.\n`);
  process.exit(1);
}
const { bench, figures, endPart, end } = benchOf({
  chromium: process.env['LEGGERO_CHROMIUM'] ?? '/usr/bin/chromium',
  flags: JSON.parse(process.env['LEGGERO_CHROMIUM_FLAGS'] ?? '["--no-sandbox"]') as string[],
  smoke: process.argv.includes('--smoke'),
});

// Whatever one part does, the others are measured, and all is told at the end.
const broken: string[] = [];
for (const { name, measure } of PARTS) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  const before = figures.length;
  try {
    await measure(bench);
  } catch (error) {
    broken.push(name);
    say(`${name}: could not be measured\n  ${error instanceof Error ? error.stack : String(error)}`);
  }
  await endPart().catch((error: unknown) => say(`${name}: did not end in order (${String(error)})`));
  for (const figure of figures.slice(before)) say(figureText(figure));
}
await end();

say(`\n${bench.smoke ? 'A smoke: the figures say nothing.\n' : ''}${tableOf(figures)}`);
for (const name of broken) say(`BROKEN             ${name}`);
process.exit(broken.length === 0 ? 0 : 1);
