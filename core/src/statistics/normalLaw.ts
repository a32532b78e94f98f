const ROOT_TAU = Math.sqrt(2 * Math.PI);

/** Density of the standard normal law. */
export function normalDensity(x: number): number {
  return Math.exp(-0.5 * x * x) / ROOT_TAU;
}

/**
 * The probability that a standard normal variable is at most `x`, to about 15 digits in either tail.
 *
 * Source: J. F. Hart's rational approximation in the form of G. West, Better approximations to cumulative normal
 * functions (2005); coefficients from memory and checked against a reference library.
 */
export function normalCdf(x: number): number {
  const z = Math.abs(x);
  if (z > 37) return x > 0 ? 1 : 0;
  const bell = Math.exp(-0.5 * z * z);
  const tail = z < 7.07106781186547 ? (bell * upper(z)) / lower(z) : bell / (farTail(z) * ROOT_TAU);
  return x > 0 ? 1 - tail : tail;
}

function upper(z: number): number {
  let sum = 3.52624965998911e-2 * z + 0.700383064443688;
  sum = sum * z + 6.37396220353165;
  sum = sum * z + 33.912866078383;
  sum = sum * z + 112.079291497871;
  sum = sum * z + 221.213596169931;
  return sum * z + 220.206867912376;
}

function lower(z: number): number {
  let sum = 8.83883476483184e-2 * z + 1.75566716318264;
  sum = sum * z + 16.064177579207;
  sum = sum * z + 86.7807322029461;
  sum = sum * z + 296.564248779674;
  sum = sum * z + 637.333633378831;
  sum = sum * z + 793.826512519948;
  return sum * z + 440.413735824752;
}

function farTail(z: number): number {
  return z + 1 / (z + 2 / (z + 3 / (z + 4 / (z + 0.65))));
}

/** What an interval tells of a normal variable that is known to lie in it. */
export interface IntervalMoments {
  /** ln of the probability of the interval. */
  logProbability: number;
  /** Derivative of that by the mean, times the standard deviation. */
  score: number;
  /** Minus the second derivative, times the variance: 0 for an interval that says nothing, 1 for one of no width. */
  information: number;
}

/** Beyond so many deviations the normal law's tail is taken as its nearer edge: the probabilities there underflow. */
const FAR = 30;

/**
 * Log-probability that a normal variable lies between `low` and `high` (in standard deviations from its mean, low <
 * high), with its first and minus its second derivative by the mean. Both tails are evaluated on their own side, so
 * that a far interval loses no digits.
 *
 * Source: derivatives of ln(Phi(high) - Phi(low)), elementary.
 */
export function intervalMoments({ low, high }: { low: number; high: number }): IntervalMoments {
  if (low > FAR || high < -FAR) {
    const edge = low > FAR ? low : high;
    return { logProbability: -0.5 * edge * edge, score: edge, information: 1 };
  }
  const probability = low > 0 ? normalCdf(-low) - normalCdf(-high) : normalCdf(high) - normalCdf(low);
  const atLow = normalDensity(low);
  const atHigh = normalDensity(high);
  const score = (atLow - atHigh) / probability;
  const bend = (Number.isFinite(high) ? high * atHigh : 0) - (Number.isFinite(low) ? low * atLow : 0);
  const information = Math.min(1, Math.max(0, score * score + bend / probability));
  return { logProbability: Math.log(probability), score, information };
}
