import { leastSquares, meanOf, squaresOf } from '../statistics';
import { FEWEST_A_SIDE, likeliestSplit } from './changePoint';

/** One value of a series, with what went on around it. */
export interface Watched {
  value: number;
  /** Of which bag, by whom; `null` where nobody kept that apart. */
  bag: string | null;
  hands: string | null;
  /** There was a pause before it. */
  rested: boolean;
}

/** What moved a series: nothing, another bag, other hands, work since the last rest, something slow, or something sudden. */
export type Mover =
  | { kind: 'nothing' }
  | { kind: 'bag' | 'hands'; levels: { of: string; mean: number; count: number }[] }
  /** By so much from one value to the next, back to where it began after each pause, or on and on. */
  | { kind: 'tiring' | 'drift'; perValue: number }
  | { kind: 'step'; at: number; before: number; after: number };

/** What moved, and how much better it explains the series than nothing does. */
export interface Moved {
  mover: Mover;
  /** Difference of Bayes's information criterion; from 6 on it is called strong. */
  evidence: number;
}

/** Weaker evidence is none: the series is called steady. Source: Kass and Raftery, JASA 90 (1995), table of page 777. */
const STRONG = 6;
/** Under so many values nothing is told apart. */
const FEWEST_TO_TELL = 8;
/** A place that was searched for counts as two parameters. Source: Zhang and Siegmund, Biometrics 63 (2007). */
const SEARCHED = 2;

interface Told {
  mover: Mover;
  squares: number;
  parameters: number;
}

/**
 * What moved a series of values in the order they were taken. Each cause has a model of its own, fitted by least squares:
 * a level for each bag; one for each pair of hands; a line that begins anew after each rest; a line through all; a level
 * before and another after the likeliest place. The one with the least information criterion is taken, if it beats a
 * steady level by strong evidence. A cause that is known to have changed wins over a step at the same place, for it did
 * not have to be searched for.
 *
 * Source: Schwarz, Annals of Statistics 6 (1978).
 */
export function whatMoved(series: readonly Watched[]): Moved {
  const steady: Moved = { mover: { kind: 'nothing' }, evidence: 0 };
  const values = series.map(({ value }) => value);
  const n = values.length;
  const total = squaresOf(values);
  if (n < FEWEST_TO_TELL || total === 0) return steady;
  const told = [levelsOf(series, 'bag'), levelsOf(series, 'hands'), tiringOf(series), driftOf(values), stepOf(values)];
  const worthOf = (squares: number, parameters: number) =>
    n * Math.log(Math.max(squares, total * 1e-9) / n) + parameters * Math.log(n);
  const nothing = worthOf(total, 1);
  let best = steady;
  for (const each of told) {
    if (!each) continue;
    const evidence = nothing - worthOf(each.squares, each.parameters);
    if (evidence > Math.max(STRONG, best.evidence)) best = { mover: each.mover, evidence };
  }
  return best;
}

/** A level for each bag, or each pair of hands, that gave a few values at least; null where there are not two such. */
function levelsOf(series: readonly Watched[], by: 'bag' | 'hands'): Told | null {
  const groups = new Map<string, number[]>();
  for (const each of series) {
    const of = each[by];
    // What nobody kept apart could be of either.
    if (of === null) return null;
    groups.set(of, [...(groups.get(of) ?? []), each.value]);
  }
  if ([...groups.values()].filter(({ length }) => length >= FEWEST_A_SIDE).length < 2) return null;
  const levels = [...groups].map(([of, values]) => ({ of, mean: meanOf(values), count: values.length }));
  const squares = [...groups.values()].reduce((sum, values) => sum + squaresOf(values), 0);
  return { mover: { kind: by, levels }, squares, parameters: groups.size };
}

/** A line that begins anew after each rest; null where nobody rested. */
function tiringOf(series: readonly Watched[]): Told | null {
  let since = 0;
  const worked = series.map(({ rested }, i) => (since = rested || i === 0 ? 0 : since + 1));
  // The first value has no rest before it: one later is what tells tiring from drift.
  if (!series.some(({ rested }, i) => rested && i > 0)) return null;
  return lineOf(
    worked,
    series.map(({ value }) => value),
    'tiring',
  );
}

function driftOf(values: readonly number[]): Told | null {
  return lineOf(
    values.map((_, i) => i),
    values,
    'drift',
  );
}

function lineOf(at: readonly number[], values: readonly number[], kind: 'tiring' | 'drift'): Told | null {
  const middle = meanOf(at);
  const fit = leastSquares({ rows: at.map((x) => [1, x - middle]), observed: values });
  return fit && { mover: { kind, perValue: fit.coefficients[1]! }, squares: fit.chiSquare, parameters: 2 };
}

function stepOf(values: readonly number[]): Told | null {
  const at = likeliestSplit(values);
  if (at === null) return null;
  const [before, after] = [values.slice(0, at), values.slice(at)];
  const mover = { kind: 'step' as const, at, before: meanOf(before), after: meanOf(after) };
  return { mover, squares: squaresOf(before) + squaresOf(after), parameters: 2 + SEARCHED };
}
