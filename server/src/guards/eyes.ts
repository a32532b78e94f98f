import { eyeBalloonCount, type RowOf } from '@leggero/contract';

import { HttpProblem } from '../http/problem';
import { allowOnly, isAllowed } from '../person/private';
import type { Asked, Guard } from '../records/guard';
import { readRow } from '../records/store';

const takingPart = ({ personId, secondPersonId }: RowOf<'eyeCheck'>) => [personId, secondPersonId];

const allowOnCheck = (asked: Asked, check: RowOf<'eyeCheck'>) => allowOnly(asked, asked.viewer, takingPart(check));

/**
 * A session by eye is its people's own. Whoever is at the device may start one: a record that waits there must not be
 * lost to a session that has ended. A repeated request is answered with its own words, unless the viewer may see what is
 * stored.
 */
export const eyeCheck: Guard<'eyeCheck'> = {
  again: async (asked, stored, make) =>
    (await isAllowed(asked, asked.viewer, takingPart(stored))) ? stored : { ...stored, ...make, demo: false },
  // Nothing of it changes, but the answer would show it.
  change: allowOnCheck,
  remove: allowOnCheck,
};

/**
 * As with sessions whoever is at the device may add a balloon, and its first width; a width that is there is changed only
 * by those who took part and the owner.
 */
export const eyeBalloon: Guard<'eyeBalloon'> = {
  async make(asked, { eyeCheckId, position }) {
    if (position >= eyeBalloonCount(await readRow(asked, 'eyeCheck', eyeCheckId)))
      throw HttpProblem.unusable({ path: 'position', message: 'This session has no such balloon' });
  },
  async again(asked, stored, make) {
    const check = await readRow(asked, 'eyeCheck', stored.eyeCheckId);
    return (await isAllowed(asked, asked.viewer, takingPart(check))) ? stored : { ...stored, ...make };
  },
  async change(asked, { eyeCheckId, widthMm }, by) {
    if (widthMm !== null || typeof by.widthMm !== 'number')
      await allowOnCheck(asked, await readRow(asked, 'eyeCheck', eyeCheckId));
  },
  async remove(asked, { eyeCheckId }) {
    await allowOnCheck(asked, await readRow(asked, 'eyeCheck', eyeCheckId));
  },
};
