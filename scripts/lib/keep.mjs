import path from 'node:path';

import { runCommand } from './processes.mjs';
import { Refusal } from './refusal.mjs';
import { ensureProgramOf } from './server.mjs';

/** Has the program of backups do something with a file or folder; answers what it tells, refuses as it does. */
export async function keep(url, what, where) {
  const env = { DATABASE_URL: url };
  const { code, output } = await runCommand(process.execPath, [await ensureProgramOf('keep'), what, where], {
    quiet: true,
    env,
  });
  if (code !== 0) throw new Refusal(output.trim().split('\n')[0] || 'It could not be done.');
  return JSON.parse(output.trim().split('\n').at(-1));
}

/** A path of the command line, as seen from where the command was given. */
export const fromHere = (name) => path.resolve(process.env.INIT_CWD ?? process.cwd(), name);
