import type { Unkept } from '@/device/storage';

/** Why nothing is kept on this device, and what follows. */
export const UNKEPT_WORDS: Record<Unkept, string> = {
  missing:
    'This browser keeps nothing on this device, as in some private windows. All works while the records are in reach.',
  full: 'This device’s storage is full: what you enter is saved only while the records are in reach. Make room on it.',
  newer: 'A newer version is open in another tab. Reload this page.',
  broken: 'This device could not keep what was entered. It is saved only while the records are in reach; reload soon.',
};
