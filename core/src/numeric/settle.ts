interface Iteration {
  from: number;
  /** Newton's step, or any that comes nearer each time. */
  next: (x: number) => number;
  /** The share of itself by which a step may still move once it counts as settled. */
  within: number;
  most?: number;
}

/**
 * Where repeated steps from a positive start settle. A step that leaves the positive numbers has overshot, and a
 * quarter of the way is taken instead. Answers the last point when `most` steps do not settle.
 *
 * Source: Newton's method, safeguarded (any handbook of numerical analysis).
 */
export function settle({ from, next, within, most = 60 }: Iteration): number {
  let x = from;
  for (let step = 0; step < most; step += 1) {
    const to = next(x);
    const moved = to > 0 ? to : x / 4;
    if (Math.abs(moved - x) < within * x) return moved;
    x = moved;
  }
  return x;
}
