import { TRADE, type Trade } from '../trade';
import { LOSS_WORKS, type LossWork } from './kinds';

/** Balloons that went through some work, and how many of them did not survive it. */
export interface Losses {
  used: number;
  lost: number;
}

/** What is known of the share that is lost, as a beta law: so many lost, and so many kept. */
export interface LossLaw {
  lost: number;
  kept: number;
}

/** The share that is lost on the whole. */
export const lossShareOf = ({ lost, kept }: LossLaw): number => lost / (lost + kept);

/** A law that counts for `worth` balloons of which a `share` is lost. */
const lawOf = (share: number, worth: number): LossLaw => ({ lost: share * worth, kept: (1 - share) * worth });

/** A law once some losses were seen. Source: conjugate beta law of a binomial (any handbook of Bayesian statistics). */
export function afterLosses({ lost, kept }: LossLaw, seen: Losses): LossLaw {
  return { lost: lost + seen.lost, kept: kept + seen.used - seen.lost };
}

/** Losses of several counts together. */
export function sumOfLosses(all: readonly Losses[]): Losses {
  return {
    used: all.reduce((sum, { used }) => sum + used, 0),
    lost: all.reduce((sum, { lost }) => sum + lost, 0),
  };
}

/**
 * What of a balloon does not survive, from filling to the standing piece: for each work the usual rate as prior (of a
 * stuffed one so much more in filling), what the studio lost of its other balloons as evidence of that rate, then what
 * was lost of this one. What survives is the product over the works, whose mean and variance a beta law is given.
 *
 * `own`: losses of this balloon by work, `others`: of each of the studio's other balloons. However many of one there
 * were, it speaks for the others no more than `trade.lossWorth` do: one bad batch is no rule.
 *
 * Source: product of independent beta variables, matched by its first two moments (Fan, 1991).
 */
export function lossLaw({
  own = {},
  others = [],
  stuffed = false,
  trade = TRADE,
}: {
  own?: Partial<Record<LossWork, Losses>>;
  others?: readonly Partial<Record<LossWork, Losses>>[];
  stuffed?: boolean;
  trade?: Trade | undefined;
}): LossLaw {
  const laws = LOSS_WORKS.map((work) => {
    const usual = trade.lossShare[work] * (stuffed && work === 'inflate' ? trade.stuffedEffort.loss : 1);
    const seen = others.map((each) => atMost(each[work] ?? NONE, trade.lossWorth));
    const studio = afterLosses(lawOf(Math.min(MOST_SHARE, usual), trade.lossWorth), sumOfLosses(seen));
    // One balloon differs from the next: what the others lost counts for no more than the usual rate did.
    const prior = lawOf(lossShareOf(studio), trade.lossWorth);
    return afterLosses(prior, own[work] ?? NONE);
  });
  return product(laws);
}

const NONE: Losses = { used: 0, lost: 0 };
const MOST_SHARE = 0.9;

/** The same share of losses, of no more than so many balloons. */
function atMost({ used, lost }: Losses, most: number): Losses {
  return used <= most ? { used, lost } : { used: most, lost: (most * lost) / used };
}

/** The beta law with the mean and the variance of what survives all of these. */
function product(laws: readonly LossLaw[]): LossLaw {
  let [mean, square] = [1, 1];
  for (const { lost, kept } of laws) {
    const all = lost + kept;
    mean *= kept / all;
    square *= (kept * (kept + 1)) / (all * (all + 1));
  }
  const worth = (mean * (1 - mean)) / (square - mean * mean) - 1;
  return lawOf(1 - mean, worth);
}
