import { z } from 'zod';

import { idSchema, instantSchema } from './common';
import { KEPT_NOUNS } from './feed';
import type { Route } from './route';

/** What is done to besides rows: who works in the studio, who is asked to, and what is shared. */
export const CREW_THINGS = ['member', 'invitation', 'share'] as const;

const fieldsSchema = z.record(z.string(), z.unknown());

/**
 * What became of a row: made (nothing before), taken away (nothing after), or changed, then with the fields that did.
 * Pictures are left out.
 */
export const deedRowSchema = z.object({
  noun: z.enum([...KEPT_NOUNS, ...CREW_THINGS]),
  id: idSchema,
  was: fieldsSchema.nullable(),
  is: fieldsSchema.nullable(),
});
export type DeedRow = z.infer<typeof deedRowSchema>;

/** Rows of a deed that are told one by one. */
export const MOST_TOLD = 12;

/** What somebody did at once: all of it was carried out, or none. */
export const deedSchema = z.object({
  id: idSchema,
  at: instantSchema,
  /** Who, as they were called then; null of whoever was at the machine while nobody signed in. */
  by: z.object({ id: idSchema, name: z.string() }).nullable(),
  /** At most so many (`MOST_TOLD`) of what they did, and how many there are. */
  rows: z.array(deedRowSchema),
  count: z.number().int().positive(),
  /** Whether it can be taken back, as far as is known without trying. */
  canUndo: z.boolean(),
  /** The deed that took this one back, and the one that this took back. */
  undoneBy: idSchema.nullable(),
  undoes: idSchema.nullable(),
});
export type Deed = z.infer<typeof deedSchema>;

/** Deeds told at once, the newest first; `more`: where the next page begins, null after the last. */
export const deedsSchema = z.object({ deeds: z.array(deedSchema), more: z.number().int().positive().nullable() });
export type Deeds = z.infer<typeof deedsSchema>;

/** Which deeds are asked for: those before a place that a page named, and of one account. */
const deedsQuerySchema = z.object({
  before: z.coerce.number().int().positive().optional(),
  by: idSchema.optional(),
});

export const DEED_ROUTES = {
  listDeeds: { method: 'GET', path: '/api/deeds', query: deedsQuerySchema, response: deedsSchema, least: 'planner' },
  /** Takes back what was done, where nothing of it was changed since; answers what that was. */
  undoDeed: { method: 'POST', path: '/api/deeds/:id/undo', response: deedSchema, least: 'planner' },
} as const satisfies Record<string, Route>;
