import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { roundToStep } from '../units';
import { MOST_LAYERS, type BowOpen } from './kinds';
import { stackLayers, type StackLayersProblemCode } from './stackLayers';
import type { TiedPlace } from './tiedRing';

/** What a bow is asked for with; whichever of width across, duplets of a loop and size is `open` is worked out. */
export interface BowAsked {
  open: BowOpen;
  /** Crossed duplets of one loop, and of one tail. */
  loop: number;
  tail: number;
  widthMm: number;
  /** Over both loops, mm. */
  acrossMm: number;
}

/** A bow worked out: both sides are made alike. */
export interface BowPlan {
  loop: number;
  tail: number;
  /** On the sizer's steps, mm. */
  widthMm: number;
  /** The one width with which these loops are exactly as wide as was asked, mm; the same where that was open. */
  exactMm: number;
  /** From one duplet to the next along the rope, mm. */
  riseMm: number;
  /** From the knot to the end of a loop, along its middle: half the width of the curve, mm. */
  lobeMm: number;
  acrossMm: number;
  /** How far that is from what was asked, mm (above 0: too wide). */
  offMm: number;
  /** Along the rope of one side: its loop, its tail, mm. */
  loopMm: number;
  tailMm: number;
  balloons: number;
}

export type BowProblemCode =
  | StackLayersProblemCode
  | 'bad-step'
  | 'bad-tail'
  /** A loop bends more tightly than its rope is thick: `least` duplets. */
  | 'loop-too-small'
  | 'bad-across'
  /** The width that would land is none these balloons are made in: `leastMm`, `mostMm`. */
  | 'outside-useful';

/**
 * Arc of one loop of a lemniscate over its length from the knot: the lemniscate constant.
 *
 * Source: Todd, Communications of the ACM 18 (1975).
 */
export const LEMNISCATE = 2.622057554292119;
/** At the end of its loop the curve bends with a third of the loop's length as its radius (any handbook of geometry). */
const TIGHTEST = 3;
const WIDEST_MM = 30_000;
const WIDTHS = { leastMm: 20, mostMm: 2000 } as const;

/**
 * A bow of crossed duplets on a joiner: two loops and two tails, both sides of the same count. A loop lies as one of the
 * two loops of a lemniscate, which leaves the knot on one side and comes back on the other; each duplet adds the rise of
 * crossed duplets (`stackLayers`), at the end the balloons stand one width over the curve.
 *
 * Problems: those of `stackLayers`; `bad-step`, `bad-tail` (a whole number from 0), `loop-too-small`, `bad-across`,
 * `outside-useful`.
 *
 * Source: lemniscate of Bernoulli (any handbook of geometry); common practice: two loops of 25 duplets of 9 in at 7 to 8
 * in are about 8 ft across.
 */
export function solveBow({
  bow,
  stepMm,
  leastMm = WIDTHS.leastMm,
  mostMm = WIDTHS.mostMm,
  trade = TRADE,
  packing = trade.packing,
}: {
  bow: BowAsked;
  stepMm: number;
  leastMm?: number | undefined;
  mostMm?: number | undefined;
  packing?: number | undefined;
  trade?: Trade | undefined;
}): Result<BowPlan, BowProblemCode> {
  const { open, tail } = bow;
  if (!(stepMm > 0 && Number.isFinite(stepMm))) return problem('bad-step', { field: 'stepMm' });
  if (!(Number.isInteger(tail) && tail >= 0)) return problem('bad-tail', { field: 'tail' });
  if (open !== 'loop' && !(Number.isInteger(bow.loop) && bow.loop >= 1)) return problem('no-layers', { field: 'loop' });
  const rise = riseOf(open === 'size' ? ANY_MM : bow.widthMm, { packing, trade });
  if (!rise.ok) return rise;
  // Everything is some number of widths.
  const each = rise.value / (open === 'size' ? ANY_MM : bow.widthMm);
  const leastLoop = Math.ceil((TIGHTEST * LEMNISCATE) / each);
  const acrossOf = (loop: number, widthMm: number) => 2 * widthMm * ((loop * each) / LEMNISCATE + 1);
  const planned = (
    loop: number,
    widthMm: number,
    exactMm: number,
    askedMm: number,
  ): Result<BowPlan, BowProblemCode> => {
    if (loop < leastLoop)
      return problem('loop-too-small', { field: open === 'loop' ? 'acrossMm' : 'loop', detail: { least: leastLoop } });
    if (2 * (loop + tail) > MOST_LAYERS)
      return problem('too-many-layers', { field: 'loop', detail: { most: MOST_LAYERS / 2 - tail } });
    const riseMm = each * widthMm;
    const acrossMm = acrossOf(loop, widthMm);
    return ok({
      ...{ loop, tail, widthMm, exactMm, riseMm, acrossMm },
      lobeMm: (loop * riseMm) / LEMNISCATE,
      offMm: acrossMm - askedMm,
      ...{ loopMm: loop * riseMm, tailMm: tail * riseMm, balloons: 4 * (loop + tail) },
    });
  };
  if (open === 'across') return planned(bow.loop, bow.widthMm, bow.widthMm, acrossOf(bow.loop, bow.widthMm));
  const { acrossMm } = bow;
  if (!(acrossMm > 0 && acrossMm <= WIDEST_MM))
    return problem('bad-across', { field: 'acrossMm', detail: { leastMm: 0, mostMm: WIDEST_MM } });
  const exactFor = (loop: number) => acrossMm / acrossOf(loop, 1);
  if (open === 'loop') {
    const loop = Math.round(((acrossMm / (2 * bow.widthMm) - 1) * LEMNISCATE) / each);
    return planned(loop, bow.widthMm, exactFor(Math.max(1, loop)), acrossMm);
  }
  const exactMm = exactFor(bow.loop);
  const widthMm = roundToStep({ mm: exactMm, step: stepMm });
  if (!(widthMm >= leastMm - 1e-6 && widthMm <= mostMm + 1e-6))
    return problem('outside-useful', { field: 'widthMm', detail: { leastMm, mostMm, widthMm: exactMm } });
  return planned(bow.loop, widthMm, exactMm, acrossMm);
}

