import type { ModellingSize } from '../modelling/code';
// Not from the whole room: its pages alone need the rest.
import { tailFor } from '../modelling/length';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import type { Form } from './form';
import { swag } from './swag';

/** A handle of one modelling balloon, from one point of the top ring to the one across. */
export interface Handle {
  /** Of the balloon itself, mm. */
  widthMm: number;
  spanMm: number;
  /** Above the points, mm. */
  riseMm: number;
  /** Of the arch between the points, mm. */
  archMm: number;
  /** A bubble at each end, twisted around the point, mm. */
  bubbleMm: number;
  /** Where to twist, from the knot, mm: after the first bubble and before the last. */
  twistsAtMm: [number, number];
  /** To fill, and what stays empty for the twists, mm. */
  bodyMm: number;
  tailMm: number;
}

export type HandleProblemCode =
  | 'bad-rise'
  /** The balloon is shorter than the arch: `mostMm` is the highest it reaches. */
  | 'longer-than-balloon';

/** A bubble that holds at a point is a little longer than wide (common practice). */
const BUBBLE_SHARE = 1.25;
const TWISTS = 2;

/**
 * From point to point across the top ring, mm: points lie between two balloons; with an odd count a point faces a
 * balloon.
 */
export function handleSpanMm({ layers }: Pick<Form, 'layers'>): number {
  const top = layers.at(-1)!;
  const inwards = Math.cos(Math.PI / top.count);
  return top.radiusMm * (top.count % 2 === 0 ? 2 * inwards : 1 + inwards);
}

/**
 * The handle over an opening: an arch in the shape of a hanging chain, turned over, from point to point, with a
 * bubble twisted around each.
 *
 * Problems: `bad-rise`; `longer-than-balloon`, with the highest arch that the balloon reaches (0: none).
 */
export function handleFor({
  spanMm,
  riseMm,
  size,
  trade = TRADE,
}: {
  spanMm: number;
  riseMm: number;
  size: ModellingSize;
  trade?: Trade | undefined;
}): Result<Handle, HandleProblemCode> {
  const arch = swag({ spanMm, dropMm: riseMm });
  if (!arch.ok) return problem('bad-rise', { field: 'riseMm' });
  const bubbleMm = BUBBLE_SHARE * size.widthMm;
  const tail = tailFor({ size, twists: TWISTS, trade });
  const tailMm = tail.ok ? tail.value.tailMm : 0;
  const archMm = arch.value.lengthMm;
  const bodyMm = archMm + 2 * bubbleMm;
  const mostMm = size.lengthMm - tailMm;
  if (bodyMm > mostMm) {
    const longest = swag({ spanMm, lengthMm: Math.max(0, mostMm - 2 * bubbleMm) });
    const detail = { mostMm: longest.ok ? longest.value.dropMm : 0 };
    return problem('longer-than-balloon', { field: 'riseMm', detail });
  }
  const { widthMm } = size;
  return ok({ widthMm, spanMm, riseMm, archMm, bubbleMm, twistsAtMm: [bubbleMm, bubbleMm + archMm], bodyMm, tailMm });
}

/** A place in space, mm. */
interface Point {
  xMm: number;
  yMm: number;
  zMm: number;
}

/** The handle's line in space, from point to point over the top. */
export function handleLine({ layers }: Pick<Form, 'layers'>, { spanMm, riseMm }: Handle): Point[] {
  const top = layers.at(-1)!;
  const hung = swag({ spanMm, dropMm: riseMm });
  if (!hung.ok) return [];
  const { aMm } = hung.value;
  // Points lie half a step from the balloons.
  const angle = (2 * Math.PI * (top.turned + 0.5)) / top.count;
  return Array.from({ length: 41 }, (_, i) => {
    const along = (i / 40 - 0.5) * spanMm;
    const up = riseMm - aMm * (Math.cosh(along / aMm) - 1);
    return { xMm: along * Math.cos(angle), yMm: along * Math.sin(angle), zMm: top.heightMm + up };
  });
}
