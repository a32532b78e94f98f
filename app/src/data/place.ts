import { STUDIO_QUERY, type Role } from '@leggero/contract';

/** The studio that this device works in as someone, and as what; null where nobody signs in. */
export interface Place {
  studioId: string;
  accountId: string;
  role: Role;
  /** Of a helper: at which event. */
  eventId: string | null;
}

const KEPT_AS = 'leggero-place';

let place: Place | null = read();

function read(): Place | null {
  if (typeof localStorage === 'undefined') return null;
  try {
    return JSON.parse(localStorage.getItem(KEPT_AS) ?? 'null') as Place | null;
  } catch {
    return null;
  }
}

/** Where this device works. */
export const here = (): Place | null => place;

/**
 * Remembers where this device works: as it is known without the network too. Answers whether it will know after a
 * reload; a browser that keeps nothing works there for as long as the page is open.
 */
export function remember(next: Place | null): boolean {
  place = next;
  try {
    if (next) localStorage.setItem(KEPT_AS, JSON.stringify(next));
    else localStorage.removeItem(KEPT_AS);
    return true;
  } catch {
    return false;
  }
}

/** What this device keeps of a place, and what its tabs tell one another of it, is called; of nobody's the plain name. */
export const nameOf = (at: Place | null): string => (at ? `leggero-${at.studioId}-${at.accountId}` : 'leggero');

/** An address of the service, in the studio that this device works in. */
export function inStudio(path: string): string {
  if (!place) return path;
  return `${path}${path.includes('?') ? '&' : '?'}${STUDIO_QUERY}=${place.studioId}`;
}
