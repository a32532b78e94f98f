import { HttpProblem } from '../http/problem';
import type { Guard } from '../records/guard';
import { listAlike, numberedAmong } from '../records/numbered';
import { findRow } from '../records/store';

/**
 * A result has a place in its check. Two devices at one check do not know of one another's taps: one whose place is
 * taken gets the first that is free.
 */
export const checkResult: Guard<'checkResult'> = {
  async make(asked, make) {
    const check = await findRow(asked, 'check', make.checkId);
    if (!check) throw HttpProblem.unknown('checkId');
    const position = numberedAmong('checkResult', make, await listAlike(asked, 'checkResult', make));
    if (position !== make.position && position >= check.size)
      throw HttpProblem.conflict('Every balloon of this check has its result.');
    return { write: { ...make, position } };
  },
};
