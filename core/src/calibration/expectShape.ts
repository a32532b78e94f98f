import { poolEstimates, withoutPrior, type Estimate } from '../statistics';
import { TRADE, type Trade } from '../trade';
import type { CalibrationFit } from './fitCalibration';
import { carriedOn, growthAt, SLACK_SHARE, type Lengthening } from './lengthening';
import { aspectAt, trustOf, type ExpectedLimits, type RoundLimit, type ShapeLaw } from './shapeLaw';

/** What other balloons let expect of the shape of one. */
export interface ExpectedShape {
  shape: ShapeLaw;
  /** How much it lengthens from slack to nominal. */
  growth: Lengthening;
  /** Measured sizes of the line behind the shape. */
  from: number;
}

/**
 * What the other sizes of a balloon's line, and the studio's other lines, let expect of its shape: the aspect law of
 * the line's nearest measured size, brought to this nominal; else one that lengthens as the studio's balloons do; else
 * what is usual. Growth and limits are pooled in two steps, sizes within a line and lines within the shelf, each with a
 * spread between them (`poolEstimates`): the fewer sizes of a line are known, the more all lines say.
 */
export function expectShape({
  nominalMm,
  siblings,
  lines = [],
  trade = TRADE,
}: {
  nominalMm: number;
  /** Calibrations of the line's other sizes. */
  siblings: readonly CalibrationFit[];
  /** Those of the studio's other lines of that kind, line by line. */
  lines?: readonly (readonly CalibrationFit[])[] | undefined;
  trade?: Trade | undefined;
}): ExpectedShape {
  const { growth, told } = expectGrowth(siblings, lines, trade);
  const expected: ExpectedLimits = {
    round: expectLimit(nominalMm, siblings, lines, 'roundLimit', trade),
    pear: expectLimit(nominalMm, siblings, lines, 'pearLimit', trade),
  };
  const limits = { roundLimit: expected.round.limit, pearLimit: expected.pear.limit, expected, trade: trustOf(trade) };
  const shaped = siblings.filter(({ shape }) => shape.seen);
  const nearest = [...shaped].sort(
    (a, b) => Math.abs(Math.log(a.nominalMm / nominalMm)) - Math.abs(Math.log(b.nominalMm / nominalMm)),
  )[0];
  if (nearest) {
    const scale = nominalMm / nearest.nominalMm;
    const { sd: between } = trade.typicalAspect;
    const knots = nearest.shape.knots.map(({ widthMm, aspect, sd }) => ({
      widthMm: widthMm * scale,
      aspect,
      sd: Math.hypot(sd, between / 2),
    }));
    return { shape: { knots, seen: true, ...limits }, growth, from: shaped.length };
  }
  const { aspect, sd } = trade.typicalAspect;
  const knots = [{ widthMm: nominalMm, aspect, sd }];
  const round = { knots: [{ widthMm: SLACK_SHARE * nominalMm, aspect: 1, sd: trade.aspectLawSd }], seen: false };
  const shape = told
    ? carriedOn({ law: { ...round, ...limits }, nominalMm, growth, trade })
    : { knots, seen: false, ...limits };
  return { shape, growth, from: 0 };
}

/** So much of its growth must have shown for a measured shape to tell it. */
const LEAST_GROWN = 0.3;

/** How much longer a balloon is at nominal than while slack, as one calibration tells it by itself; `null` for not. */
function growthSeen(
  { terms, covariance, shape, nominalMm, largestWidthMm }: CalibrationFit,
  trade: Trade,
): Estimate | null {
  const at = terms.indexOf('growth');
  if (at >= 0) {
    const value = (aspectAt({ law: shape, widthMm: nominalMm }).aspect - 1) / growthAt(1);
    const { mean, sd } = trade.aspectGrowth;
    return withoutPrior({ value, variance: covariance[at]![at]! }, { value: mean, variance: sd * sd });
  }
  const grown = growthAt(largestWidthMm / nominalMm);
  if (!shape.seen || grown < LEAST_GROWN) return null;
  const { aspect, sd } = aspectAt({ law: shape, widthMm: largestWidthMm });
  return { value: (aspect - 1) / grown, variance: (sd / grown) ** 2 };
}

