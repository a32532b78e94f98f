/** A frame that does not come for so long is not waited for, ms. */
const LATEST_MS = 200;

/** Resolves once the frame that is due is painted; at once where the page shows none. */
export function painted(): Promise<void> {
  if (typeof requestAnimationFrame !== 'function' || document.visibilityState === 'hidden') return Promise.resolve();
  return new Promise((resolve) => {
    const late = setTimeout(resolve, LATEST_MS);
    // What is asked for a frame runs before it is painted, what it asks for runs after.
    requestAnimationFrame(() => {
      clearTimeout(late);
      setTimeout(resolve);
    });
  });
}
