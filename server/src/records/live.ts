import { EventEmitter } from 'node:events';

/** How long a listener is left without a word, ms: what stands between may take silence for an end. */
const WORD_MS = 20_000;

const written = new EventEmitter().setMaxListeners(0);

/** Tells whoever listens that a studio's records have a newer revision. */
export function announce(studioId: string, revision: number): void {
  written.emit(studioId, revision);
}

/** Server-sent events (WHATWG HTML, section 9.2): no more than that there is a newer revision. Answers how it ends. */
export function listen(studioId: string, send: (text: string) => void): () => void {
  const tell = (revision: number) => send(`data: ${revision}\n\n`);
  const word = setInterval(() => send(':\n\n'), WORD_MS);
  word.unref();
  written.on(studioId, tell);
  return () => {
    clearInterval(word);
    written.off(studioId, tell);
  };
}
