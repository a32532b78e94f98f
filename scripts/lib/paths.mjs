import path from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout. */
export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');
/** What running leaves behind: databases, sockets, logs. Git ignores it; LEGGERO_STATE names another place. */
export const STATE = process.env.LEGGERO_STATE ?? path.join(ROOT, '.leggero');
/** What can be made again at any time: caches of the tools, folders to copy. */
export const CACHE = path.join(STATE, 'cache');
/** The built web app. */
export const WEB = path.join(ROOT, 'app/dist');
/** The server as one file, beside its sources, so that it finds its packages. */
export const SERVER = path.join(ROOT, 'server/dist/main.mjs');
/** Marks of what one process at a time does to the checkout itself. */
export const TURNS = path.join(ROOT, '.leggero/turns');
