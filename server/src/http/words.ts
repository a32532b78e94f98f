import type { HoldProblemCode, TierProblemCode } from '@leggero/core';

/** Why a reading is refused. The app has sentences of its own for these; this is for whoever calls the API by hand. */
export function readingRefused(code: string): string {
  return `Not possible for this balloon (${code})`;
}

/** Why a width of a hold test is refused. */
export const HOLD_REFUSED: Record<HoldProblemCode, string> = {
  'no-first-width': 'The width at the knot is missing',
  'bad-hours': 'Hours from 0 to 8,760 are possible',
  'bad-width': 'This is no width',
  grew: 'A balloon does not grow by standing: measure again',
};

/** Why a tier is refused. */
export const TIER_REFUSED: Record<TierProblemCode, string> = {
  'outside-range': 'Tiers reach from 30 to 100 % of nominal',
  'empty-range': 'The end lies above the start',
  'aim-outside': 'The share aimed at lies within the range',
  overlaps: 'This range overlaps another tier’s',
};
