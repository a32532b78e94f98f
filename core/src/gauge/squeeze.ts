import { leastSquares } from '../statistics';
import { TRADE, type Trade } from '../trade';

/** A balloon sized in a hole and measured afterwards. */
export interface Sizing {
  /** The hole's clear width then, mm. */
  holeMm: number;
  /** What the balloon measured once out of it, mm. */
  widthMm: number;
  /** Its nominal size, mm. */
  nominalMm: number;
}

/**
 * How much wider than its hole a balloon is that just passes it, as a share of the hole: `share` + `softShare` x (1 -
 * fraction of nominal).
 */
export interface Squeeze {
  /** Share for a balloon at its nominal width. */
  share: number;
  /** What is added for one that hangs loose. */
  softShare: number;
  /** Standard deviation of the share from balloon to balloon. */
  sdShare: number;
  sizings: number;
  origin: 'measured' | 'rule';
}

/**
 * Learns the squeeze from balloons measured after sizing, with the assumed law as a prior that counts for
 * `TRADE.squeeze.worth` balloons (a ridge regression: Hoerl and Kennard, Technometrics 12 (1970)). Sizings of one
 * softness move the line as a whole; its slope is learned once they differ.
 */
export function learnSqueeze(sizings: readonly Sizing[], trade: Trade = TRADE): Squeeze {
  const { share, softShare, sdShare, worth } = trade.squeeze;
  const usable = sizings.filter(({ holeMm, widthMm, nominalMm }) => holeMm > 0 && widthMm > 0 && nominalMm > 0);
  const rows = [[1, 0], [0, 1], ...usable.map(({ widthMm, nominalMm }) => [1, 1 - widthMm / nominalMm])];
  const seen = usable.map(({ holeMm, widthMm }) => widthMm / holeMm - 1);
  // The prior knows the level about as well as the slope over a quarter of nominal.
  const weights = [worth, worth / 16, ...usable.map(() => 1)];
  const fit = leastSquares({ rows, observed: [share, softShare, ...seen], weights });
  const [level = share, slope = softShare] = fit?.coefficients ?? [];
  const squares = fit?.residuals.slice(2).reduce((sum, residual) => sum + residual ** 2, 0) ?? 0;
  return {
    share: level,
    softShare: slope,
    sdShare: Math.sqrt((worth * sdShare ** 2 + squares) / (worth + usable.length)),
    sizings: usable.length,
    origin: usable.length > 0 ? 'measured' : 'rule',
  };
}

/** The width of a balloon that just passes a hole, mm, with its standard deviation between balloons. */
export function passedWidth({
  holeMm,
  nominalMm,
  squeeze: { share, softShare, sdShare },
}: {
  holeMm: number;
  nominalMm: number;
  squeeze: Squeeze;
}): { widthMm: number; sdMm: number } {
  // w = h (1 + s + k (1 - w / n)) solved for w.
  const widthMm = (holeMm * (1 + share + softShare)) / (1 + (holeMm * softShare) / nominalMm);
  return { widthMm, sdMm: sdShare * holeMm };
}
