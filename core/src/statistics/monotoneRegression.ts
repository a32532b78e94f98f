/** One level stretch of a rising step law: the pooled value over the points from `from` to `to`. */
export interface MonotoneBlock {
  /** x of its first and its last point. */
  from: number;
  to: number;
  value: number;
  /** Sum of the weights pooled. */
  weight: number;
  count: number;
}

/**
 * The weighted least-squares fit that never falls, by pooling adjacent violators. `points` must be sorted by x;
 * points at one x are pooled first, as a law has one value there. Returns blocks with rising values.
 *
 * Source: Barlow, Bartholomew, Bremner and Brunk, Statistical Inference under Order Restrictions (1972), section 1.2.
 */
export function monotoneRegression(points: readonly { x: number; value: number; weight: number }[]): MonotoneBlock[] {
  const blocks: MonotoneBlock[] = [];
  for (const { x, value, weight } of points) {
    const next: MonotoneBlock = { from: x, to: x, value, weight, count: 1 };
    let last = blocks.at(-1);
    while (last && (last.value >= next.value || last.to === next.from)) {
      pool(next, last);
      blocks.pop();
      last = blocks.at(-1);
    }
    blocks.push(next);
  }
  return blocks;
}

function pool(into: MonotoneBlock, other: MonotoneBlock): void {
  const weight = into.weight + other.weight;
  into.from = Math.min(into.from, other.from);
  into.to = Math.max(into.to, other.to);
  into.value = (into.value * into.weight + other.value * other.weight) / weight;
  into.weight = weight;
  into.count += other.count;
}
