interface Bisection {
  /** True at `low`, false at `high`, and turning once in between. */
  holds: (x: number) => boolean;
  low: number;
  high: number;
  /** 60 reach the last bit of a double that matters. */
  halvings?: number;
}

/**
 * The narrow stretch in which a condition that holds at `low` stops holding, by halving. `low` may be the larger of
 * the two. Nothing is asked of how fast what is behind the condition changes.
 *
 * Source: bisection (any handbook of numerical analysis).
 */
export function bisect({ holds, low, high, halvings = 60 }: Bisection): { low: number; high: number } {
  let [inside, outside] = [low, high];
  for (let i = 0; i < halvings; i += 1) {
    const middle = (inside + outside) / 2;
    if (holds(middle)) inside = middle;
    else outside = middle;
  }
  return { low: inside, high: outside };
}
