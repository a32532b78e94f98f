import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';

import { drawArchitecture } from './lib/architecture.mjs';
import { bundle } from './lib/bundle.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { CACHE, ROOT } from './lib/paths.mjs';
import { Refusal, run, say } from './lib/refusal.mjs';

const METHOD = path.join(ROOT, 'docs/method');

const HEAD = `# All constants

Every number of the trade that the core decides by. This page is made from \`core/src/trade/\` by \`npm run docs\`.
`;

/**
 * Renews what the docs take from the code: the constants in the pages of the method, the table of all of them, and the
 * drawing of the architecture. With `--check` it changes nothing, and refuses when something is not fresh.
 */
await run(async () => {
  await ensurePackages();
  const trade = await tradeConstants();
  const { format, resolveConfig } = await import('prettier');
  const written = async (file, text) => format(text, { ...(await resolveConfig(file)), filepath: file });
  const fresh = new Map();
  for (const name of readdirSync(METHOD).filter((each) => each.endsWith('.md') && each !== 'constants.md')) {
    const file = path.join(METHOD, name);
    fresh.set(file, await written(file, withConstants(readFileSync(file, 'utf8'), trade, name)));
  }
  const all = path.join(METHOD, 'constants.md');
  fresh.set(all, await written(all, `${HEAD}\n${tableOf(Object.keys(trade), trade)}\n`));
  fresh.set(path.join(ROOT, 'docs/architecture.svg'), drawArchitecture());

  const old = [...fresh].filter(([file, text]) => !existsSync(file) || readFileSync(file, 'utf8') !== text);
  const names = old.map(([file]) => path.relative(ROOT, file));
  if (process.argv.includes('--check')) {
    if (old.length > 0) throw new Refusal(`Not as the code has it: ${names.join(', ')}. Run npm run docs.`);
    return say('The docs are as the code has it.');
  }
  for (const [file, text] of old) writeFileSync(file, text);
  say(names.length > 0 ? `Renewed ${names.join(', ')}.` : 'Everything was fresh.');
});

/** The table of the core, as the core has it. */
async function tradeConstants() {
  mkdirSync(CACHE, { recursive: true });
  const [{ TRADE }, { CONSTANTS }] = await Promise.all(
    ['trade', 'constants'].map(async (name) => {
      const file = path.join(CACHE, `${name}.mjs`);
      writeFileSync(file, await bundle(path.join(ROOT, `core/src/trade/${name}.ts`)));
      return import(pathToFileURL(file).href);
    }),
  );
  return Object.fromEntries(Object.entries(CONSTANTS).map(([name, words]) => [name, { value: TRADE[name], ...words }]));
}

/** A page with its blocks of constants filled anew. */
function withConstants(page, trade, name) {
  return page.replace(/<!-- constants: ([\w ]+) -->[^]*?<!-- end -->/g, (_, listed) => {
    const keys = listed.trim().split(/\s+/);
    const unknown = keys.find((key) => !(key in trade));
    if (unknown) throw new Refusal(`docs/method/${name} names a constant that is none: ${unknown}.`);
    return `<!-- constants: ${keys.join(' ')} -->\n\n${tableOf(keys, trade)}\n\n<!-- end -->`;
  });
}

function tableOf(keys, trade) {
  const rows = keys.map((key) => {
    const { value, unit, range, origin, about } = trade[key];
    return `| \`${key}\` | ${valueText(value)} | ${unit} | ${range.join(' to ')} | ${origin} | ${about} |`;
  });
  return [
    '| constant | value | unit | plausible | origin | what it decides |',
    '| --- | --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n');
}

function valueText(value) {
  if (Array.isArray(value)) return value.map(valueText).join('; ');
  if (typeof value === 'number') return String(Number(value.toPrecision(4)));
  if (typeof value !== 'object' || value === null) return String(value);
  return Object.entries(value)
    .map(([key, each]) => `${key} ${valueText(each)}`)
    .join(', ');
}
