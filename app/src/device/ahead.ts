import { whenIdle } from './idle';

/** How long the page is left alone first, ms. */
const LEFT_ALONE_MS = 3000;

/** Who pays for what comes, or waits for it, has said so to the browser. */
const savesData = () =>
  (navigator as Navigator & { connection?: { saveData?: boolean } }).connection?.saveData === true;

/**
 * Has the code of every page come, one after another, while nothing else is to be done: pages then open without a wait,
 * and also when the network is cut. Which there are the document says. Nothing comes to a browser that saves data.
 * Answers how it ends.
 */
export function comeAhead(): () => void {
  if (savesData()) return () => undefined;
  const named = document.querySelector<HTMLMetaElement>('meta[name=leggero-pages]')?.content;
  const hrefs = named ? named.split(' ') : [];
  let ended = false;
  const next = () => {
    const href = ended ? undefined : hrefs.shift();
    if (href === undefined) return;
    const script = document.createElement('script');
    script.src = href;
    // One that does not come is asked for again by its page.
    script.onload = script.onerror = () => whenIdle(next);
    document.head.append(script);
  };
  const timer = setTimeout(() => whenIdle(next), LEFT_ALONE_MS);
  return () => {
    ended = true;
    clearTimeout(timer);
  };
}
