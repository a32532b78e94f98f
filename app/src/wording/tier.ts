import type { Problem, TierProblemCode, TierShape } from '@leggero/core';

import { percent } from './trade';

/** The shapes a tier bears. */
export const TIER_SHAPE_WORDS: Record<TierShape, { title: string; means: string; short: string }> = {
  round: { title: 'Round only', means: 'Held where the balloon turns oval.', short: 'round' },
  oval: { title: 'Oval too', means: 'May go past round, never to a pear.', short: 'round or oval' },
};

/** What a tier is for, and its shape. */
export function tierText({ purpose, shape }: { purpose: string; shape: TierShape }): string {
  return [purpose, TIER_SHAPE_WORDS[shape].short].filter(Boolean).join(' · ');
}

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
