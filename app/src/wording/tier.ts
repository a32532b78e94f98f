import type { Problem, TierProblemCode } from '@leggero/core';

import { percent } from './trade';

/** What is wrong with a tier, and what would do. */
export function tierProblemText({ code, detail }: Problem<TierProblemCode>): string {
  switch (code) {
    case 'outside-range':
      return `Tiers reach from ${percent(detail.least)} to ${percent(detail.most)} of nominal.`;
    case 'empty-range':
      return 'The range must end above its start.';
    case 'aim-outside':
      return 'The share aimed at lies within the range.';
    case 'overlaps':
      return `This overlaps ${detail.name}. Move one of the two first.`;
  }
}
