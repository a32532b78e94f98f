import type { DesignOf } from '@leggero/contract';
import { MM_PER_INCH } from '@leggero/core';
import type { Topper } from '@leggero/core/building';

import type { SceneTube, Vec } from '../space/scene';

/** What stands on a piece as it is kept. */
export type KeptTopper = DesignOf<'column'>['topper'];
type Spray = Extract<KeptTopper, { kind: 'spray' }>;

/** The same as layers are stacked with it: a spray is a figure of its height. */
export function onTop(topper: KeptTopper): Topper | null {
  if (topper?.kind === 'balloon') return { kind: 'balloon', widthMm: topper.part.widthMm };
  return topper && { kind: 'figure', heightMm: topper.heightMm };
}

/** How wide a figure of its height usually is (common practice). */
const FIGURE_WIDE = 0.6;
/** A ray of a spray, mm across (common practice), two of each balloon; and how far the lowest leans, radians. */
const RAY_MM = 2 * MM_PER_INCH;
const LEANS = Math.PI / 3;
/** What is seen of them from the side, where they do not hide one another: the mean over all directions they lean in. */
const SEEN = 0.8;

/** A figure or a spray on top as an oblong that shows as much to the wind. */
export function figureIn(topper: KeptTopper): { widthMm: number; heightMm: number } | null {
  if (topper === null || topper.kind === 'balloon') return null;
  const { heightMm } = topper;
  if (topper.kind === 'figure') return { widthMm: FIGURE_WIDE * heightMm, heightMm };
  return { widthMm: Math.min(2 * heightMm * Math.sin(LEANS), SEEN * raysOf(topper) * RAY_MM), heightMm };
}

/** Balloons are twisted together at their middles. */
const raysOf = ({ count }: Pick<Spray, 'count'>) => 2 * count;

/** From one ray to the next around the pole: no two lie above each other (golden angle). */
const GOLDEN = Math.PI * (3 - Math.sqrt(5));

/** The rays of a spray from where they are twisted together, evenly over a cap of the sphere. */
export function sprayTubes(spray: Spray, fromMm: number): SceneTube[] {
  const { heightMm, part } = spray;
  const rays = raysOf(spray);
  return Array.from({ length: rays }, (_, i): SceneTube => {
    const rise = 1 - ((i + 0.5) / rays) * (1 - Math.cos(LEANS));
    const out = Math.sqrt(1 - rise * rise);
    const to: Vec = [
      heightMm * out * Math.cos(i * GOLDEN),
      heightMm * out * Math.sin(i * GOLDEN),
      fromMm + heightMm * rise,
    ];
    return { line: [[0, 0, fromMm], to], widthMm: RAY_MM, hex: part.colourHex };
  });
}
