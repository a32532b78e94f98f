interface Bracket {
  /** Rises or falls through zero between `low` and `high`. */
  of: (x: number) => number;
  low: number;
  high: number;
  /** How near to the root is near enough. */
  within: number;
}

/** Far more than halving a bracket of doubles ever takes. */
const MOST_STEPS = 200;

/**
 * Where a function crosses zero between two points of opposite sign: secants held inside the bracket, the stale end
 * halved so that neither end stays for ever. Answers the nearer end when both have the same sign.
 *
 * Source: the Illinois algorithm (Dowell and Jarratt, BIT 11, 1971).
 */
export function rootWithin({ of, low, high, within }: Bracket): number {
  let [a, b] = [low, high];
  let [fa, fb] = [of(a), of(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (fa > 0 === fb > 0) return Math.abs(fa) < Math.abs(fb) ? a : b;
  let stale = 0;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const x = (a * fb - b * fa) / (fb - fa);
    const fx = of(x);
    if (fx === 0 || Math.abs(x - b) < within) return x;
    if (fx > 0 === fb > 0) {
      if (stale === -1) fa /= 2;
      stale = -1;
    } else {
      [a, fa] = [b, fb];
      stale = 0;
    }
    [b, fb] = [x, fx];
  }
  return b;
}
