import type { SizeSpread } from '../consistency/sizeSpread';
import { rootWithin } from '../numeric';
import { ok, type Result } from '../result';
import { meanOf, normalFrom, randomFrom } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { ringRadiusMm, type Layer } from './layer';
import { stackLayers, type StackedBalloon, type StackLayersProblemCode } from './stackLayers';

/** No balloon is off by more than this share: what is comes out is let out again, or burst. */
const MOST_OFF = 0.4;

/** How far off so many balloons come out, one after another, as factors of their sizes. */
export function factorsOff({ lean, sd }: SizeSpread, seed: number): () => number {
  const random = randomFrom(seed);
  return () => 1 + Math.min(MOST_OFF, Math.max(-MOST_OFF, lean + sd * normalFrom(random)));
}

/** A stack as it came out. */
export interface UnevenStack {
  balloons: StackedBalloon[];
  heightMm: number;
}

/**
 * A stack as it comes out when no balloon is just of its size. In a layer all lie on one circle and touch their
 * neighbours; layers rest on each other as layers of their mean size do, and stay level.
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
  trade = TRADE,
  packing = trade.packing,
}: {
  layers: readonly Layer[];
  spread: SizeSpread;
  seed: number;
  packing?: number | undefined;
  trade?: Trade | undefined;
}): Result<UnevenStack, StackLayersProblemCode> {
  const next = factorsOff(spread, seed);
  const widths = layers.map(({ count, widthMm }) => Array.from({ length: count }, () => widthMm * next()));
  const even = layers.map((layer, i) => ({ ...layer, widthMm: meanOf(widths[i]!) }));
  const stacked = stackLayers({ layers: even, packing, trade });
  if (!stacked.ok) return stacked;
  const balloons = stacked.value.layers.flatMap(
    ({ count, widthMm: meanMm, aspect, turn, heightMm, radiusMm: evenMm }, layer) => {
      const own = widths[layer]!;
      const { radiusMm: roundMm, angles } = touchingRing(own);
      // Longer balloons lie as much farther out as they do in an even ring.
      const radiusMm = count === 1 ? 0 : (roundMm * evenMm) / ringRadiusMm({ count, widthMm: meanMm });
      return own.map((widthMm, place): StackedBalloon => {
        const angle = turn + angles[place]!;
        const [xMm, yMm] = [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)];
        return { layer, place, xMm, yMm, zMm: heightMm, widthMm, aspect, outwards: count === 1 ? null : angle };
      });
    },
  );
  return ok({ balloons, heightMm: stacked.value.heightMm });
}

/**
 * Circles of these widths around a middle, each touching the next, all their centres on one circle: its radius (mm), and
 * the angle of each centre from the first (radians).
 */
export function touchingRing(widthsMm: readonly number[]): { radiusMm: number; angles: number[] } {
  if (widthsMm.length === 1) return { radiusMm: 0, angles: [0] };
  const chords = widthsMm.map((widthMm, i) => (widthMm + widthsMm[(i + 1) % widthsMm.length]!) / 2);
  const angleOf = (chord: number, radiusMm: number) => 2 * Math.asin(Math.min(1, chord / (2 * radiusMm)));
  const around = (radiusMm: number) => chords.reduce((sum, chord) => sum + angleOf(chord, radiusMm), 0) - 2 * Math.PI;
  const least = Math.max(...chords) / 2;
  // Twice round a circle as long as all chords together there is room for all.
  const most = chords.reduce((sum, chord) => sum + chord, 0);
  const radiusMm = around(least) <= 0 ? least : rootWithin({ of: around, low: least, high: most, within: 1e-9 });
  const angles = chords
    .slice(0, -1)
    .reduce<number[]>((sum, chord) => [...sum, sum.at(-1)! + angleOf(chord, radiusMm)], [0]);
  return { radiusMm, angles };
}
