/** Where a browser does not say when it is idle, ms. */
const A_WHILE_MS = 50;

/** Does some work once the page has nothing else to do; `mostMs`: after that time at the latest. */
export function whenIdle(work: () => void, mostMs?: number): void {
  if (typeof requestIdleCallback !== 'function') setTimeout(work, A_WHILE_MS);
  else requestIdleCallback(work, mostMs === undefined ? {} : { timeout: mostMs });
}
