import { chainProblem } from '@leggero/core/linking';

import { HttpProblem } from '../http/problem';
import type { Guard } from '../records/guard';

/** A measured chain has a length that so many balloons can have. */
export const chain: Guard<'chain'> = {
  async make(_, make) {
    const wrong = chainProblem(make);
    if (wrong) throw HttpProblem.unusable({ path: wrong.field, message: 'No chain of so many balloons is so long' });
  },
};
