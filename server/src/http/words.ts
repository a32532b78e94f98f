import type { HoldProblemCode, ReadingProblemCode, TierProblemCode } from '@leggero/core';
import type { ConstantProblemCode } from '@leggero/core/constants';
import type { LengthReadingProblemCode } from '@leggero/core/modelling';

/** Why a reading is refused, to whoever calls the API or brings a file. The app has sentences beside its fields. */
export const READING_REFUSED: Record<ReadingProblemCode | LengthReadingProblemCode, string> = {
  'bad-dose': 'A dose lies above 0 and up to 200',
  'bad-width': 'This balloon cannot be that wide',
  'bad-height': 'A balloon of this width cannot be that high',
  'bad-uncertainty': 'An uncertainty is above 0 and below the nominal size',
  'bad-balloon': 'Balloons are numbered from 1 to 9999',
  'bad-bracket': 'This balloon does not fit holes of that size',
  'bracket-upside-down': 'It stops at the smaller hole and passes the larger one: these two are the other way round',
  'bad-reading': 'A dose lies above 0 and up to 200',
  'longer-than-full': 'A modelling balloon is not filled longer than its code says, but for a little stretch',
};

/** Why a width of a hold test is refused. */
export const HOLD_REFUSED: Record<HoldProblemCode, string> = {
  'no-first-width': 'The width at the knot is missing',
  'bad-hours': 'Hours from 0 to 8,760 are possible',
  'bad-width': 'This is no width',
  grew: 'A balloon does not grow by standing: measure again',
};

/** Why a studio may not have a number of the trade so. */
export const CONSTANT_REFUSED: Record<ConstantProblemCode, string> = {
  'unknown-constant': 'No number of the trade has this name',
  implausible: 'This lies outside of what is plausible for it',
  contradicts: 'This contradicts another number of the trade',
};

/** Why a tier is refused. */
export const TIER_REFUSED: Record<TierProblemCode, string> = {
  'outside-range': 'Tiers reach from 30 to 100 % of nominal',
  'empty-range': 'The end lies above the start',
  'aim-outside': 'The share aimed at lies within the range',
  overlaps: 'This range overlaps another tier’s',
};
