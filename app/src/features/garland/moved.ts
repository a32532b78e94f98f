import { MOST_MOVED } from '@leggero/contract';
import type { Place } from '@leggero/core/garland';
import { plus } from '@leggero/core/space';

import { isMadeSo, type GarlandDesign, type PlannedBalloon } from '@/parts/piece/garlandPlan';

type Moved = GarlandDesign['moved'];
type Cluster = Pick<PlannedBalloon, 'cluster' | 'layer'>;

const isOf = (design: Pick<GarlandDesign, 'strip'>, { cluster, layer }: Cluster) => {
  const isSo = isMadeSo(design);
  return (each: Moved[number]) => isSo(each) && each.cluster === cluster && each.layer === layer;
};

/** How far a cluster is pulled by hand from where it would lie, mm. */
export function movedOf(design: Pick<GarlandDesign, 'moved' | 'strip'>, of: Cluster): Place {
  const own = design.moved.find(isOf(design, of));
  return own ? [own.xMm, own.yMm, own.zMm] : [0, 0, 0];
}

/** The same cluster pulled so far instead, the newest last; the oldest makes room where there are too many. */
export function movedTo(
  design: Pick<GarlandDesign, 'moved' | 'strip'>,
  of: Cluster,
  [xMm, yMm, zMm]: Place,
): { moved: Moved } {
  const is = isOf(design, of);
  const others = design.moved.filter((each) => !is(each));
  const { cluster, layer } = of;
  return { moved: [...others, { strip: design.strip !== null, cluster, layer, xMm, yMm, zMm }].slice(-MOST_MOVED) };
}

/** The same cluster pulled so far on. */
export const movedBy = (design: Pick<GarlandDesign, 'moved' | 'strip'>, of: Cluster, by: Place) =>
  movedTo(design, of, plus(movedOf(design, of), by));
