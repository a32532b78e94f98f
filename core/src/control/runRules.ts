/**
 * Rules by which a chart speaks, for values in deviations from its centre: one beyond three; two of three beyond two on
 * one side; four of five beyond one on one side; eight in a row on one side; six in a row that rise, or fall; fifteen in
 * a row within one; fourteen in a row to and fro; eight in a row outside one.
 */
export const RUN_RULES = [
  ...(['beyond', 'two-of-three', 'four-of-five', 'one-side'] as const),
  ...(['trend', 'hugging', 'to-and-fro', 'avoiding'] as const),
] as const;
export type RunRule = (typeof RUN_RULES)[number];

/** The four that were published first; together they cry wolf once in 92 values. */
export const FIRST_RULES = RUN_RULES.slice(0, 4);

/** One rule that spoke: over which values, at which it first did, and to which side. */
export interface Spoken {
  rule: RunRule;
  from: number;
  /** The first value at which it spoke; it went on to speak until `to`. */
  at: number;
  to: number;
  /** `null` of a rule that has no side. */
  side: 'high' | 'low' | null;
}

/** So many of so many in a row, on one side of so many deviations. */
const SIDED = {
  beyond: { many: 1, of: 1, past: 3 },
  'two-of-three': { many: 2, of: 3, past: 2 },
  'four-of-five': { many: 4, of: 5, past: 1 },
  'one-side': { many: 8, of: 8, past: 0 },
} as const;

const [TREND, HUGGING, TO_AND_FRO, AVOIDING] = [6, 15, 14, 8];

/**
 * Which rules speak at each of `deviations` (values less the centre, over their standard deviation, in the order they
 * were taken). A rule that goes on speaking is told once, from where it began to where it ended; its own last value must
 * be among those that offend. `rules`: those that are listened to.
 *
 * Source: Western Electric, Statistical Quality Control Handbook (1956), for the first four; Nelson, Journal of Quality
 * Technology 16 (1984), for the others (one side: eight, as in the former).
 */
export function spokenRules({
  deviations,
  rules = RUN_RULES,
}: {
  deviations: readonly number[];
  rules?: readonly RunRule[];
}): Spoken[] {
  const spoken: Spoken[] = [];
  for (const rule of rules)
    for (let at = 0; at < deviations.length; at += 1) {
      const found = spokenAt(rule, deviations, at);
      if (!found) continue;
      const last = spoken.at(-1);
      if (last?.rule === rule && last.side === found.side && last.to >= found.from - 1) last.to = at;
      else spoken.push(found);
    }
  return spoken.sort((a, b) => a.at - b.at || RUN_RULES.indexOf(a.rule) - RUN_RULES.indexOf(b.rule));
}

/** What one rule says at a value; null where it is silent. */
function spokenAt(rule: RunRule, deviations: readonly number[], at: number): Spoken | null {
  if (rule in SIDED) {
    const { many, of, past } = SIDED[rule as keyof typeof SIDED];
    const own = deviations[at]!;
    const sign = own > past ? 1 : own < -past ? -1 : 0;
    if (sign === 0) return null;
    const from = Math.max(0, at - of + 1);
    const offending = deviations.slice(from, at + 1).filter((value) => sign * value > past).length;
    return offending >= many ? { rule, from, at, to: at, side: sign > 0 ? 'high' : 'low' } : null;
  }
  const window = (count: number) => (at + 1 < count ? null : deviations.slice(at + 1 - count, at + 1));
  switch (rule) {
    case 'trend': {
      const last = window(TREND);
      const steps = last && stepsOf(last);
      const sign = Math.sign(steps?.[0] ?? 0);
      if (!steps || sign === 0 || !steps.every((step) => Math.sign(step) === sign)) return null;
      return { rule, from: at + 1 - TREND, at, to: at, side: sign > 0 ? 'high' : 'low' };
    }
    case 'hugging':
      return window(HUGGING)?.every((value) => Math.abs(value) < 1)
        ? { rule, from: at + 1 - HUGGING, at, to: at, side: null }
        : null;
    case 'to-and-fro': {
      const steps = stepsOf(window(TO_AND_FRO) ?? []);
      const turns = steps.every((step, i) => i === 0 || step * steps[i - 1]! < 0);
      return steps.length > 0 && turns ? { rule, from: at + 1 - TO_AND_FRO, at, to: at, side: null } : null;
    }
    case 'avoiding':
      return window(AVOIDING)?.every((value) => Math.abs(value) > 1)
        ? { rule, from: at + 1 - AVOIDING, at, to: at, side: null }
        : null;
    default:
      return null;
  }
}

const stepsOf = (values: readonly number[]): number[] => values.slice(1).map((value, i) => value - values[i]!);
