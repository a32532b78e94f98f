import { bodyVolumeL, widthForVolumeMm, type Shape } from '../balloon';
import { monotoneRegression, type MonotoneBlock } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { widthSdOf, widthSeenMm, type Reading } from './reading';
import type { ReadingErrors } from './readingErrors';

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

/** How much longer a balloon is at nominal than while slack (height / width), give or take `sd`. */
export interface Lengthening {
  mean: number;
  sd: number;
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
 * there; from answers alone all of it, and what an eye takes for round (`TRADE.answerEdgeSd`).
 */
export function fitShapeLaw({
  trade = TRADE,
  readings,
  errors,
  answers = trade.shapeAnswerAspect,
}: {
  readings: readonly Reading[];
  errors: Pick<ReadingErrors, 'ways' | 'heightMm'>;
  /** What answers of round, oval and pear stand for. */
  answers?: Readonly<Record<Shape, number>> | undefined;
  trade?: Trade | undefined;
}): ShapeLaw {
  const all: AspectSeen[] = [];
  for (const reading of readings) {
    const aspect = aspectSeen(reading, errors, answers, trade);
    if (aspect) all.push(aspect);
  }
  if (all.length === 0) {
    return { knots: [], seen: false, roundLimit: { kind: 'no-shapes-seen' }, trade: trustOf(trade) };
  }

  const seen = pooledNeighbours(all.sort((a, b) => a.x - b.x));
  const blocks = monotoneRegression(seen);
  const measured = readings.some((reading) => reading.heightMm !== undefined);
  const knots = blocks.flatMap(({ from, to, value, weight }) => {
    const sd = measured ? Math.hypot(1 / Math.sqrt(weight), trade.aspectLawSd) : trade.unseenAspectSd;
    const knot = { aspect: value, sd };
    return [...new Set([from, to])].map((widthMm) => ({ widthMm, ...knot }));
  });
  return {
    knots,
    seen: true,
    roundLimit: limitOf(blocks, seen, trade.roundAspect, measured, trade),
    pearLimit: limitOf(blocks, seen, trade.ovalAspect, measured, trade),
    trade: trustOf(trade),
  };
}

/**
 * A measured law carried on past its first and last shape, as such balloons lengthen (as is usual when nothing else is
 * known): without it a height measured while the balloon was small would leave more open than none, and one measured
 * when it was long would have it as long while slack.
 */
export function carriedOn({
  trade = TRADE,
  law,
  nominalMm,
  growth = trade.aspectGrowth,
}: {
  law: ShapeLaw;
  nominalMm: number;
  growth?: Lengthening | undefined;
  trade?: Trade | undefined;
}): ShapeLaw {
  const [first] = law.knots;
  const last = law.knots.at(-1);
  if (!first || !last) return law;
  const from = growthAt(last.widthMm / nominalMm);
  const further = GROWTH.filter(({ share }) => share * nominalMm > last.widthMm).map(({ share, growth: grown }) => ({
    widthMm: share * nominalMm,
    aspect: last.aspect + growth.mean * (grown - from),
    sd: Math.hypot(last.sd, growth.sd * (grown - from)),
  }));
  const knots = [...knotsBefore({ first, nominalMm, growth, trade }), ...law.knots, ...further];
  return { ...law, knots, ...limitsBefore(law, knots, trade) };
}

/**
 * A limit that was passed before the first shape was seen, as the law under it has it: where it passes `limit`, give or
 * take half the way between where it does so moved up and down by a deviation. As it was where the law does not pass it.
 */
function limitBefore(seen: RoundLimit, knots: readonly ShapeKnot[], limit: number): RoundLimit {
  const widthMm = seen.kind === 'below' ? passing(knots, limit, 0) : null;
  if (seen.kind !== 'below' || widthMm === null || widthMm > seen.widthMm) return seen;
  // Slack it was round, and where it was seen it no longer was.
  const lowMm = passing(knots, limit, 1) ?? knots[0]!.widthMm;
  const highMm = Math.min(seen.widthMm, passing(knots, limit, -1) ?? Infinity);
  return { kind: 'shown', widthMm, sdMm: (highMm - lowMm) / 2 };
}

/** The limits of a law, where they were passed before any shape was seen, as it has them with these deviations. */
export function limitsBefore(
  { roundLimit, pearLimit }: Pick<ShapeLaw, 'roundLimit' | 'pearLimit'>,
  knots: readonly ShapeKnot[],
  { roundAspect, ovalAspect }: Trade,
): Pick<ShapeLaw, 'roundLimit' | 'pearLimit'> {
  return {
    roundLimit: limitBefore(roundLimit, knots, roundAspect),
    pearLimit: pearLimit && limitBefore(pearLimit, knots, ovalAspect),
  };
}

/** Where a law through these knots, moved up by so many of its deviations, passes an aspect; `null` for nowhere. */
function passing(knots: readonly ShapeKnot[], limit: number, deviations: number): number | null {
  const moved = knots.map(({ aspect, sd }) => aspect + deviations * sd);
  const right = moved.findIndex((aspect) => aspect > limit);
  if (right <= 0) return null;
  const [from, to] = [knots[right - 1]!, knots[right]!];
  const along = (limit - moved[right - 1]!) / (moved[right]! - moved[right - 1]!);
  return from.widthMm + along * (to.widthMm - from.widthMm);
}

/**
 * The law under its first shape: of a body that is about as high as wide while slack, and of how much it lengthens, what
 * that shape leaves (a normal law of both, given their sum there: Gelman et al., Bayesian Data Analysis, section 3.5).
 */
function knotsBefore({
  first,
  nominalMm,
  growth,
  trade,
}: {
  first: ShapeKnot;
  nominalMm: number;
  growth: Lengthening;
  trade: Trade;
}): ShapeKnot[] {
  const shown = growthAt(first.widthMm / nominalMm);
  const [slackVariance, growthVariance] = [trade.unseenAspectSd ** 2, growth.sd ** 2];
  const variance = slackVariance + growthVariance * shown ** 2 + first.sd ** 2;
  const off = first.aspect - 1 - growth.mean * shown;
  const lengthens = growth.mean + (growthVariance * shown * off) / variance;
  return GROWTH.filter(({ share }) => share * nominalMm < first.widthMm).map(({ share, growth: grown }) => {
    const told = slackVariance + growthVariance * shown * grown;
    const left = slackVariance + growthVariance * grown ** 2 - told ** 2 / variance;
    return {
      widthMm: share * nominalMm,
      aspect: Math.min(first.aspect, 1 + growth.mean * grown + (told * off) / variance),
      sd: Math.hypot(Math.sqrt(left), grownSd(lengthens, trade)),
    };
  });
}

/** How far a law that lengthens by one term may pass by the true one. */
export function grownSd(growth: number, { grownLawSd: { least, share } }: Trade): number {
  return Math.hypot(least, share * growth);
}

/** Widths nearer than this share of them are one place: between them no law can be told to rise. */
const ONE_PLACE = 0.01;

/** Aspects seen at hardly different widths become one, at their middle: else noise would read as a leap of the law. */
function pooledNeighbours(sorted: readonly AspectSeen[]): AspectSeen[] {
  const pooled: AspectSeen[] = [];
  for (const one of sorted) {
    const last = pooled.at(-1);
    if (!last || one.x - last.x > ONE_PLACE * one.x) {
      pooled.push({ ...one });
      continue;
    }
    last.weight += one.weight;
    // By steps towards the newer one: what is the very same stays so, to the last digit.
    last.x += ((one.x - last.x) * one.weight) / last.weight;
    last.value += ((one.value - last.value) * one.weight) / last.weight;
  }
  return pooled;
}

/** The share of nominal up to which a balloon is slack, and does not lengthen. */
export const SLACK_SHARE = 0.55;

/** Shares of nominal between which growth goes straight, and how much of it there is. */
const GROWTH = [SLACK_SHARE, 0.65, 0.75, 0.85, 0.95, 1.05, 1.15, 1.3].map((share) => ({
  share,
  growth: ((share - SLACK_SHARE) / (1 - SLACK_SHARE)) ** 2,
}));

/**
 * How much of its growth in aspect a balloon shows at a share of its nominal: none while it is slack, 1 at nominal,
 * with the square of the way between (from memory), straight between tenths. It stands in where no shape was measured.
 */
export function growthAt(share: number): number {
  const right = GROWTH.findIndex((knot) => knot.share > share);
  if (right === 0) return 0;
  if (right < 0) return GROWTH.at(-1)!.growth;
  const from = GROWTH[right - 1]!;
  const to = GROWTH[right]!;
  return from.growth + ((share - from.share) / (to.share - from.share)) * (to.growth - from.growth);
}

/** No body of latex is flatter (from memory), whatever growth readings that cannot be true come to. */
const FLATTEST = 0.8;

/**
 * A law that grows by `growth` at nominal on top of another: of a balloon whose shape nobody measured, `base` being
 * what is known of its like.
 */
export function grownLaw({
  base,
  growth,
  nominalMm,
  sd,
}: {
  base: ShapeLaw;
  growth: number;
  nominalMm: number;
  sd: number;
}): ShapeLaw {
  const widths = [...base.knots.map(({ widthMm }) => widthMm), ...GROWTH.map(({ share }) => share * nominalMm)];
  const sorted = [...new Set(widths)].sort((a, b) => a - b);
  const knots = sorted.map((widthMm) => ({
    widthMm,
    aspect: Math.max(FLATTEST, aspectAt({ law: base, widthMm }).aspect + growth * growthAt(widthMm / nominalMm)),
    sd,
  }));
  return { ...base, knots };
}

/** Where the law passes an aspect. */
function limitOf(
  blocks: readonly MonotoneBlock[],
  seen: readonly AspectSeen[],
  limit: number,
  measured: boolean,
  trade: Trade,
): RoundLimit {
  const smallestMm = seen[0]!.x;
  const largestMm = seen.at(-1)!.x;
  const best = crossing(blocks, limit, 0);
  if (!best) return { kind: 'above', widthMm: largestMm };
  if (best.gapMm === 0) return { kind: 'below', widthMm: smallestMm };
  // Where the law rises fast, one deviation says little of two: the wider of both measures counts.
  const reach = (deviations: number) => {
    const lowMm = crossing(blocks, limit, deviations)?.widthMm ?? smallestMm;
    const highMm = crossing(blocks, limit, -deviations)?.widthMm ?? largestMm + best.gapMm;
    return (highMm - lowMm) / (2 * deviations);
  };
  return {
    kind: 'shown',
    widthMm: best.widthMm,
    // A measured law says about where in the gap it lies; answers alone say only that it lies there, give or take what an
    // eye takes for round, which a body that lengthens slowly shows over many millimetres.
    sdMm: measured
      ? Math.hypot(Math.max(reach(1), reach(2)), best.gapMm / (2 * Math.sqrt(12)))
      : Math.hypot(
          Math.max(reach(1), reach(2)),
          best.gapMm / Math.sqrt(12),
          trade.answerEdgeSd / meanRise(seen, trade),
        ),
  };
}

/** A law whose limits, where they were seen, are joined with what other balloons let expect, by their precisions. */
export function joinLimits({ law, expected }: { law: ShapeLaw; expected: ExpectedLimits }): ShapeLaw {
  return {
    ...law,
    roundLimit: joinedLimit(law.roundLimit, expected.round.limit),
    pearLimit: law.pearLimit && joinedLimit(law.pearLimit, expected.pear.limit),
    expected,
  };
}

function joinedLimit(seen: RoundLimit, expected: RoundLimit): RoundLimit {
  if (seen.kind !== 'shown' || expected.kind !== 'shown') return seen;
  const own = 1 / seen.sdMm ** 2;
  const others = 1 / expected.sdMm ** 2;
  return {
    kind: 'shown',
    widthMm: (own * seen.widthMm + others * expected.widthMm) / (own + others),
    sdMm: 1 / Math.sqrt(own + others),
  };
}

/** How fast what was seen rises from its smallest width to its largest, per mm. */
function meanRise(seen: readonly AspectSeen[], trade: Trade): number {
  const [first, last] = [seen[0]!, seen.at(-1)!];
  return Math.max(last.value - first.value, trade.answerEdgeSd) / Math.max(last.x - first.x, 1);
}

/** Where the law, moved up by so many of its own uncertainties, passes `limit`; gap 0 when it starts above. */
function crossing(
  blocks: readonly MonotoneBlock[],
  limit: number,
  deviations: number,
): { widthMm: number; gapMm: number } | null {
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

function aspectSeen(
  reading: Reading,
  errors: Pick<ReadingErrors, 'ways' | 'heightMm'>,
  answers: Readonly<Record<Shape, number>>,
  trade: Trade,
): AspectSeen | null {
  const { widthMm, heightMm, shape } = reading;
  // Over the middle of a bracket a height would tell more of where in it the width lies than of the shape.
  if (heightMm !== undefined && widthMm !== undefined) {
    const value = heightMm / widthMm;
    const widthSd = widthSdOf(reading, errors.ways);
    const sd = value * Math.hypot(widthSd / widthMm, errors.heightMm / heightMm);
    return { x: widthMm, value, weight: 1 / (sd * sd) };
  }
  const x = widthSeenMm(reading);
  if (shape === undefined || x === undefined) return null;
  const sd = trade.shapeAnswerSd;
  return { x, value: answers[shape], weight: 1 / (sd * sd) };
}

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
