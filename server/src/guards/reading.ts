import { coreReading, lengthReading } from '@leggero/contract';
import { readingProblem } from '@leggero/core';
import { lengthReadingProblem } from '@leggero/core/modelling';

import { HttpProblem } from '../http/problem';
import { READING_REFUSED } from '../http/words';
import type { Guard } from '../records/guard';
import { findRow, readRow } from '../records/store';

/** A reading is one that its balloon can have, as the core has it. */
export const reading: Guard<'reading'> = {
  async make(asked, make) {
    const calibration = await findRow(asked, 'calibration', make.calibrationId);
    if (!calibration) throw HttpProblem.unknown('calibrationId');
    const { kind, nominalMm, lengthMm } = await readRow(asked, 'model', calibration.modelId);
    const bad =
      kind === 'modelling' && lengthMm !== null
        ? lengthReadingProblem({ size: { lengthMm }, reading: lengthReading(make) })
        : readingProblem({ reading: coreReading(make), nominalMm });
    if (!bad) return;
    // The length of a modelling balloon stands where others have their height.
    const path = bad.field === 'lengthMm' ? 'heightMm' : (bad.field ?? '');
    throw HttpProblem.unusable({ path, message: READING_REFUSED[bad.code] });
  },
};
