import { EventEmitter } from 'node:events';

import type { Scope } from '../db/records';
import { revisionOf } from './revision';

/** How long a listener is left without a word, ms: what stands between may take silence for an end. */
const WORD_MS = 20_000;

const written = new EventEmitter().setMaxListeners(0);

/** Tells whoever listens that a studio's records have a newer revision. */
export function announce(studioId: string, revision: number): void {
  written.emit(studioId, revision);
}

/**
 * Server-sent events (WHATWG HTML, section 9.2): at which revision the records are, and each newer one. Answers how it
 * ends.
 */
export function listen(scope: Scope, send: (text: string) => void): () => void {
  const { studioId } = scope;
  let newest = 0;
  const tell = (revision: number) => {
    if (revision <= newest) return;
    newest = revision;
    send(`data: ${revision}\n\n`);
  };
  // Where they cannot be read just now, whoever listens finds out by asking.
  revisionOf(scope).then(tell, () => undefined);
  const word = setInterval(() => send(':\n\n'), WORD_MS);
  word.unref();
  written.on(studioId, tell);
  return () => {
    clearInterval(word);
    written.off(studioId, tell);
  };
}
