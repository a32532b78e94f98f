import { eq } from 'drizzle-orm';

import { checkResults } from '../db/tables';
import { HttpProblem } from '../http/problem';
import type { Guard } from '../records/guard';
import { findRow, listRows } from '../records/store';

/**
 * A result has a place in its check. Two devices at one check do not know of one another's taps: one whose place is
 * taken gets the next that is free.
 */
export const checkResult: Guard<'checkResult'> = {
  async make(asked, make) {
    const check = await findRow(asked, 'check', make.checkId);
    if (!check) throw HttpProblem.unknown('checkId');
    const others = await listRows(asked, 'checkResult', eq(checkResults.checkId, make.checkId));
    const taken = new Set(others.map(({ position }) => position));
    if (!taken.has(make.position)) return undefined;
    const places = [...Array(check.size).keys()].filter((place) => !taken.has(place));
    const position = places.find((place) => place > make.position) ?? places[0];
    if (position === undefined) throw HttpProblem.conflict('Every balloon of this check has its result.');
    return { write: { ...make, position } };
  },
};
