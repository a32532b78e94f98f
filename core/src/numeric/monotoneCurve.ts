/**
 * A smooth curve through points that never goes beyond two neighbours between them: where they rise it rises, where they
 * are level it is. Beyond the first and the last it stays as they are.
 *
 * `points`: one at least, `x` rising.
 *
 * Source: monotone piecewise cubic interpolation (Fritsch and Carlson, SIAM J. Numer. Anal. 17, 1980), slopes by the
 * harmonic means of Fritsch and Butland (SIAM J. Sci. Stat. Comput. 5, 1984).
 */
export function monotoneCurve(points: readonly { x: number; y: number }[]): (x: number) => number {
  const widths = points.slice(1).map(({ x }, i) => x - points[i]!.x);
  const slopes = points.slice(1).map(({ y }, i) => (y - points[i]!.y) / widths[i]!);
  const tangents = points.map((_, i) => {
    const [before, after] = [slopes[i - 1], slopes[i]];
    if (before === undefined || after === undefined) return before ?? after ?? 0;
    if (before * after <= 0) return 0;
    const [h0, h1] = [widths[i - 1]!, widths[i]!];
    return (3 * (h0 + h1)) / ((2 * h1 + h0) / before + (h1 + 2 * h0) / after);
  });
  return (x) => {
    const first = points[0]!;
    if (x <= first.x) return first.y;
    const i = points.findIndex((point) => x <= point.x) - 1;
    if (i < 0) return points.at(-1)!.y;
    const h = widths[i]!;
    const t = (x - points[i]!.x) / h;
    const [y0, y1] = [points[i]!.y, points[i + 1]!.y];
    const [m0, m1] = [tangents[i]! * h, tangents[i + 1]! * h];
    return y0 * (1 + 2 * t) * (1 - t) ** 2 + m0 * t * (1 - t) ** 2 + y1 * t * t * (3 - 2 * t) + m1 * t * t * (t - 1);
  };
}
