import type { ShelfModel } from '@leggero/contract';

import type { SupplyLine } from './supply';

const DAY_MS = 86_400_000;
/** Bags, rooms and hands change: a calibration of half a year ago is looked at again (from memory). */
const OLD_DAYS = 180;

/** A balloon of the builds ahead that is not known well enough. */
export interface UnknownBalloon {
  model: ShelfModel;
  /** Null where it was never measured. */
  days: number | null;
}

/** Balloons that these pieces use and that were never measured, or long ago; pairs are known by their two. */
export function unknownBalloons(
  used: ReadonlySet<string>,
  models: readonly ShelfModel[],
  nowMs: number,
): UnknownBalloon[] {
  return models
    .filter(({ id, outerId }) => used.has(id) && outerId === null)
    .flatMap((model): UnknownBalloon[] => {
      const last = model.calibrations.flatMap(({ readings }) => readings.map(({ takenAt }) => Date.parse(takenAt)));
      if (last.length === 0) return [{ model, days: null }];
      const days = Math.floor((nowMs - Math.max(...last)) / DAY_MS);
      return days > OLD_DAYS ? [{ model, days }] : [];
    });
}

/** What there is too little of, the most lacking first, and how many balloons are to be bought. */
export function shortOf(lines: readonly SupplyLine[]): { line: SupplyLine; lacks: number }[] {
  return lines
    .flatMap((line) => (line.bought.bags > 0 ? [{ line, lacks: line.promised.lacks }] : []))
    .sort((a, b) => b.lacks - a.lacks);
}
