/**
 * An amount of money parted by weights into whole minor units that add up to it: each gets the whole part of its share,
 * those with the largest remainders one more. All weights 0 are equal weights.
 *
 * `minor`: whole, at least 0. `weights`: at least 0.
 *
 * Source: method of largest remainders (Hamilton).
 */
export function shareOut(minor: number, weights: readonly number[]): number[] {
  if (weights.length === 0) return [];
  const sum = weights.reduce((all, weight) => all + weight, 0);
  const exact = weights.map((weight) => (sum > 0 ? (minor * weight) / sum : minor / weights.length));
  const shares = exact.map(Math.floor);
  const left = minor - shares.reduce((all, share) => all + share, 0);
  const byRemainder = exact.map((share, i) => ({ i, rest: share - shares[i]! })).sort((a, b) => b.rest - a.rest);
  for (const { i } of byRemainder.slice(0, left)) shares[i]! += 1;
  return shares;
}
