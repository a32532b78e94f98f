/** Why a device keeps nothing. */
export type Unkept = 'missing' | 'newer' | 'full' | 'broken';

/** What an error of the device's storage means. */
export function unkeptBy(error: unknown): Unkept {
  const name = error instanceof DOMException || error instanceof Error ? error.name : '';
  if (name === 'QuotaExceededError') return 'full';
  return name === 'VersionError' ? 'newer' : 'broken';
}
