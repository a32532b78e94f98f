import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';

import { ROOT } from './paths.mjs';

const LEFT_OUT = new Set(['node_modules', 'dist', '.expo', 'test', 'expo-env.d.ts', 'nativewind-env.d.ts']);

/** What something is built from, as one number: of files, and of all files in folders. */
export function sourcesHash(sources) {
  const hash = createHash('sha256');
  const take = (file) => hash.update(file).update(readFileSync(path.join(ROOT, file)));
  const walk = (entry) => {
    const full = path.join(ROOT, entry);
    if (path.extname(entry) && existsSync(full) && !isFolder(full)) return take(entry);
    for (const child of readdirSync(full, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
      if (LEFT_OUT.has(child.name)) continue;
      const inner = `${entry}/${child.name}`;
      if (child.isDirectory()) walk(inner);
      else take(inner);
    }
  };
  sources.forEach(walk);
  return hash.digest('hex');
}

function isFolder(full) {
  try {
    readdirSync(full);
    return true;
  } catch {
    return false;
  }
}

/** Whether what `stamp` stands beside was built from sources of this hash. */
export const isBuiltFrom = (stamp, hash) => existsSync(stamp) && readFileSync(stamp, 'utf8') === hash;

/** Puts a whole file in place: several starts may write it at once. */
export function putFile(file, text) {
  const own = `${file}.${process.pid}`;
  writeFileSync(own, text);
  renameSync(own, file);
}