/** Any width: duplets of spheres rise by the same share of it. */
const ANY_MM = 250;

function riseOf(
  widthMm: number,
  { packing, trade }: { packing: number; trade: Trade },
): Result<number, StackLayersProblemCode> {
  const two = stackLayers({ layers: [CROSSED, CROSSED].map((each) => ({ ...each, widthMm })), packing, trade });
  if (two.ok) return ok(two.value.layers[1]!.riseMm);
  const { field, ...rest } = two.problem;
  return { ok: false, problem: { ...rest, field: field?.replace(/^layers\.\d+\./, '') } as typeof two.problem };
}

const CROSSED = { count: 2 } as const;

/** One balloon of a bow, from its knot. */
export interface BowBalloon extends TiedPlace {
  side: 'right' | 'left';
  /** Its duplet along the rope from the knot, loop first. */
  duplet: number;
}

/** Tails hang so many widths in front of the loops, and turn down round a circle of so many. */
const IN_FRONT = 1.6;
const TURN_DOWN = 1.5;

/**
 * Every balloon of a bow where it lies: duplets half a rise from the knot and one rise apart, in turn across the curve
 * and through it. Tails leave the knot sideways before they fall (common practice).
 */
export function bowBalloons({ loop, tail, widthMm, riseMm, lobeMm }: BowPlan): BowBalloon[] {
  const right = [
    ...alongLobe({ lobeMm, riseMm, duplets: loop }),
    ...Array.from({ length: tail }, (_, i) => onTail((i + 0.5) * riseMm, widthMm)),
  ];
  return (['right', 'left'] as const).flatMap((side) =>
    right.flatMap(({ xMm, yMm, zMm, normal }, duplet) =>
      [1, -1].map((way, place): BowBalloon => {
        const [x, y, z] = duplet % 2 === 0 ? [normal[0], 0, normal[1]] : [0, 1, 0];
        const mirror = side === 'right' ? 1 : -1;
        const out = (way * widthMm) / 2;
        return {
          ...{ side, duplet, place },
          ...{ xMm: mirror * (xMm + out * x), yMm: yMm + out * y, zMm: zMm + out * z },
          neck: [-way * mirror * x, -way * y, -way * z],
        };
      }),
    ),
  );
}

interface OnCurve {
  xMm: number;
  yMm: number;
  zMm: number;
  /** Across the curve in its plane: to the right, up. */
  normal: readonly [number, number];
}

/** Steps of the integration from one duplet to the next. */
const FINE = 16;

/**
 * Places one rise apart along the right loop of a lemniscate, from below the knot to above it: x = a cos t / (1 + sin² t),
 * z = x sin t, ds = a dt / sqrt(1 + sin² t), by the midpoint rule.
 */
function alongLobe({ lobeMm, riseMm, duplets }: { lobeMm: number; riseMm: number; duplets: number }): OnCurve[] {
  const places: OnCurve[] = [];
  const speed = (t: number) => Math.sqrt(1 + Math.sin(t) ** 2) / lobeMm;
  // From the middle outwards, where the curve is known.
  const onwards = (from: number, byMm: number) => {
    let t = from;
    for (let i = 0; i < FINE; i += 1) t += (byMm / FINE) * speed(t + (byMm / FINE / 2) * speed(t));
    return t;
  };
  let t = duplets % 2 === 0 ? onwards(0, riseMm / 2) : 0;
  for (let i = Math.ceil((duplets - 1) / 2); i < duplets; i += 1) {
    places.push(onLobe(t, lobeMm));
    t = onwards(t, riseMm);
  }
  const below = places.slice(duplets % 2).map(({ xMm, zMm, normal: [x, z] }): OnCurve => {
    return { xMm, yMm: 0, zMm: -zMm, normal: [x, -z] };
  });
  return [...below.reverse(), ...places];
}

/** Its tangent turns three times as fast as the direction from the knot. */
function onLobe(t: number, lobeMm: number): OnCurve {
  const xMm = (lobeMm * Math.cos(t)) / (1 + Math.sin(t) ** 2);
  const zMm = xMm * Math.sin(t);
  const turned = 3 * Math.atan2(zMm, xMm);
  return { xMm, yMm: 0, zMm, normal: [Math.cos(turned), Math.sin(turned)] };
}

/** So far along a tail: a quarter turn from sideways to down, then straight. */
function onTail(alongMm: number, widthMm: number): OnCurve {
  const roundMm = TURN_DOWN * widthMm;
  const angle = Math.min(alongMm / roundMm, Math.PI / 2);
  const straightMm = Math.max(0, alongMm - (Math.PI / 2) * roundMm);
  return {
    xMm: roundMm * Math.sin(angle),
    yMm: -IN_FRONT * widthMm,
    zMm: -roundMm * (1 - Math.cos(angle)) - straightMm,
    normal: [Math.sin(angle), Math.cos(angle)],
  };
}
