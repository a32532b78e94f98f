import { z } from 'zod';

import { idSchema } from './common';
import { NOUN_NAMES, NOUNS, type NounName, type RowOf } from './nouns';

/** The nouns that devices keep; the others are private. */
export const KEPT_NOUNS = NOUN_NAMES.filter((name) => NOUNS[name].replica !== 'never');

/** Rows and tombstones since a cursor, in pages. */
export const changesSchema = z.object({
  /** Where the next page, or the next change, begins. It means something to the server alone. */
  cursor: z.string(),
  /** Up to which revision of the studio's records this tells: a hint of a later one is worth asking again. */
  revision: z.int().min(0),
  /** Whether there is more by now. */
  more: z.boolean(),
  /** The cursor that was sent is not known here: what was kept is to be dropped, and all of it read from the start. */
  anew: z.boolean(),
  /** Rows as they are now, by noun. One may come again later; it is then newer. */
  rows: z.partialRecord(z.enum(KEPT_NOUNS), z.array(z.looseObject({ id: idSchema }))),
  /** Ids of rows that are gone, by noun. What hangs on them goes as the nouns' `refs` say. */
  gone: z.partialRecord(z.enum(KEPT_NOUNS), z.array(idSchema)),
});
export type Changes = Omit<z.infer<typeof changesSchema>, 'rows'> & { rows: { [N in NounName]?: RowOf<N>[] } };

/** A cursor as a device sends it back. */
export const cursorSchema = z.string().max(200);

/** What the feed is asked. */
export const changesQuerySchema = z.object({
  /** The cursor of the page before; none for the start. */
  since: cursorSchema.default(''),
  /** Names of nouns with commas between; all that devices keep when absent. */
  nouns: z
    .string()
    .transform((text) => text.split(','))
    .pipe(z.array(z.enum(KEPT_NOUNS)))
    .optional(),
});
