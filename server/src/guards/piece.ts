import { eq } from 'drizzle-orm';

import { fixings } from '../db/tables';
import type { Guard } from '../records/guard';
import { listRows } from '../records/store';

/** What hangs on a piece goes to another event with it: whoever follows that event alone hears of all of it. */
export const piece: Guard<'piece'> = {
  async change(asked, { id, eventId }, by) {
    if (by.eventId === undefined || by.eventId === eventId) return;
    const hanging = await listRows(asked, 'fixing', eq(fixings.pieceId, id));
    asked.touch(
      'fixing',
      hanging.map((fixing) => fixing.id),
    );
  },
};
