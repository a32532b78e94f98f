import { ok, problem, type Result } from '../result';
import { logGamma } from '../statistics/gamma';
import { TRADE, type Trade } from '../trade';
import { afterLosses, lossLaw, lossShareOf, type Losses, type LossLaw } from './lossLaw';

/** How many balloons to take so that enough of them survive. */
export interface Spares {
  /** In all. */
  take: number;
  /** Of them over what is needed. */
  spare: number;
  /** So many of those taken are lost on the whole. */
  expectedLost: number;
  /** The chance that enough survive. */
  sure: number;
}

export type SparesProblemCode = 'bad-needed' | 'bad-losses' | 'bad-confidence' | 'never-enough';

/** Balloons of one kind that an event may need. */
const MOST_NEEDED = 100_000;
/** More than so many times what is needed nobody buys: all but everything is lost. */
const MOST_TIMES = 20;

/**
 * The chance that of `taken` balloons at most `most` are lost, where the share that is lost follows a beta law. Terms are
 * added from the likeliest on, each by its ratio to the last: of many balloons those at the ends are too small to begin with.
 *
 * Source: distribution function of the beta-binomial law (Johnson, Kemp and Kotz, Univariate Discrete Distributions,
 * 6.2.2).
 */
export function chanceOfLosing({ law, taken, most }: { law: LossLaw; taken: number; most: number }): number {
  if (most >= taken) return 1;
  if (most < 0) return 0;
  const { lost: a, kept: b } = law;
  const first = Math.min(most, Math.floor((taken * a) / (a + b)));
  const at = chanceOf(first, taken, law);
  let [sum, up, down] = [1, 1, 1];
  for (let lost = first + 1; lost <= most && up > NOTHING; lost += 1) {
    up *= ((taken - lost + 1) * (a + lost - 1)) / (lost * (b + taken - lost));
    sum += up;
  }
  for (let lost = first; lost > 0 && down > NOTHING; lost -= 1) {
    down *= (lost * (b + taken - lost)) / ((taken - lost + 1) * (a + lost - 1));
    sum += down;
  }
  return Math.min(1, at * sum);
}

/** A term that adds nothing to a sum of about 1, nor do those behind it. */
const NOTHING = 1e-18;

/** The chance that exactly so many are lost. */
function chanceOf(lost: number, taken: number, { lost: a, kept: b }: LossLaw): number {
  const choices = logGamma(taken + 1) - logGamma(lost + 1) - logGamma(taken - lost + 1);
  return Math.exp(choices + logBeta(a + lost, b + taken - lost) - logBeta(a, b));
}

const logBeta = (a: number, b: number): number => logGamma(a) + logGamma(b) - logGamma(a + b);

/**
 * How many balloons to take where `needed` are to survive with the wanted confidence: the fewest of which at least so
 * many survive with that chance. The share that is lost is not known but follows a beta law: the handbook's as `prior`,
 * unless another is given, and `losses` that were seen, none where there are none.
 *
 * `needed`: whole, 0 to 100,000. `confidence`: above 0 and below 1.
 *
 * Source: predictive (beta-binomial) law of a binomial count (any handbook of Bayesian statistics).
 */
export function sparesFor({
  needed,
  losses = { used: 0, lost: 0 },
  confidence,
  trade = TRADE,
  prior = lossLaw({ trade }),
}: {
  needed: number;
  losses?: Losses;
  confidence: number;
  trade?: Trade | undefined;
  prior?: LossLaw;
}): Result<Spares, SparesProblemCode> {
  if (!Number.isInteger(needed) || needed < 0 || needed > MOST_NEEDED)
    return problem('bad-needed', { field: 'needed', detail: { least: 0, most: MOST_NEEDED } });
  const { used, lost } = losses;
  if (!Number.isInteger(used) || !Number.isInteger(lost) || lost < 0 || used < lost)
    return problem('bad-losses', { field: 'losses' });
  if (!(confidence > 0 && confidence < 1))
    return problem('bad-confidence', { field: 'confidence', detail: { least: 0, most: 1 } });
  const law = afterLosses(prior, losses);
  const sureOf = (taken: number) => chanceOfLosing({ law, taken, most: taken - needed });
  const [least, most] = [needed, Math.max(LEAST_TRIED, MOST_TIMES * needed)];
  if (needed > 0 && sureOf(most) < confidence) return problem('never-enough', { field: 'losses', detail: { most } });
  const take = needed === 0 ? 0 : fewest(least, most, (taken) => sureOf(taken) >= confidence);
  return ok({
    take,
    spare: take - needed,
    expectedLost: take * lossShareOf(law),
    sure: needed === 0 ? 1 : sureOf(take),
  });
}

const LEAST_TRIED = 100;

/** The least whole number within bounds for which it holds; it holds for all above one for which it does. */
function fewest(least: number, most: number, holds: (at: number) => boolean): number {
  if (holds(least)) return least;
  // What is wanted is near the least: steps that double find it sooner than halving all there is.
  let [low, step] = [least, 1];
  while (low + step < most && !holds(low + step)) {
    low += step;
    step *= 2;
  }
  let high = Math.min(most, low + step);
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return high;
}
