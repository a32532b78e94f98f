import { ensureProgram } from './debian.mjs';

const WHOLE = ['chromium', 'chromium-browser', 'google-chrome'];
/** Chromium without the parts around a page, which without a window still cost a quarter of its work. */
const SHELL = 'chromium-headless-shell';

/** Finds Chromium as people have it, to measure with; installs Debian's where that is allowed. */
export function ensureChromium() {
  return ensureProgram({ names: WHOLE, debianPackages: ['chromium'], title: 'Chromium' });
}

/** Finds the Chromium that shows pages and nothing else, or the whole one; installs Debian's where that is allowed. */
export function ensureShell() {
  return ensureProgram({ names: [SHELL, ...WHOLE], debianPackages: [SHELL], title: 'Chromium' });
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

/** Starts Chromium for a test or a screenshot. */
export async function launchChromium(options = {}) {
  const executablePath = await ensureShell();
  const { default: puppeteer } = await import('puppeteer-core');
  return puppeteer.launch({ executablePath, args: QUIET, timeout: START_MS, ...options });
}
