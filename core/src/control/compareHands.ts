import { meanOf, poolEstimates, squaresOf, type Estimate } from '../statistics';

/** What some hands, or some station, made: how far each balloon was off, mm or as a share of its size. */
export interface HandsWork {
  of: string;
  offs: readonly number[];
}

/** What is thought of one pair of hands, knowing the others too. */
export interface HandsJudged {
  of: string;
  count: number;
  /** As its own balloons say, without the others. */
  ownLean: number;
  /** Drawn toward all by as much as its balloons leave open, with the interval that holds it 95 times in 100. */
  lean: number;
  low: number;
  high: number;
  /** The same for how far its balloons differ; null with one balloon. */
  spread: number;
  /** Leans otherwise than all of them together, for sure. */
  apart: 'larger' | 'smaller' | null;
}

/** How far hands are thought to differ beforehand, over the spread of one of them, and what that counts for. */
const EXPECTED = { share: 0.5, worth: 3 } as const;
/** Natural logarithms of spreads differ by about so much from one pair of hands to the next (from memory). */
const SPREADS = { sd: 0.3, worth: 3 } as const;
const SURE = 1.96;

/**
 * Hands, or stations, compared: each one's lean and spread drawn toward those of all by as much as its own few balloons
 * leave open, so that three balloons do not make a bad name. Answers them in the order given; none where fewer than two
 * have made anything, for then there is nothing to compare.
 *
 * Source: empirical Bayes (Efron and Morris, JASA 70, 1975) on random effects; variance of the logarithm of a deviation,
 * 1 / (2 (n - 1)) (Bartlett and Kendall, 1946).
 */
export function compareHands(all: readonly HandsWork[]): HandsJudged[] {
  const made = all.filter(({ offs }) => offs.length > 0);
  if (made.length < 2) return [];
  const degrees = made.reduce((sum, { offs }) => sum + offs.length - 1, 0);
  const squares = made.reduce((sum, { offs }) => sum + squaresOf(offs), 0);
  // Without two balloons of anyone the spread between hands is all that can be seen.
  const within = degrees > 0 ? squares / degrees : squaresOf(made.map(({ offs }) => offs[0]!)) / (made.length - 1);
  const means = made.map(({ offs }) => ({ value: meanOf(offs), variance: tiny(within / offs.length) }));
  const leans = drawnTogether(means, { variance: tiny(EXPECTED.share ** 2 * within), worth: EXPECTED.worth });
  const logs = made.map(({ offs }) =>
    offs.length < 2
      ? null
      : {
          value: Math.log(tiny(squaresOf(offs) / (offs.length - 1))) / 2,
          variance: 1 / (2 * (offs.length - 1)),
        },
  );
  const known = logs.filter((log) => log !== null);
  const spreads = drawnTogether(known, { variance: SPREADS.sd ** 2, worth: SPREADS.worth });
  const usual = Math.sqrt(within);
  return made.map(({ of, offs }, i) => {
    const { value: lean, variance, centre } = leans[i]!;
    const half = SURE * Math.sqrt(variance);
    const place = logs[i] === null ? -1 : known.indexOf(logs[i]!);
    return {
      ...{ of, count: offs.length, ownLean: means[i]!.value },
      ...{ lean, low: lean - half, high: lean + half },
      spread: place < 0 ? usual : Math.exp(spreads[place]!.value),
      apart: lean - half > centre ? 'larger' : lean + half < centre ? 'smaller' : null,
    };
  });
}

/** No variance is nothing: widths are read in steps. */
const tiny = (variance: number): number => Math.max(variance, 1e-12);

/** Each estimate drawn toward the mean of all by how far they differ; `centre` is that mean. */
function drawnTogether(
  estimates: readonly Estimate[],
  expected: { variance: number; worth: number },
): (Estimate & { centre: number })[] {
  const pooled = poolEstimates({ estimates, expected });
  if (!pooled) return [];
  return estimates.map(({ value, variance }) => {
    const own = pooled.between / (pooled.between + variance);
    return {
      value: own * value + (1 - own) * pooled.mean,
      // What the mean itself leaves open is borne by the share that leans on it.
      variance: own * variance + (1 - own) ** 2 * pooled.variance,
      centre: pooled.mean,
    };
  });
}
