import type { FitProblemCode } from '@leggero/core';

/** Why readings give no curve, and what to do. */
export const FIT_PROBLEMS: Record<FitProblemCode, string> = {
  'no-readings': 'There are no readings yet.',
  'no-widths': 'Only bursts so far: the curve needs a width. Take a fresh balloon with a smaller dose.',
  'not-rising': 'The widths fall as the doses rise, so there is no curve. Look for a slip and delete that reading.',
  'bad-dose': 'A reading has a dose that cannot be.',
  'bad-width': 'A reading has a width that this balloon cannot have.',
  'bad-height': 'A reading has a height that this balloon cannot have.',
  'bad-uncertainty': 'A reading has an uncertainty that cannot be.',
  'bad-balloon': 'A reading has a number of its balloon that cannot be.',
  'bad-bracket': 'A reading has holes that do not suit this balloon.',
  'bracket-upside-down': 'A reading stops at a larger hole than it passes.',
  'bad-nominal': 'The nominal size cannot be.',
};
