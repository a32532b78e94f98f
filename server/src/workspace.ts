import { createRequire } from 'node:module';
import path from 'node:path';

/** A file of this workspace, found from wherever this code was put. */
export function workspaceFile(name: string): string {
  const manifest = createRequire(import.meta.url).resolve('@leggero/server/package.json');
  return path.join(path.dirname(manifest), name);
}
