import { MOST_HOLES } from '@leggero/contract';
import { eq } from 'drizzle-orm';

import { sizerHoles } from '../db/tables';
import { HttpProblem } from '../http/problem';
import type { Guard } from '../records/guard';
import { listRows } from '../records/store';

/** A sizer has so many holes at most. */
export const hole: Guard<'hole'> = {
  async make(asked, { sizerId }) {
    const others = await listRows(asked, 'hole', eq(sizerHoles.sizerId, sizerId));
    if (others.length >= MOST_HOLES)
      throw HttpProblem.unusable({ path: 'sizerId', message: `A sizer has ${MOST_HOLES} holes at most` });
  },
};
