import type { Shape } from '../balloon';
import { monotoneRegression, type MonotoneBlock } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { widthSdOf, widthSeenMm, type Reading } from './reading';
import type { ReadingErrors } from './readingErrors';
import { crossing, trustOf, type ExpectedLimits, type RoundLimit, type ShapeLaw } from './shapeLaw';

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
  // Each stretch moves by what it leaves open itself, without what any law of straight stretches may miss.
  const stretches = blocks.flatMap(({ from, to, value, weight }) =>
    [from, to].map((widthMm) => ({ widthMm, aspect: value, sd: 1 / Math.sqrt(weight) })),
  );
  const best = crossing(stretches, limit, 0);
  if (!best) return { kind: 'above', widthMm: largestMm };
  if (best.gapMm === 0) return { kind: 'below', widthMm: smallestMm };
  // Where the law rises fast, one deviation says little of two: the wider of both measures counts.
  const reach = (deviations: number) => {
    const lowMm = crossing(stretches, limit, deviations)?.widthMm ?? smallestMm;
    const highMm = crossing(stretches, limit, -deviations)?.widthMm ?? largestMm + best.gapMm;
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
