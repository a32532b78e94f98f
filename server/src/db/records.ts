import type { Database } from './connect';

/** Who asks: every call is scoped to one studio. */
export interface Scope {
  database: Database;
  studioId: string;
}
