import { ok, problem, type Result } from '../../result';

/** A width that work asks for, and how often. */
export interface WantedWidth {
  widthMm: number;
  weight: number;
}

/** A hole to make. */
export interface ProposedSize {
  widthMm: number;
  /** How much of the wanted weight it serves, 0 to 1. */
  share: number;
  /** The largest distance of a width it serves, mm. */
  furthestMm: number;
}

/**
 * The at most `most` sizes, each a multiple of `stepMm`, that serve the wanted widths with the least weighted distance:
 * k medians on a line, exact by dynamic programming over the sorted widths. Fewer come back when fewer serve as well.
 *
 * Problems: `bad-count` (not a whole number above 0), `bad-step` (not above 0).
 *
 * Source: Wang and Song, The R Journal 3/2 (2011), for the exact one-dimensional partition; here with absolute
 * distances.
 */
export function proposeSizes({
  wanted,
  stepMm,
  most,
}: {
  wanted: readonly WantedWidth[];
  stepMm: number;
  most: number;
}): Result<ProposedSize[], 'bad-count' | 'bad-step'> {
  if (!(Number.isInteger(most) && most > 0)) return problem('bad-count', { field: 'most', detail: { least: 1 } });
  if (!(stepMm > 0 && Number.isFinite(stepMm))) return problem('bad-step', { field: 'stepMm' });
  const groups = new Map<number, WantedWidth[]>();
  for (const each of wanted) {
    if (!(each.widthMm > 0 && each.weight > 0 && Number.isFinite(each.widthMm * each.weight))) continue;
    const step = Math.max(1, Math.round(each.widthMm / stepMm));
    groups.set(step, [...(groups.get(step) ?? []), each]);
  }
  const steps = [...groups.keys()].sort((a, b) => a - b);
  const weights = steps.map((step) => groups.get(step)!.reduce((sum, { weight }) => sum + weight, 0));
  const total = weights.reduce((a, b) => a + b, 0);
  const parts = partition(steps, weights, Math.min(most, steps.length));
  const sizes = parts.map(([from, to]): ProposedSize => {
    const widthMm = steps[medianOf(weights, from, to)]! * stepMm;
    const served = steps.slice(from, to + 1).flatMap((step) => groups.get(step)!);
    return {
      widthMm,
      share: weights.slice(from, to + 1).reduce((a, b) => a + b, 0) / total,
      furthestMm: Math.max(...served.map((each) => Math.abs(each.widthMm - widthMm))),
    };
  });
  return ok(sizes);
}

function medianOf(weights: readonly number[], from: number, to: number): number {
  const half = weights.slice(from, to + 1).reduce((a, b) => a + b, 0) / 2;
  let sum = 0;
  for (let i = from; i < to; i += 1) {
    sum += weights[i]!;
    if (sum >= half) return i;
  }
  return to;
}

/** The cheapest split of n sorted places into k runs, each as first and last place. */
function partition(steps: readonly number[], weights: readonly number[], k: number): [number, number][] {
  const n = steps.length;
  if (n === 0) return [];
  const cost = (from: number, to: number) => {
    const middle = steps[medianOf(weights, from, to)]!;
    let sum = 0;
    for (let i = from; i <= to; i += 1) sum += weights[i]! * Math.abs(steps[i]! - middle);
    return sum;
  };
  const best: number[][] = [Array.from({ length: n }, (_, to) => cost(0, to))];
  const start: number[][] = [new Array<number>(n).fill(0)];
  for (let run = 1; run < k; run += 1) {
    best.push(new Array<number>(n).fill(Infinity));
    start.push(new Array<number>(n).fill(0));
    for (let to = run; to < n; to += 1) {
      for (let from = run; from <= to; from += 1) {
        const sum = best[run - 1]![from - 1]! + cost(from, to);
        if (sum < best[run]![to]!) {
          best[run]![to] = sum;
          start[run]![to] = from;
        }
      }
    }
  }
  const parts: [number, number][] = [];
  for (let run = k - 1, to = n - 1; run >= 0; run -= 1) {
    const from = start[run]![to]!;
    parts.unshift([from, to]);
    to = from - 1;
  }
  return parts;
}
