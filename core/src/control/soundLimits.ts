import { individualsChart, type ControlLimits } from './chart';
import { FIRST_RULES, spokenRules, type Spoken } from './runRules';

/** Limits of single values while nothing is wrong, as a history has them. */
export interface SoundLimits extends ControlLimits {
  sd: number;
  /** How many values they are from. */
  of: number;
  /** Places of values that were left out, since they lie beyond what the others allow. */
  leftOut: number[];
}

/** Fewer give no limits: three deviations of so few are anything. */
export const FEWEST_FOR_LIMITS = 8;
/** Limits of fewer are rough (common practice: twenty to twenty-five). */
export const ENOUGH_FOR_LIMITS = 20;
/** A value read in steps differs by one of them by chance: no deviation is taken for less than half a step. */
const LEAST_STEPS = 0.5;

/**
 * Limits from a history in the order it was taken: those of the individuals chart, worked out again without what lies
 * beyond them until nothing does. Where values are read in steps coarser than they differ, neighbours are mostly equal and
 * their ranges would say next to nothing: the deviation is then half a step. `base`: only the first so many count, so that
 * the newest do not make the limits they are held to. `null` with fewer than eight, or where too few would be left.
 *
 * Source: limits for past data, Montgomery, Introduction to Statistical Quality Control (trial control limits);
 * inadequate units of measurement, Wheeler and Lyday, Evaluating the Measurement Process.
 */
export function soundLimits({
  values,
  base = values.length,
}: {
  values: readonly number[];
  base?: number;
}): SoundLimits | null {
  let kept = values.slice(0, base).map((value, at) => ({ value, at }));
  for (;;) {
    if (kept.length < FEWEST_FOR_LIMITS) return null;
    const chart = individualsChart(kept.map(({ value }) => value));
    if (!chart.ok) return null;
    const { centre, ranges } = chart.value;
    const moved = ranges.filter((range) => range > 0);
    const sd = Math.max(chart.value.sd, moved.length === 0 ? 0 : LEAST_STEPS * Math.min(...moved));
    const [low, high] = [centre - 3 * sd, centre + 3 * sd];
    // A hair inside counts as inside: sums in another order differ in their last bits.
    const hair = 1e-9 * (sd + Math.abs(centre));
    const sound = kept.filter(({ value }) => value >= low - hair && value <= high + hair);
    if (sound.length < kept.length) {
      kept = sound;
      continue;
    }
    const places = new Set(kept.map(({ at }) => at));
    const leftOut = values.slice(0, base).flatMap((_, at) => (places.has(at) ? [] : [at]));
    return { centre, low, high, sd, of: kept.length, leftOut };
  }
}

/** Which of the first published rules speak of values held to such limits; none where all were always equal. */
export function spokenWithin(values: readonly number[], { centre, sd }: SoundLimits): Spoken[] {
  if (sd === 0) return [];
  return spokenRules({ deviations: values.map((value) => (value - centre) / sd), rules: FIRST_RULES });
}
