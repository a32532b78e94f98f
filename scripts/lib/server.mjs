import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';

import { bundle } from './bundle.mjs';
import { ROOT, SERVER } from './paths.mjs';

/** What runs in a thread of its own, each bundled beside the server. */
const WORKERS = ['server/src/readingFile/read.worker.ts'];

/**
 * Bundles the server and its workers, each into one file, which starts in a fraction of the time its sources would
 * take. Answers the server's file.
 */
export async function ensureServer() {
  const folder = path.dirname(SERVER);
  const workers = WORKERS.map((entry) => [entry, path.join(folder, path.basename(entry).replace(/\.ts$/, '.mjs'))]);
  await Promise.all([['server/src/main.ts', SERVER], ...workers].map(([entry, file]) => ensureBundle(entry, file)));
  return SERVER;
}

/** Another program of the server's, by the name of its source, as one file beside the server. */
export async function ensureProgramOf(name) {
  const file = path.join(path.dirname(SERVER), `${name}.mjs`);
  await ensureBundle(`server/src/${name}.ts`, file);
  return file;
}

async function ensureBundle(entry, file) {
  const code = await bundle(path.join(ROOT, entry));
  if (existsSync(file) && readFileSync(file, 'utf8') === code) return;
  mkdirSync(path.dirname(file), { recursive: true });
  // Several starts may bundle at once: each puts a whole file in place.
  const own = `${file}.${process.pid}`;
  writeFileSync(own, code);
  renameSync(own, file);
}
