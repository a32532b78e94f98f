import { EventEmitter } from 'node:events';

import { inArray } from 'drizzle-orm';

import type { Database } from '../db/connect';
import type { Scope } from '../db/records';
import { studios } from '../db/tables';
import { revisionOf } from './revision';

/** How long a listener is left without a word, ms: what stands between may take silence for an end. */
const WORD_MS = 20_000;
/** How often it is looked for what other processes wrote, ms: a second device follows within a second. */
const LOOK_MS = 500;
/** How long a listener is left in peace after a word, ms: a crew's taps are asked for together. */
const REST_MS = 250;
/** So many words a second at most, however many listen: each is answered by a question. */
const MOST_WORDS = 50;

const written = new EventEmitter().setMaxListeners(0);

/** Tells whoever listens that a studio's records have a newer revision. */
export function announce(studioId: string, revision: number): void {
  written.emit(studioId, revision);
}

/** How many listen to this process. */
export const listening = (): number =>
  written.eventNames().reduce((sum, studioId) => sum + written.listenerCount(studioId), 0);

/** Looks for what other processes write to studios that somebody listens to, while anybody does. */
class Lookout {
  private readonly listeners = new Map<Database, number>();
  private timer: NodeJS.Timeout | null = null;
  private looking = false;

  join(database: Database): () => void {
    this.count(database, 1);
    this.timer ??= setInterval(() => void this.look(), LOOK_MS).unref();
    return () => {
      this.count(database, -1);
      if (this.listeners.size > 0 || this.timer === null) return;
      clearInterval(this.timer);
      this.timer = null;
    };
  }

  private count(database: Database, by: 1 | -1): void {
    const count = (this.listeners.get(database) ?? 0) + by;
    if (count > 0) this.listeners.set(database, count);
    else this.listeners.delete(database);
  }

  private async look(): Promise<void> {
    if (this.looking) return;
    this.looking = true;
    const ids = written.eventNames().map(String);
    const { id, revision } = studios;
    try {
      for (const database of this.listeners.keys()) {
        const rows = await database.select({ id, revision }).from(studios).where(inArray(id, ids));
        for (const row of rows) announce(row.id, row.revision);
      }
    } catch {
      // Where they cannot be read just now, whoever listens finds out by asking.
    } finally {
      this.looking = false;
    }
  }
}

const lookout = new Lookout();

/**
 * Server-sent events (WHATWG HTML, section 9.2): at which revision the records are, and a newer one at once; of several
 * that follow one another closely, the last. Answers how it ends.
 */
export function listen(scope: Scope, send: (text: string) => void): () => void {
  const { database, studioId } = scope;
  let [newest, told] = [0, 0];
  let rest: NodeJS.Timeout | null = null;
  const tell = (revision: number) => {
    newest = Math.max(newest, revision);
    if (rest !== null || newest === told) return;
    told = newest;
    send(`data: ${told}\n\n`);
    const restMs = Math.max(REST_MS, (1000 * listening()) / MOST_WORDS);
    rest = setTimeout(() => {
      rest = null;
      tell(newest);
    }, restMs).unref();
  };
  // Where they cannot be read just now, whoever listens finds out by asking.
  revisionOf(scope).then(tell, () => undefined);
  const word = setInterval(() => send(':\n\n'), WORD_MS);
  word.unref();
  written.on(studioId, tell);
  const leave = lookout.join(database);
  return () => {
    clearInterval(word);
    if (rest !== null) clearTimeout(rest);
    written.off(studioId, tell);
    leave();
  };
}
