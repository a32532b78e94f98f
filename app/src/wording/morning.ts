import type { AfterNight } from '@leggero/core';

import { counted } from './trade';

type Fine = (mm: number) => string;

/** "Lost ⅛ in; 1/16 in was reckoned with." */
export const lostText = ({ lostMm, reckonedMm }: AfterNight, fine: Fine): string =>
  `${lostMm < 0 ? `Grown by ${fine(-lostMm)}` : `Lost ${fine(lostMm)}`}; ${fine(reckonedMm)} was reckoned with.`;

/** What follows for those that were made with it. */
export function nightText(
  { against, offMm, atOpeningMm }: AfterNight,
  text: (mm: number) => string,
  fine: Fine,
): string {
  if (against === 'as-reckoned') return 'As reckoned: carry on.';
  const off = `${fine(Math.abs(offMm))} ${offMm < 0 ? 'smaller' : 'larger'} than reckoned`;
  const at = `At the opening they are about ${text(atOpeningMm)}, ${off}.`;
  return against === 'more'
    ? `${at} Look at the necks; from now on targets reckon with it.`
    : `${at} From now on targets reckon with it.`;
}

/** "14 h ago". */
export const sinceText = (hours: number): string =>
  hours < 1 ? 'just now' : `${counted(Math.round(hours), 'hour')} ago`;
