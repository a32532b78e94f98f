import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import type { ClusterKind } from './cluster';
import { STRAIGHT } from './knotLine';
import { packGarland, type PackGarlandProblemCode } from './packGarland';

/** A garland that was finished: what was tied along it, and how long that came out. */
export interface FinishedGarland {
  clusters: readonly ClusterKind[];
  /** As `PackedGarland` has it: from the first knot to the last, and half a cluster at both ends; mm. */
  lengthMm: number;
}

/** What finished garlands say of how soft this studio's are. */
export interface LearnedGarland {
  /** In place of the trade's `garlandPress`. */
  press: number;
  /** With 95 in 100 what this studio's balloons press into one another, a share of their widths. */
  interval: readonly [least: number, most: number];
  /** How long each comes out by the trade's own number, mm. */
  expectedMm: number[];
}

export type LearnGarlandProblemCode =
  | PackGarlandProblemCode
  | 'no-garlands'
  /** No garland of these clusters comes out so long, or so short: `leastMm`, `mostMm`. */
  | 'implausible-length';

/** Softnesses that a garland is packed with, a share of the width; what lies between them follows from both. */
const PRESSES = [0, 0.02, 0.04, 0.06, 0.09, 0.12, 0.16, 0.2] as const;
/** Each so many times, turned otherwise: how long one comes out is chance too. */
const SEEDS = [1, 2, 3] as const;
/** Softnesses that are weighed. */
const WEIGHED = 400;
/** Beyond the softest and the hardest by more than this share it is no garland of these clusters. */
const PLAUSIBLE = 1.25;
/** Of a longer one its first clusters say how long each is. */
const MOST_TRIED = 40;

/**
 * How far balloons of this studio's garlands press into one another, from garlands that were finished and measured. Each
 * is packed with softness after softness; how likely its length is with each of them, two garlands made alike differing
 * by `garlandSd`, is weighed with what the trade expects (`garlandPress`, `garlandPressSd`). A garland whose length hardly
 * follows from its softness, as one of many large balloons, teaches little.
 *
 * Problems: `no-garlands`; with `garlands.<index>` before their field those of `packGarland`, and `implausible-length`.
 *
 * Source: a posterior on a grid (any handbook of Bayesian statistics).
 */
export function learnGarland({
  garlands,
  trade = TRADE,
  onDone,
}: {
  garlands: readonly FinishedGarland[];
  trade?: Trade | undefined;
  /** How many of them are packed, told after each. */
  onDone?: ((garlands: number) => void) | undefined;
}): Result<LearnedGarland, LearnGarlandProblemCode> {
  if (garlands.length === 0) return problem('no-garlands', { field: 'garlands' });
  const mostPress = PRESSES.at(-1)!;
  const weighed = Array.from({ length: WEIGHED + 1 }, (_, i) => (mostPress * i) / WEIGHED);
  const logs = weighed.map((press) => -0.5 * ((press - trade.garlandPress) / trade.garlandPressSd) ** 2);
  const expectedMm: number[] = [];
  // Many are made alike: each kind is packed once.
  const known = new Map<string, Result<number[], PackGarlandProblemCode>>();
  for (const [i, { clusters, lengthMm }] of garlands.entries()) {
    const alike = JSON.stringify(clusters);
    const made = known.get(alike) ?? lengthsOf(clusters, trade);
    known.set(alike, made);
    if (!made.ok) {
      const { field, ...rest } = made.problem;
      return { ok: false, problem: { ...rest, field: `garlands.${i}.${field}` } as typeof made.problem };
    }
    const [longest, shortest] = [Math.max(...made.value) * PLAUSIBLE, Math.min(...made.value) / PLAUSIBLE];
    if (!(lengthMm >= shortest && lengthMm <= longest))
      return problem('implausible-length', {
        field: `garlands.${i}.lengthMm`,
        detail: { leastMm: shortest, mostMm: longest },
      });
    weighed.forEach((press, at) => {
      logs[at]! -= 0.5 * (Math.log(lengthMm / lengthAt(made.value, press)) / trade.garlandSd) ** 2;
    });
    expectedMm.push(lengthAt(made.value, trade.garlandPress));
    onDone?.(i + 1);
  }
  const top = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - top));
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  const upTo = (share: number) => {
    let sum = 0;
    return weighed[weights.findIndex((weight) => (sum += weight / all) >= share)] ?? mostPress;
  };
  const press = weighed.reduce((sum, each, at) => sum + (each * weights[at]!) / all, 0);
  return ok({ press, interval: [upTo(0.025), upTo(0.975)], expectedMm });
}

/** How long a garland comes out with each of the softnesses, mm; the mean of several times. */
function lengthsOf(clusters: readonly ClusterKind[], trade: Trade): Result<number[], PackGarlandProblemCode> {
  const tried = clusters.slice(0, MOST_TRIED);
  const lengths: number[] = [];
  for (const garlandPress of PRESSES) {
    let sum = 0;
    for (const seed of SEEDS) {
      const made = packGarland({ clusters: tried, line: STRAIGHT, seed, trade: { ...trade, garlandPress } });
      if (!made.ok) return made;
      sum += (made.value.lengthMm * clusters.length) / tried.length / SEEDS.length;
    }
    lengths.push(sum);
  }
  return ok(lengths);
}

/** The same with any softness between them. */
function lengthAt(lengths: readonly number[], press: number): number {
  const next = Math.max(
    1,
    PRESSES.findIndex((each) => each >= press),
  );
  const [from, to] = [PRESSES[next - 1]!, PRESSES[next]!];
  const share = Math.min(1, Math.max(0, (press - from) / (to - from)));
  return lengths[next - 1]! + share * (lengths[next]! - lengths[next - 1]!);
}
