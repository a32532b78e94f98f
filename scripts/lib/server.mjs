import { existsSync, mkdirSync } from 'node:fs';
import path from 'node:path';

import { bundle } from './bundle.mjs';
import { ROOT, SERVER } from './paths.mjs';
import { isBuiltFrom, putFile, sourcesHash } from './sources.mjs';

const SOURCES = ['server/src', 'core/src', 'contract/src', 'scripts/lib/bundle.mjs', 'package-lock.json'];

/** What runs in a thread of its own, each bundled beside the server. */
const WORKERS = ['server/src/readingFile/read.worker.ts'];

/**
 * Bundles the server and its workers, each into one file, which starts in a fraction of the time its sources would
 * take. Answers the server's file.
 */
export async function ensureServer() {
  const folder = path.dirname(SERVER);
  const workers = WORKERS.map((entry) => [entry, path.join(folder, path.basename(entry).replace(/\.ts$/, '.mjs'))]);
  await ensureBundles([['server/src/main.ts', SERVER], ...workers]);
  return SERVER;
}

/** Another program of the server's, by the name of its source, as one file beside the server. */
export async function ensureProgramOf(name) {
  const file = path.join(path.dirname(SERVER), `${name}.mjs`);
  await ensureBundles([[`server/src/${name}.ts`, file]]);
  return file;
}

/** Bundles programs into files, but for those that were bundled from these very sources. */
async function ensureBundles(programs) {
  const hash = sourcesHash(SOURCES);
  const ensure = async ([entry, file]) => {
    const stamp = `${file}.built-from`;
    if (existsSync(file) && isBuiltFrom(stamp, hash)) return;
    mkdirSync(path.dirname(file), { recursive: true });
    putFile(file, await bundle(path.join(ROOT, entry)));
    putFile(stamp, hash);
  };
  await Promise.all(programs.map(ensure));
}
