import type { Role } from '@leggero/contract';

import type { Database } from './connect';

/** What of a studio's records whoever asks may see and write. */
export interface Reach {
  role: Role;
  /** The event that a helper helps at: they see what hangs on it, and nothing else. */
  eventId: string | null;
}

/** All of a studio's records: an owner's, and the service's own. */
export const WHOLE: Reach = { role: 'owner', eventId: null };

/** Who writes, by their account and as they are called. */
export interface By {
  id: string;
  name: string;
}

/** Who asks: every call is scoped to one studio, and to what they may see of it. */
export interface Scope {
  database: Database;
  studioId: string;
  reach: Reach;
  /** Who they are, where they signed in. */
  by?: By | null;
}
