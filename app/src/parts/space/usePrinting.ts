import { useSyncExternalStore } from 'react';

let printing = false;
const tellers = new Set<() => void>();
const turn = (to: boolean) => () => {
  printing = to;
  for (const tell of tellers) tell();
};
const [begin, end] = [turn(true), turn(false)];

function subscribe(tell: () => void): () => void {
  if (tellers.size === 0) {
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
  }
  tellers.add(tell);
  return () => {
    tellers.delete(tell);
    if (tellers.size > 0) return;
    window.removeEventListener('beforeprint', begin);
    window.removeEventListener('afterprint', end);
  };
}

/** Whether the page is being printed: what only a screen can show is then drawn another way. */
export function usePrinting(): boolean {
  return useSyncExternalStore(subscribe, () => printing);
}
