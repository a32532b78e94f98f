import { stackLayers, unevenStack, type Layer } from '@leggero/core/building';

import type { Vec } from '../space/scene';
import { cross, dot, plus, unit } from '@leggero/core/space';
import type { UnevenHow } from './scenes';
import type { TiedBalloon } from './tied';

/** Layers that follow each other along something bent, as part of one stack. */
export interface BentRow {
  /** Which layer of the stack its first one is. */
  from: number;
  /** The balloons of each layer by their index, in the order of their places. */
  layers: readonly (readonly number[])[];
  /** The layer that stays where it is: it is tied first. */
  fixed: number;
}

/**
 * The balloons of rows as they come out in an artist's hands: the stack is laid anew as if it were straight, and what it
 * grew or shrank by is pushed along the curve, from the layer of each row that stays.
 */
export function bentUneven(
  balloons: readonly TiedBalloon[],
  { layers, rows }: { layers: readonly Layer[]; rows: readonly BentRow[] },
  how: UnevenHow,
): TiedBalloon[] {
  const { packing, trade } = how;
  const even = stackLayers({ layers, packing, trade });
  const uneven = unevenStack({ layers, ...how });
  if (!even.ok || !uneven.ok) return [...balloons];
  const placesOf = layers.map((): { widthMm: number; outMm: number; upMm: number; angle: number }[] => []);
  for (const { layer, widthMm, xMm, yMm, zMm, outwards } of uneven.value.balloons)
    placesOf[layer]!.push({ widthMm, outMm: Math.hypot(xMm, yMm), upMm: zMm, angle: outwards ?? 0 });
  const risen = (layer: number) => {
    const places = placesOf[layer]!;
    return places.reduce((sum, { upMm }) => sum + upMm, 0) / places.length - even.value.layers[layer]!.heightMm;
  };
  return rows.flatMap(({ from, layers: own, fixed }) => {
    const middles = own.map((row) => middleOf(row.map((i) => balloons[i]!)));
    const pushed = risen(from + fixed);
    return own.flatMap((row, at) => {
      const along = unit(plus(middles[Math.min(at + 1, own.length - 1)]!, middles[Math.max(at - 1, 0)]!, -1));
      const layer = even.value.layers[from + at]!;
      const outs = row.map((i) => plus([0, 0, 0], balloons[i]!.neck, -1));
      // Places are counted one way round the stack; along the curve that may be the other way.
      const way = dot(cross(outs[0]!, outs[1]!), along) < 0 ? -1 : 1;
      return row.map((i, place): TiedBalloon => {
        const { widthMm, outMm, upMm, angle } = placesOf[from + at]![place]!;
        const turned = way * (angle - layer.turn - (2 * Math.PI * place) / layer.count);
        const out = rotated(outs[place]!, along, turned);
        const on = plus(plus(middles[at]!, out, outMm), along, upMm - layer.heightMm - pushed);
        return { ...balloons[i]!, widthMm, xMm: on[0], yMm: on[1], zMm: on[2], neck: plus([0, 0, 0], out, -1) };
      });
    });
  });
}

function middleOf(row: readonly TiedBalloon[]): Vec {
  return row.reduce<Vec>((sum, { xMm, yMm, zMm }) => plus(sum, [xMm, yMm, zMm], 1 / row.length), [0, 0, 0]);
}

/** Turned about an axis of length 1 (Rodrigues' formula). */
function rotated(a: Vec, axis: Vec, by: number): Vec {
  const [cos, sin] = [Math.cos(by), Math.sin(by)];
  return plus(plus(plus([0, 0, 0], a, cos), cross(axis, a), sin), axis, dot(axis, a) * (1 - cos));
}
