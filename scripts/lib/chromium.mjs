import { ensureProgram } from './debian.mjs';

/** Finds Chromium, installing Debian's where that is allowed. */
export function ensureChromium() {
  return ensureProgram({
    names: ['chromium', 'chromium-browser', 'google-chrome'],
    debianPackages: ['chromium'],
    title: 'Chromium',
  });
}
