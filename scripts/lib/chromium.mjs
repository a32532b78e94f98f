import { ensureProgram } from './debian.mjs';

/** Finds Chromium, installing Debian's where that is allowed. */
export function ensureChromium() {
  return ensureProgram({
    names: ['chromium', 'chromium-browser', 'google-chrome'],
    debianPackages: ['chromium'],
    title: 'Chromium',
  });
}

/** Chromium without a window and without calls of its own to the outside. */
export const QUIET = [
  '--no-sandbox',
  '--disable-gpu',
  // Drawings in space without graphics hardware.
  '--enable-unsafe-swiftshader',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** How long it may take to start, ms: a busy machine has other work. */
const START_MS = 180_000;

/** Starts Chromium for a test, a measurement or a screenshot. */
export async function launchChromium(options = {}) {
  const executablePath = await ensureChromium();
  const { default: puppeteer } = await import('puppeteer-core');
  return puppeteer.launch({ executablePath, args: QUIET, timeout: START_MS, ...options });
}
