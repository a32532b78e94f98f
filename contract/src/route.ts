import { z } from 'zod';

import { batchAnswerSchema, batchSchema } from './command';
import { eyeCheckSchema } from './eye';
import { accessSchema } from './access';
import type { Role } from './noun';
import { NOUNS } from './nouns';
import { pinChangeSchema, sessionOpenSchema, sessionSchema } from './person';

export interface Route {
  method: 'GET' | 'POST' | 'PATCH' | 'DELETE';
  /** Express style; parameters are ids. */
  path: string;
  request?: z.ZodType;
  /** What its address may ask besides the studio that is meant. */
  query?: z.ZodType;
  /** What a success carries; none for 204. */
  response?: z.ZodType;
  /** The least of those who may ask it, a maker where none is said; null of one that needs no studio, nor that someone signed in. */
  least?: Role | null;
}

/** The schema that a route has under a key; never where it has none. */
export type SchemaOf<R extends Route, Key extends string> =
  R extends Record<Key, infer S extends z.ZodType> ? S : never;

/**
 * Routes that the app calls by name; its reads come by the change feed, its writes by `carryOut`. The others are in
 * `routes.ts`: an app that carries them would open later.
 */
export const APP_ROUTES = {
  /** Who asks, and in which studios they work. */
  readAccess: { method: 'GET', path: '/api/access', response: accessSchema, least: null },
  readSession: { method: 'GET', path: '/api/session', response: sessionSchema },
  /** Opens what is a person's own on this device; 403 with the wrong PIN. */
  openSession: { method: 'POST', path: '/api/session', request: sessionOpenSchema, response: sessionSchema },
  closeSession: { method: 'DELETE', path: '/api/session' },
  setPin: { method: 'POST', path: '/api/people/:id/pin', request: pinChangeSchema, response: NOUNS.person.row },
  /** Private: the person's own session or the owner's. */
  listEyeChecks: {
    method: 'GET',
    path: '/api/people/:id/eye-checks',
    response: z.array(eyeCheckSchema),
  },
  /** Private: which turns at stations were someone's. */
  listTurnHands: { method: 'GET', path: '/api/people/:id/turn-hands', response: z.array(NOUNS.turnHands.row) },
  readEyeCheck: { method: 'GET', path: '/api/eye-checks/:id', response: eyeCheckSchema },
  /** Several commands at once, each whole or not at all; each is answered by itself. */
  carryOut: { method: 'POST', path: '/api/batch', request: batchSchema, response: batchAnswerSchema, least: 'helper' },
} as const satisfies Record<string, Route>;

/** Which studio is meant, where someone works in several: a part of each address. */
export const STUDIO_QUERY = 'studio';

/** What was written since a cursor (`changesQuerySchema`, `changesSchema`), and word of what is written from now on. */
export const CHANGES_PATH = '/api/changes';
export const LIVE_PATH = '/api/changes/live';
/** Every record in one file. */
export const EVERYTHING_PATH = '/api/everything.json';

/** A route's path with its id filled in. */
export function pathOf({ path }: Pick<Route, 'path'>, id?: string): string {
  return path.replace(':id', encodeURIComponent(id ?? ''));
}
