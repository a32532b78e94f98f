import { bodyVolumeL, widthForVolumeMm } from '../balloon';
import { TRADE, type Trade } from '../trade';

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
  /** Rising in width; empty for a sphere. */
  knots: ShapeKnot[];
  /** Whether a shape was measured or seen; else the knots are what is known of such balloons. */
  seen: boolean;
  roundLimit: RoundLimit;
  /** Where it turns from oval to pear; as `roundLimit`, and absent where nothing of it is known. */
  pearLimit?: RoundLimit | undefined;
  /** What other balloons let expect of both limits. */
  expected?: ExpectedLimits | undefined;
  /** How far such laws are trusted; as `TRADE` has it when absent. */
  trade?: LawTrust | undefined;
}

/** The numbers of the trade by which a law tells how sure it is of an aspect. */
export type LawTrust = Pick<Trade, 'aspectLawSd' | 'unseenAspectSd' | 'aspectBeyond'>;

export function trustOf({ aspectLawSd, unseenAspectSd, aspectBeyond }: Trade): LawTrust {
  return { aspectLawSd, unseenAspectSd, aspectBeyond };
}

/** The limits of a shape as other balloons let expect them, and whose they are. */
export type ExpectedLimits = Record<'round' | 'pear', { limit: RoundLimit; from: 'line' | 'shelf' }>;

/** The aspect that a law gives a width. */
export interface AspectThere {
  aspect: number;
  /** Its standard uncertainty, with how far the true law may bend away from the straight one. */
  sd: number;
  /** What the readings alone leave open: where two laws are held against each other, both bend alike. */
  seenSd: number;
  /** The rise of the law there. */
  slopePerMm: number;
}

/** Aspect at a width. */
export function aspectAt({ law, widthMm }: { law: ShapeLaw; widthMm: number }): AspectThere {
  const { knots, trade = TRADE } = law;
  const right = knots.findIndex((knot) => knot.widthMm > widthMm);
  const end = right === 0 ? knots[0] : right < 0 ? knots.at(-1) : undefined;
  if (knots.length === 0) {
    const sd = trade.unseenAspectSd;
    return { aspect: 1, sd, seenSd: sd, slopePerMm: 0 };
  }
  if (end) {
    // Past the last shape seen it may lengthen: the law stays level there and owns up to it.
    const beyond = end.sd > 0 ? Math.max(0, widthMm / end.widthMm - 1) * trade.aspectBeyond : 0;
    const sd = right < 0 ? Math.hypot(end.sd, beyond) : end.sd;
    return { aspect: end.aspect, sd, seenSd: withoutLaw(sd, trade), slopePerMm: 0 };
  }
  const from = knots[right - 1]!;
  const to = knots[right]!;
  const along = (widthMm - from.widthMm) / (to.widthMm - from.widthMm);
  // As if both ends erred together: they share readings, and the law between them is no surer than at its ends.
  const atEnds = (1 - along) * from.sd + along * to.sd;
  return {
    aspect: from.aspect + along * (to.aspect - from.aspect),
    // A body that lengthens does so late: halfway the true law may lie below the straight one by all of half the rise.
    sd: Math.hypot(atEnds, (2 / Math.sqrt(3)) * along * (1 - along) * (to.aspect - from.aspect)),
    seenSd: withoutLaw(atEnds, trade),
    slopePerMm: (to.aspect - from.aspect) / (to.widthMm - from.widthMm),
  };
}

/** Where a law through knots, moved up by so many of their deviations, passes an aspect; gap 0 when it starts above. */
export function crossing(
  knots: readonly ShapeKnot[],
  limit: number,
  deviations: number,
): { widthMm: number; gapMm: number } | null {
  const moved = knots.map(({ aspect, sd }) => aspect + deviations * sd);
  const right = moved.findIndex((aspect) => aspect > limit);
  if (right < 0) return null;
  const to = knots[right]!;
  if (right === 0) return { widthMm: to.widthMm, gapMm: 0 };
  const [from, below] = [knots[right - 1]!, moved[right - 1]!];
  const gapMm = to.widthMm - from.widthMm;
  return { widthMm: from.widthMm + (gapMm * (limit - below)) / (moved[right]! - below), gapMm };
}

/** A deviation freed of what any law of straight stretches may pass by the true one. */
function withoutLaw(sd: number, { aspectLawSd }: LawTrust): number {
  return Math.sqrt(Math.max(0, sd * sd - aspectLawSd ** 2));
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
