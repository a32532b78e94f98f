import type { RowOf } from '@leggero/contract';
import { tierProblem } from '@leggero/core';

import { HttpProblem } from '../http/problem';
import { TIER_REFUSED } from '../http/words';
import type { Asked, Guard } from '../records/guard';
import { listRows } from '../records/store';

/** A tier's range leaves room for the others. */
export const tier: Guard<'tier'> = {
  make: refuseUnsuited,
  async change(asked, row, by) {
    if (REACHES.some((field) => by[field] !== undefined)) await refuseUnsuited(asked, { ...row, ...by } as typeof row);
  },
};

const REACHES = ['fraction', 'leastFraction', 'mostFraction'] as const;

async function refuseUnsuited(asked: Asked, made: RowOf<'tier'>): Promise<void> {
  const others = (await listRows(asked, 'tier')).filter(({ id }) => id !== made.id);
  const bad = tierProblem({ tier: made, others });
  if (bad) throw HttpProblem.unusable({ path: bad.field ?? '', message: TIER_REFUSED[bad.code] });
}
