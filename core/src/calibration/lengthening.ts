import { TRADE, type Trade } from '../trade';
import { aspectAt, crossing, type RoundLimit, type ShapeKnot, type ShapeLaw } from './shapeLaw';

/** How much longer a balloon is at nominal than while slack (height / width), give or take `sd`. */
export interface Lengthening {
  mean: number;
  sd: number;
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
  const best = seen.kind === 'below' ? crossing(knots, limit, 0) : null;
  if (seen.kind !== 'below' || !best || best.gapMm === 0 || best.widthMm > seen.widthMm) return seen;
  // Slack it was round, and where it was seen it no longer was.
  const lowMm = crossing(knots, limit, 1)!.widthMm;
  const highMm = Math.min(seen.widthMm, crossing(knots, limit, -1)?.widthMm ?? Infinity);
  return { kind: 'shown', widthMm: best.widthMm, sdMm: (highMm - lowMm) / 2 };
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
