import { MOST_FIXINGS } from '@leggero/core';
import { hungOn, knotLine, type HungGarland } from '@leggero/core/garland';

import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { GarlandView } from '@/parts/piece/viewGarland';

/** A hand’s breadth: a deeper sag between hooks is seen across a room (from memory). */
const SEEN_SAG_MM = 100;

/** A garland on its hooks; null without any. */
export interface OnHooks {
  hung: HungGarland | null;
  /** How many would hold it and let it sag little; null where it has as many, or no number does. */
  enough: number | null;
}

/** A garland on its hooks, and how many are enough. */
export function onHooks(
  view: GarlandView | null,
  { fixings }: GarlandDesign,
  { knowledge: { trade } }: PieceBasis,
): OnHooks {
  const line = view && fixings ? knotLine(view.points) : null;
  if (!view || !fixings || !line?.ok) return { hung: null, enough: null };
  const on = (count: number) => {
    const hung = hungOn({ line: line.value, count, kg: view.kg, trade });
    return hung.ok ? hung.value : null;
  };
  const isEnough = (hung: HungGarland | null) =>
    hung !== null && hung.mostKg <= fixings.holdsKg && hung.sagMm <= SEEN_SAG_MM;
  const hung = on(fixings.count);
  let enough = fixings.count;
  while (enough <= MOST_FIXINGS && !isEnough(on(enough))) enough += 1;
  return { hung, enough: enough > fixings.count && enough <= MOST_FIXINGS ? enough : null };
}
