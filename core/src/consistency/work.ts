import { TRADE, type Trade } from '../trade';

/** Kinds of work, by how exact they want their balloons. */
export const KINDS_OF_WORK = ['linking', 'classic', 'garland', 'organic'] as const;
export type KindOfWork = (typeof KINDS_OF_WORK)[number];

/** How far a balloon may be off for a kind of work, mm either way. */
export function workToleranceMm({
  work,
  nominalMm,
  trade = TRADE,
}: {
  work: KindOfWork;
  nominalMm: number;
  trade?: Trade | undefined;
}): number {
  const need = trade.workTolerance[work];
  return 'mm' in need ? need.mm : need.fraction * nominalMm;
}