function expectGrowth(
  siblings: readonly CalibrationFit[],
  lines: readonly (readonly CalibrationFit[])[],
  trade: Trade,
): { growth: Lengthening; told: boolean } {
  const { mean, sd } = trade.aspectGrowth;
  // With no line known, what is assumed of the mean and the spread between lines make up the assumed deviation.
  const assumed = { value: mean, variance: sd ** 2 - 2 * trade.growthBetween.lines ** 2 };
  const pooled = poolInTwo({
    line: siblings.flatMap((fit) => growthSeen(fit, trade) ?? []),
    others: lines.flatMap((line) => tellingOf(line, trade).growth ?? []),
    between: trade.growthBetween,
    assumed,
    trade,
  })!;
  return { growth: { mean: pooled.value, sd: Math.sqrt(pooled.variance) }, told: pooled.told };
}

/** What one line says by itself, pooled over its sizes; `null` where it says nothing. */
interface LineTelling {
  trade: Trade;
  growth: Estimate | null;
  round: Estimate | null;
  pear: Estimate | null;
}

/** A line tells every balloon of the other lines the same: of one list of calibrations it is worked out once. */
const TELLINGS = new WeakMap<readonly CalibrationFit[], LineTelling>();

function tellingOf(line: readonly CalibrationFit[], trade: Trade): LineTelling {
  const known = TELLINGS.get(line);
  if (known?.trade === trade) return known;
  const telling: LineTelling = {
    trade,
    growth: poolSizes(
      line.flatMap((fit) => growthSeen(fit, trade) ?? []),
      trade.growthBetween.sizes,
      trade,
    ),
    round: poolSizes(limitsSeen(line, 'roundLimit'), trade.roundLimitBetween.sizes, trade),
    pear: poolSizes(limitsSeen(line, 'pearLimit'), trade.roundLimitBetween.sizes, trade),
  };
  TELLINGS.set(line, telling);
  return telling;
}

/** The mean of a line's sizes; `null` for none. */
function poolSizes(estimates: readonly Estimate[], sizes: number, { betweenWorth }: Trade): Estimate | null {
  const pooled = poolEstimates({ estimates, expected: { variance: sizes ** 2, worth: betweenWorth } });
  return pooled && { value: pooled.mean, variance: pooled.variance };
}

const LIMITS = { roundLimit: 'round', pearLimit: 'pear' } as const;

/** What calibrations show of a limit of the shape, as shares of nominal. */
function limitsSeen(fits: readonly CalibrationFit[], limit: keyof typeof LIMITS): Estimate[] {
  return fits.flatMap(({ shape, nominalMm }) => {
    const seen = shape[limit];
    return seen?.kind === 'shown' ? [{ value: seen.widthMm / nominalMm, variance: (seen.sdMm / nominalMm) ** 2 }] : [];
  });
}

/** A limit of the shape as a share of nominal, pooled, for this nominal. */
function expectLimit(
  nominalMm: number,
  siblings: readonly CalibrationFit[],
  lines: readonly (readonly CalibrationFit[])[],
  limit: keyof typeof LIMITS,
  trade: Trade,
): { limit: RoundLimit; from: 'line' | 'shelf' } {
  const line = limitsSeen(siblings, limit);
  const others = lines.flatMap((each) => tellingOf(each, trade)[LIMITS[limit]] ?? []);
  const pooled = poolInTwo({ line, others, between: trade.roundLimitBetween, trade });
  const from = line.length > 0 ? 'line' : 'shelf';
  if (!pooled) return { limit: { kind: 'no-shapes-seen' }, from };
  return {
    limit: { kind: 'shown', widthMm: pooled.value * nominalMm, sdMm: Math.sqrt(pooled.variance) * nominalMm },
    from,
  };
}

/** The next size of a line, from its own sizes and from other lines; `null` where nothing is known. */
function poolInTwo({
  line,
  others,
  between: { sizes, lines },
  assumed,
  trade,
}: {
  line: readonly Estimate[];
  /** The mean of each other line. */
  others: readonly Estimate[];
  /** Standard deviation between the sizes of one line, and between lines. */
  between: { sizes: number; lines: number };
  /** What is assumed of all lines' mean. */
  assumed?: Estimate;
  trade: Trade;
}): (Estimate & { told: boolean }) | null {
  const worth = trade.betweenWorth;
  const all = poolEstimates({
    estimates: assumed ? [assumed, ...others] : others,
    expected: { variance: lines ** 2, worth },
  });
  const told = others.length + line.length > 0;
  const shelf = all && { value: all.mean, variance: all.predictive };
  if (line.length === 0) return shelf && { ...shelf, told };
  const pooled = poolEstimates({
    estimates: shelf ? [...line, shelf] : line,
    expected: { variance: sizes ** 2, worth },
  })!;
  return { value: pooled.mean, variance: pooled.predictive, told };
}
