import { bodyVolumeL, widthForVolumeMm } from '../balloon';
import { monotoneRegression, type MonotoneBlock } from '../statistics';
import { TRADE } from '../trade';
import { widthSdOf, widthSeenMm, type Reading, type WaySds } from './reading';

/** Where a balloon turns from round to oval, or why the readings do not show it. */
export type RoundLimit =
  | { kind: 'shown'; widthMm: number; sdMm: number }
  /** Round as far as it was filled: the limit lies above `widthMm`. */
  | { kind: 'above'; widthMm: number }
  /** Oval from the smallest width seen: the limit lies below `widthMm`. */
  | { kind: 'below'; widthMm: number }
  | { kind: 'no-shapes-seen' };

/** One corner of the aspect law. */
export interface ShapeKnot {
  widthMm: number;
  aspect: number;
  /**
   * Standard uncertainty of the aspect. Small where no height was measured: the law then only carries a width over to
   * a volume and back, and a constant error cancels.
   */
  sd: number;
}

/** Aspect (height / width) against width: level to the first knot and from the last, straight in between. */
export interface ShapeLaw {
  /** Rising in both; empty when no shape was seen, and the aspect is then taken as 1. */
  knots: ShapeKnot[];
  roundLimit: RoundLimit;
}

interface AspectSeen {
  x: number;
  value: number;
  weight: number;
}

/**
 * Fits the aspect law to readings with a height or a shape answer: weighted least squares among the laws that never
 * fall, level over each stretch that pooling makes, straight between stretches. The round limit is where the law,
 * straight between its knots, reaches `TRADE.roundAspect`. Its uncertainty joins half the way between where the law,
 * moved up and down by one of its own deviations (or, halved again, by two), reaches that aspect, and half the
 * standard deviation of a uniform law over the gap between the neighbouring knots, for the shape that was not seen
 * there.
 */
export function fitShapeLaw({ readings, ways }: { readings: readonly Reading[]; ways?: WaySds | undefined }): ShapeLaw {
  const seen: AspectSeen[] = [];
  for (const reading of readings) {
    const aspect = aspectSeen(reading, ways);
    if (aspect) seen.push(aspect);
  }
  if (seen.length === 0) return { knots: [], roundLimit: { kind: 'no-shapes-seen' } };

  seen.sort((a, b) => a.x - b.x);
  const blocks = monotoneRegression(seen);
  const measured = readings.some((reading) => reading.heightMm !== undefined);
  const knots = blocks.flatMap(({ from, to, value, weight }) => {
    const sd = measured ? Math.hypot(1 / Math.sqrt(weight), TRADE.aspectLawSd.value) : TRADE.unseenAspectSd.value;
    const knot = { aspect: value, sd };
    return [...new Set([from, to])].map((widthMm) => ({ widthMm, ...knot }));
  });
  return { knots, roundLimit: roundLimitOf(blocks, seen) };
}

function roundLimitOf(blocks: readonly MonotoneBlock[], seen: readonly AspectSeen[]): RoundLimit {
  const smallestMm = seen[0]!.x;
  const largestMm = seen.at(-1)!.x;
  const best = crossing(blocks, 0);
  if (!best) return { kind: 'above', widthMm: largestMm };
  if (best.gapMm === 0) return { kind: 'below', widthMm: smallestMm };
  // Where the law rises fast, one deviation says little of two: the wider of both measures counts.
  const reach = (deviations: number) => {
    const lowMm = crossing(blocks, deviations)?.widthMm ?? smallestMm;
    const highMm = crossing(blocks, -deviations)?.widthMm ?? largestMm + best.gapMm;
    return (highMm - lowMm) / (2 * deviations);
  };
  return {
    kind: 'shown',
    widthMm: best.widthMm,
    sdMm: Math.hypot(Math.max(reach(1), reach(2)), best.gapMm / (2 * Math.sqrt(12))),
  };
}

/** Where the law, moved up by so many of its own uncertainties, passes the round limit; gap 0 when it starts above. */
function crossing(blocks: readonly MonotoneBlock[], deviations: number): { widthMm: number; gapMm: number } | null {
  const limit = TRADE.roundAspect.value;
  const moved = blocks.map(({ from, to, value, weight }) => ({
    from,
    to,
    value: value + deviations / Math.sqrt(weight),
  }));
  const above = moved.findIndex((block) => block.value > limit);
  if (above < 0) return null;
  const right = moved[above]!;
  const left = moved[above - 1];
  if (!left) return { widthMm: right.from, gapMm: 0 };
  const gapMm = right.from - left.to;
  return { widthMm: left.to + (gapMm * (limit - left.value)) / (right.value - left.value), gapMm };
}

