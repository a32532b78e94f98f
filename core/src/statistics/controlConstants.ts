import { logGamma } from './gamma';
import { normalCdf } from './normalLaw';

/** Factors that turn the mean range or the mean deviation of groups of n into limits of three deviations. */
export interface ControlConstants {
  /** Mean of the standard deviation of n, in true deviations. */
  c4: number;
  /** Mean and standard deviation of the range of n, in true deviations. */
  d2: number;
  d3: number;
  /** Limits of means from the mean range, and from the mean deviation. */
  A2: number;
  A3: number;
  /** Limits of deviations. */
  B3: number;
  B4: number;
  /** Limits of ranges. */
  D3: number;
  D4: number;
}

const known = new Map<number, ControlConstants>();

/**
 * The constants of Shewhart's charts for groups of `n` (2 to 50), by numerical integration of the law of the range.
 *
 * Source: definitions in ASTM MNL 7, Manual on Presentation of Data and Control Chart Analysis; the range's moments
 * from Tippett, Biometrika 17 (1925).
 */
export function controlConstants(n: number): ControlConstants {
  let constants = known.get(n);
  if (!constants) {
    const c4 = Math.sqrt(2 / (n - 1)) * Math.exp(logGamma(n / 2) - logGamma((n - 1) / 2));
    const { d2, d3 } = rangeMoments(n);
    const ofSd = (3 * Math.sqrt(1 - c4 * c4)) / c4;
    const root = Math.sqrt(n);
    constants = {
      c4,
      d2,
      d3,
      A2: 3 / (d2 * root),
      A3: 3 / (c4 * root),
      B3: Math.max(0, 1 - ofSd),
      B4: 1 + ofSd,
      D3: Math.max(0, 1 - (3 * d3) / d2),
      D4: 1 + (3 * d3) / d2,
    };
    known.set(n, constants);
  }
  return constants;
}

const REACH = 7;
const STEP = 0.05;

/**
 * E(R) = integral of 1 - F^n - (1 - F)^n; E(R^2) twice the double integral over x < y of 1 - F(y)^n - (1 - F(x))^n +
 * (F(y) - F(x))^n.
 */
function rangeMoments(n: number): { d2: number; d3: number } {
  const count = Math.round((2 * REACH) / STEP);
  const cdf = Array.from({ length: count + 1 }, (_, i) => normalCdf(-REACH + i * STEP));
  let first = 0;
  let second = 0;
  for (let j = 0; j <= count; j += 1) {
    const above = cdf[j]!;
    first += 1 - above ** n - (1 - above) ** n;
    for (let i = 0; i < j; i += 1) {
      const below = cdf[i]!;
      second += 1 - above ** n - (1 - below) ** n + (above - below) ** n;
    }
    // The diagonal is an edge of the region: half a cell lies in it.
    second += (1 - above ** n - (1 - above) ** n) / 2;
  }
  const d2 = first * STEP;
  return { d2, d3: Math.sqrt(2 * second * STEP * STEP - d2 * d2) };
}
