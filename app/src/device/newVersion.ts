import type { Workbox } from 'workbox-window';
import { create } from 'zustand';

/** How long the page is left alone first, ms: what it shows comes before. */
const LEFT_ALONE_MS = 4000;
/** How often it is asked whether there is a newer version, while the app is looked at, ms. */
const ASK_MS = 20 * 60_000;

interface NewVersion {
  /** Opens the newer version; null while there is none. Whatever is on the page begins anew. */
  open: (() => void) | null;
}

/** Whether a newer version of the app is on the device, waiting to be opened. */
export const useNewVersion = create<NewVersion>()(() => ({ open: null }));

/**
 * Has the browser keep the app itself, so that it opens without the server, and tells of newer versions. They come by
 * themselves and are opened when somebody says so. Does nothing where the browser keeps no apps: over plain HTTP from
 * another machine, and in some private windows. Answers how it ends.
 */
export function keepApp(): () => void {
  if (!('serviceWorker' in navigator)) return () => undefined;
  let workbox: Workbox | null = null;
  const ask = () => {
    if (document.visibilityState === 'visible') workbox?.update().catch(() => undefined);
  };
  const start = setTimeout(() => {
    register().then(
      (registered) => (workbox = registered),
      // Kept or not, it works as before while the server is there.
      () => undefined,
    );
  }, LEFT_ALONE_MS);
  const asking = setInterval(ask, ASK_MS);
  document.addEventListener('visibilitychange', ask);
  return () => {
    clearTimeout(start);
    clearInterval(asking);
    document.removeEventListener('visibilitychange', ask);
  };
}

async function register(): Promise<Workbox> {
  const { Workbox } = await import('workbox-window');
  const workbox = new Workbox('/sw.js', { updateViaCache: 'none' });
  const offer = (open: () => void) => useNewVersion.setState({ open });
  let asked = false;
  const openWaiting = async () => {
    asked = true;
    const registration = await navigator.serviceWorker.getRegistration();
    // Another tab may have opened it meanwhile: then nothing waits any more, and nobody would answer.
    if (registration?.waiting) workbox.messageSkipWaiting();
    else location.reload();
  };
  workbox.addEventListener('waiting', () => offer(() => void openWaiting()));
  workbox.addEventListener('controlling', ({ isUpdate }) => {
    if (!isUpdate) return;
    if (asked) location.reload();
    // Another tab opened the newer version: this one goes on with what it has until it is told otherwise.
    else offer(() => location.reload());
  });
  await workbox.register();
  return workbox;
}
