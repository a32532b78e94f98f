import path from 'node:path';

/** What is fetched by its hash needs no other mark of its version. */
const HASHED = /^(_expo|assets)\//;
/** What the server answers itself, also when it is opened by its address. */
const NO_PAGES = [/^\/api\//, /^\/leggero\.crt$/];
/** The code that makes drawings for print is the largest file. */
const LARGEST_BYTES = 8 * 2 ** 20;

/**
 * Writes the service worker of a built web app (`folder`): it keeps all files of that build on the device, and opens
 * every address without the server. A newer one waits until the page says that it may take over.
 */
export async function keepOffline(folder) {
  const { generateSW } = await import('workbox-build');
  const { warnings } = await generateSW({
    swDest: path.join(folder, 'sw.js'),
    globDirectory: folder,
    globPatterns: [
      'index.html',
      'favicon.ico',
      'manifest.webmanifest',
      'icons/*',
      '{_expo,assets}/**/*.{js,css,ttf,png}',
    ],
    dontCacheBustURLsMatching: HASHED,
    maximumFileSizeToCacheInBytes: LARGEST_BYTES,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: NO_PAGES,
    clientsClaim: true,
    skipWaiting: false,
    cleanupOutdatedCaches: true,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: 'production',
  });
  if (warnings.length > 0) throw new Error(`the service worker leaves something out: ${warnings.join('; ')}`);
}