function aspectSeen(reading: Reading, ways: WaySds | undefined): AspectSeen | null {
  const { widthMm, heightMm, shape } = reading;
  // Over the middle of a bracket a height would tell more of where in it the width lies than of the shape.
  if (heightMm !== undefined && widthMm !== undefined) {
    const value = heightMm / widthMm;
    const widthSd = widthSdOf(reading, ways);
    const sd = value * Math.hypot(widthSd / widthMm, TRADE.heightSdMm.value / heightMm);
    return { x: widthMm, value, weight: 1 / (sd * sd) };
  }
  const x = widthSeenMm(reading);
  if (shape === undefined || x === undefined) return null;
  const sd = TRADE.shapeAnswerSd.value;
  return { x, value: TRADE.shapeAnswerAspect.value[shape], weight: 1 / (sd * sd) };
}

/** Aspect at a width, with its standard uncertainty and the rise of the law there (per mm). */
export function aspectAt({ law, widthMm }: { law: ShapeLaw; widthMm: number }): {
  aspect: number;
  sd: number;
  slopePerMm: number;
} {
  const { knots } = law;
  const right = knots.findIndex((knot) => knot.widthMm > widthMm);
  const end = right === 0 ? knots[0] : right < 0 ? knots.at(-1) : undefined;
  if (knots.length === 0) return { aspect: 1, sd: TRADE.unseenAspectSd.value, slopePerMm: 0 };
  if (end) {
    // Past the last shape seen it may lengthen: the law stays level there and owns up to it.
    const beyond = end.sd > 0 ? Math.max(0, widthMm / end.widthMm - 1) * TRADE.aspectBeyond.value : 0;
    return { aspect: end.aspect, sd: right < 0 ? Math.hypot(end.sd, beyond) : end.sd, slopePerMm: 0 };
  }
  const from = knots[right - 1]!;
  const to = knots[right]!;
  const along = (widthMm - from.widthMm) / (to.widthMm - from.widthMm);
  return {
    aspect: from.aspect + along * (to.aspect - from.aspect),
    sd: Math.hypot((1 - along) * from.sd, along * to.sd),
    slopePerMm: (to.aspect - from.aspect) / (to.widthMm - from.widthMm),
  };
}

/** Body volume (litres) at a width, by the aspect law. */
export function volumeAtL({ law, widthMm }: { law: ShapeLaw; widthMm: number }): number {
  return bodyVolumeL({ widthMm, heightMm: widthMm * aspectAt({ law, widthMm }).aspect });
}

/** How fast the body volume grows with width there, litres per mm. */
export function volumeSlopeL({ law, widthMm }: { law: ShapeLaw; widthMm: number }): number {
  const { aspect, slopePerMm } = aspectAt({ law, widthMm });
  return ((Math.PI / 6) * widthMm * widthMm * (3 * aspect + widthMm * slopePerMm)) / 1e6;
}

/** The width (mm) at which a body of this aspect law holds `volumeL`: the inverse of `volumeAtL`; 0 for none. */
export function widthAtVolumeMm({ law, volumeL }: { law: ShapeLaw; volumeL: number }): number {
  if (!(volumeL > 0)) return 0;
  const { knots } = law;
  const right = knots.findIndex((knot) => bodyVolumeOf(knot) > volumeL);
  if (right <= 0) {
    return widthForVolumeMm({ volumeL, aspect: (right === 0 ? knots[0] : knots.at(-1))?.aspect ?? 1 });
  }
  // Volume is convex and rising within a segment, so Newton's steps from its right end come down on the root. Written
  // out: a curve with its band asks for this hundreds of times.
  const from = knots[right - 1]!;
  const to = knots[right]!;
  const slope = (to.aspect - from.aspect) / (to.widthMm - from.widthMm);
  const unitL = Math.PI / 6 / 1e6;
  let widthMm = to.widthMm;
  for (let i = 0; i < 20; i += 1) {
    const aspect = from.aspect + slope * (widthMm - from.widthMm);
    const areaL = unitL * widthMm * widthMm;
    const step = (areaL * widthMm * aspect - volumeL) / (areaL * (3 * aspect + widthMm * slope));
    widthMm -= step;
    if (Math.abs(step) < 1e-9) break;
  }
  return widthMm;
}

function bodyVolumeOf({ widthMm, aspect }: ShapeKnot): number {
  return bodyVolumeL({ widthMm, heightMm: widthMm * aspect });
}
