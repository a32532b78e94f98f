import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/**
 * What signs who is signed in: kept beside the records and readable by their owner alone, so that nobody has to sign in
 * again after a start. Taken away, everybody has to. `LEGGERO_SECRET` stands in its place where several processes serve.
 */
export function secretIn(folder) {
  const file = path.join(folder, 'secret');
  if (!existsSync(file)) {
    mkdirSync(folder, { recursive: true });
    writeFileSync(file, `${randomBytes(32).toString('base64url')}\n`, { mode: 0o600 });
  }
  return readFileSync(file, 'utf8').trim();
}
