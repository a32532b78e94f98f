import { SHAPES, type Shape } from '../balloon';
import { TRADE, type Trade } from '../trade';

/** How far a target stays under what a balloon bore, as the studio's own balloons have it. */
export interface LearnedMargin {
  /** Share of the width seen that a target may have. */
  margin: number;
  assumed: number;
  /** Balloons seen again that speak of it. */
  readings: number;
}

/** What stands behind an answer of round, oval or pear. */
export interface LearnedAnswer {
  aspect: number;
  assumed: number;
  readings: number;
}

/** Nineteen of twenty balloons bear more than this many deviations under the one seen. */
const ONE_SIDED = 1.6448536269514722;

/**
 * Learns how much balloons of one kind differ in the width at which they feel hard, or burst: the standard deviation of
 * its logarithm within each kind, the assumed margin counting for `TRADE.learningWorth` balloons. The margin leaves
 * nineteen of twenty under it. `seen` has the widths of each kind of balloon, mm.
 */
export function learnMargin(
  assumed: number,
  seen: readonly (readonly number[])[],
  trade: Trade = TRADE,
): LearnedMargin {
  const worth = trade.learningWorth;
  const assumedSd = -Math.log(assumed) / ONE_SIDED;
  let squares = 0;
  let free = 0;
  for (const widths of seen) {
    const logs = widths.map(Math.log);
    const mean = logs.reduce((sum, log) => sum + log, 0) / logs.length;
    squares += logs.reduce((sum, log) => sum + (log - mean) ** 2, 0);
    free += Math.max(0, logs.length - 1);
  }
  const sd = Math.sqrt((worth * assumedSd ** 2 + squares) / (worth + free));
  return { margin: Math.exp(-ONE_SIDED * sd), assumed, readings: free };
}

/**
 * Learns the aspects behind answers from balloons whose kind was also measured: the mean of what the measured law says
 * at the answers' widths, the assumed aspect counting for `TRADE.learningWorth` answers.
 */
export function learnAnswers(
  seen: readonly { shape: Shape; aspect: number }[],
  trade: Trade = TRADE,
): Record<Shape, LearnedAnswer> {
  const worth = trade.learningWorth;
  const learned = SHAPES.map((shape): [Shape, LearnedAnswer] => {
    const own = seen.filter((each) => each.shape === shape);
    const assumed = trade.shapeAnswerAspect[shape];
    const sum = own.reduce((total, { aspect }) => total + aspect, 0);
    return [shape, { aspect: (worth * assumed + sum) / (worth + own.length), assumed, readings: own.length }];
  });
  return Object.fromEntries(learned) as Record<Shape, LearnedAnswer>;
}

/** The aspects alone, as a fit takes them. */
export function aspectsOf(learned: Readonly<Record<Shape, LearnedAnswer>>): Record<Shape, number> {
  return Object.fromEntries(SHAPES.map((shape) => [shape, learned[shape].aspect])) as Record<Shape, number>;
}
