import { z } from 'zod';

import { instantSchema } from './common';
import { KEPT_NOUNS } from './feed';
import { NOUNS, type NounName, type RowOf } from './nouns';

/** Every record of a studio but those that are private to a person, as of one moment: the form of the one file. */
export const everythingSchema = z.object({
  /** The version of this form. */
  leggero: z.literal(1),
  madeAt: instantSchema,
  /** The revision at which the records were. */
  revision: z.int().min(0),
  /** All rows, by noun, as the nouns declare them. */
  rows: z.object(Object.fromEntries(KEPT_NOUNS.map((name) => [name, z.array(NOUNS[name].row)]))),
});
export type Everything = Omit<z.infer<typeof everythingSchema>, 'rows'> & { rows: { [N in NounName]?: RowOf<N>[] } };
