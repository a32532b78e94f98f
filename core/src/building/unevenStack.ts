import { ok, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import type { Layer } from './layer';
import { layUneven, roomFor } from './layUneven';
import { factorsOff, type PieceSpread } from './sizesOff';
import type { StackedBalloon, StackLayersProblemCode } from './stackLayers';
import { unevenPlan, type HeldBy } from './unevenPlan';

/** A stack as it came out. */
export interface UnevenStack {
  balloons: StackedBalloon[];
  heightMm: number;
}

/**
 * A stack as it comes out when no balloon is just of its size (`layUneven`). On a pole its layers stay level; on line it
 * leans as it does before anyone straightens it.
 *
 * `layers`: as for `stackLayers`, from the lowest up. `spread`: shares of the width. `seed`: the same one gives the
 * same stack.
 *
 * Problems: those of `stackLayers`.
 */
export function unevenStack({
  layers,
  spread,
  seed,
  heldBy = 'pole',
  trade = TRADE,
  packing = trade.packing,
}: {
  layers: readonly Layer[];
  spread: PieceSpread;
  seed: number;
  heldBy?: HeldBy | undefined;
  packing?: number | undefined;
  trade?: Trade | undefined;
}): Result<UnevenStack, StackLayersProblemCode> {
  const planned = unevenPlan({ layers, heldBy, packing, trade });
  if (!planned.ok) return planned;
  const plan = planned.value;
  const laid = roomFor(plan);
  const next = factorsOff(spread, seed);
  plan.widthsMm.forEach((widthMm, i) => (laid.widthsMm[i] = widthMm * next()));
  layUneven(plan, laid);
  const balloons = plan.layers.flatMap(({ count, aspect, first }, layer) =>
    Array.from({ length: count }, (_, place): StackedBalloon => {
      const [angle, radiusMm] = [laid.angles[first + place]!, laid.radiiMm[layer]!];
      const [alongX, alongY] = [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)];
      return {
        ...{ layer, place, aspect, widthMm: laid.widthsMm[first + place]! },
        xMm: laid.xMm[layer]! + alongX,
        yMm: laid.yMm[layer]! + alongY,
        zMm: laid.zMm[layer]! - alongX * laid.fallX[layer]! - alongY * laid.fallY[layer]!,
        outwards: count === 1 ? null : angle,
      };
    }),
  );
  return ok({ balloons, heightMm: laid.heightMm });
}
