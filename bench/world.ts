import { fork } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const HERE = path.dirname(fileURLToPath(import.meta.url));

/** A demo of its own, on free ports. */
export async function startWorld(): Promise<{ url: string; databaseUrl: string; end(): Promise<void> }> {
  const child = fork(path.join(HERE, '../scripts/world.mjs'), ['demo'], { execArgv: [] });
  const place = await new Promise<{ url: string; databaseUrl: string }>((resolve, reject) => {
    child.once('message', (message) => resolve(message as { url: string; databaseUrl: string }));
    child.once('exit', () => reject(new Error('the world ended as it started')));
  });
  const end = () =>
    new Promise<void>((resolve) => {
      child.once('exit', () => resolve());
      child.disconnect();
    });
  return { ...place, end };
}
