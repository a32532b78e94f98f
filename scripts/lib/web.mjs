import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import { keepOffline } from './offline.mjs';
import { inTurn } from './owner.mjs';
import { ROOT, TURNS, WEB } from './paths.mjs';
import { runCommand } from './processes.mjs';
import { Refusal, say } from './refusal.mjs';
import { isBuiltFrom, sourcesHash } from './sources.mjs';

const STAMP = path.join(WEB, '.built-from');
const SOURCES = [
  'app',
  'core/src',
  'contract/src',
  'scripts/lib/web.mjs',
  'scripts/lib/offline.mjs',
  'package-lock.json',
];
const CORES = os.availableParallelism();

/** The environment Expo's tools run in: no calls outside. */
export const EXPO_ENV = { EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1', CI: '1' };
export const EXPO_CLI = path.join(ROOT, 'node_modules/expo/bin/cli');

/** Builds the web app unless it was built from these very sources. Answers its folder. */
export async function ensureWeb() {
  const there = () => isBuiltFrom(STAMP, sourcesHash(SOURCES));
  if (there()) return WEB;
  await inTurn(
    path.join(TURNS, 'web.pid'),
    () => (there() ? undefined : build()),
    () => say('Waiting for another start, which builds the web app…'),
  );
  return WEB;
}

async function build() {
  say('Building the web app…');
  const { code, output } = await runCommand(
    process.execPath,
    // Left to itself Metro keeps one core of two idle.
    [EXPO_CLI, 'export', '--platform', 'web', '--output-dir', 'dist', '--max-workers', String(CORES)],
    { quiet: true, cwd: path.join(ROOT, 'app'), env: { ...EXPO_ENV, NODE_ENV: 'production' } },
  );
  if (code !== 0)
    throw new Refusal(`The web app could not be built:\n${output.trim().split('\n').slice(-25).join('\n')}`);
  writeHead();
  await keepOffline(WEB);
  writeFileSync(STAMP, sourcesHash(SOURCES));
}

/** What an installed app shows of itself. */
const INSTALLED =
  '<link rel="manifest" href="/manifest.webmanifest"><link rel="apple-touch-icon" href="/icons/touch.png">' +
  '<meta name="theme-color" content="#f7f4ee" media="(prefers-color-scheme: light)">' +
  '<meta name="theme-color" content="#1b1916" media="(prefers-color-scheme: dark)">';

/**
 * Completes the head of the document. What every page waits for, its letters and the code around it, is asked for
 * along with the document: the app itself would ask only once it runs. The code of every page is named, to be fetched
 * once the browser has nothing else to do: pages open without a wait, and without a network when it is cut while the
 * app is open (`app/src/device/ahead.ts`).
 */
function writeHead() {
  const index = path.join(WEB, 'index.html');
  const html = readFileSync(index, 'utf8');
  const folder = '_expo/static/js/web';
  const pages = readdirSync(path.join(WEB, folder))
    .filter((name) => name.endsWith('.js') && !html.includes(encodeURI(name)))
    // What runs by itself is a worker's: fetched when it is wanted, as is what draws in space.
    .filter((name) => readFileSync(path.join(WEB, folder, name), 'utf8').startsWith('__d('))
    .filter((name) => !name.startsWith('stage-'))
    .map((name) => `/${folder}/${encodeURIComponent(name)}`);
  const isAround = (address) => path.basename(address).startsWith('_layout-');
  const around = pages.filter(isAround);
  const ahead = `<meta name="leggero-pages" content="${pages.filter((page) => !isAround(page)).join(' ')}">`;
  const letters = readdirSync(WEB, { recursive: true })
    .filter((name) => name.endsWith('.ttf'))
    // Written just as the app asks for them.
    .map((name) => `/${encodeURI(name.split(path.sep).join('/'))}`);
  const early = [
    ...letters.map((address) => `<link rel="preload" href="${address}" as="font" type="font/ttf" crossorigin>`),
    ...around.map((address) => `<link rel="preload" href="${address}" as="script">`),
  ].join('');
  writeFileSync(index, html.replace('</head>', `${early}${INSTALLED}${ahead}</head>`));
}
