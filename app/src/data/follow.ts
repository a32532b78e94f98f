import { LIVE_PATH } from '@leggero/contract';

import { inStudio } from './place';

/** How often the server is asked where it cannot give word by itself, ms. */
const POLL_MS = 5000;

/**
 * Calls with the newest revision as soon as the server tells of one, with null whenever one may have been missed. By
 * server-sent events; where they are cut, by asking while the page is looked at. Answers how it ends.
 */
export function follow(told: (revision: number | null) => void): () => void {
  let live = false;
  const missed = () => told(null);
  const seen = () => {
    // A stream that was open when the network went need not have ended yet.
    const hears = live && navigator.onLine;
    if (document.visibilityState === 'visible' && !hears) missed();
  };
  const source = typeof EventSource === 'undefined' ? null : new EventSource(inStudio(LIVE_PATH));
  if (source) {
    // The first it tells is where the records are: nothing is missed in between.
    source.onopen = () => {
      live = true;
    };
    source.onmessage = ({ data }: MessageEvent<string>) => told(Number(data));
    // It opens itself again, unless the server will have none of it.
    source.onerror = () => {
      live = false;
      missed();
    };
  }
  const poll = setInterval(seen, POLL_MS);
  window.addEventListener('online', missed);
  window.addEventListener('offline', missed);
  document.addEventListener('visibilitychange', seen);
  return () => {
    source?.close();
    clearInterval(poll);
    window.removeEventListener('online', missed);
    window.removeEventListener('offline', missed);
    document.removeEventListener('visibilitychange', seen);
  };
}
