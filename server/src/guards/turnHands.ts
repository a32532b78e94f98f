import type { RowOf } from '@leggero/contract';

import { allowOnly, isAllowed } from '../person/private';
import type { Asked, Guard } from '../records/guard';

const allowOwn = (asked: Asked, { personId }: RowOf<'turnHands'>) => allowOnly(asked, asked.viewer, [personId]);

/**
 * Whose hands a turn was is theirs to know. Whoever is at the station may say it, as a session by eye may be started; a
 * repeated request is answered with its own words, unless the viewer may see what is stored.
 */
export const turnHands: Guard<'turnHands'> = {
  again: async (asked, stored, make) =>
    (await isAllowed(asked, asked.viewer, [stored.personId])) ? stored : { ...stored, ...make },
  // Nothing of it changes, but the answer would show it.
  change: allowOwn,
  remove: allowOwn,
};
