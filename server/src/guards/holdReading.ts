import { holdTestProblem } from '@leggero/core';
import { eq } from 'drizzle-orm';

import { holdReadings } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { HOLD_REFUSED } from '../http/words';
import type { Guard } from '../records/guard';
import { listRows, readRow } from '../records/store';

/** A balloon that stands only gets smaller, hour by hour. */
export const holdReading: Guard<'holdReading'> = {
  async make(asked, make) {
    const { wraps, stuffed } = await readRow(asked, 'holdTest', make.holdTestId);
    const earlier = await listRows(asked, 'holdReading', eq(holdReadings.holdTestId, make.holdTestId));
    const bad = holdTestProblem({ wraps, stuffed, readings: [...earlier, make] });
    if (!bad) return;
    const path = bad.problem.field?.endsWith('hours') ? 'hours' : 'widthMm';
    throw HttpProblem.unusable({ path, message: HOLD_REFUSED[bad.problem.code] });
  },
};
