import type { Tallied } from '@leggero/core';
import {
  ENOUGH_FOR_LIMITS,
  FEWEST_FOR_LIMITS,
  type HandsJudged,
  type Mover,
  type RunRule,
} from '@leggero/core/control';

import type { ShownTook } from '@/views/logFiles';
import type { SizesView } from '@/views/sized';
import type { Taken } from '@/views/taken';

import { dayText } from './day';
import { lastingText } from './inflation';
import { counted, listed } from './trade';

type Fine = (mm: number) => string;

/** A rule by what it says of values. */
const RULE_WORDS: Record<RunRule, string> = {
  beyond: 'one lies beyond three deviations',
  'two-of-three': 'two of three lie beyond two deviations',
  'four-of-five': 'four of five lie beyond one deviation',
  'one-side': 'eight in a row lie on one side',
  trend: 'six in a row rise or fall',
  hugging: 'fifteen in a row lie within one deviation',
  'to-and-fro': 'fourteen in a row go to and fro',
  avoiding: 'eight in a row lie outside one deviation',
};

/** How many balloons later a slow change is told of. */
const OVER = 10;

const larger = (mm: number) => (mm > 0 ? 'larger' : 'smaller');

/** Whether sizes are steady, in a word or two: "steady", "not steady: large". */
export function steadyWord({ limits, now }: Pick<SizesView, 'limits' | 'now'>): string {
  if (!limits) return 'too few to say whether steady';
  return now.length === 0 ? 'steady' : `not steady: ${sidesOf(now)}`;
}

const SIDE_WORDS = { high: 'large', low: 'small' } as const;

/** To which sides rules spoke: "large", "large and small", or neither. */
function sidesOf(spoken: SizesView['now']): string {
  const sides = (['high', 'low'] as const).filter((side) => spoken.some((each) => each.side === side));
  return listed(sides.map((side) => SIDE_WORDS[side])) || 'it moves';
}

/** Whether sizes are steady, and which rules spoke: "Not steady now, large: eight in a row lie on one side." */
export function steadyText({ sized, limits, now }: Pick<SizesView, 'sized' | 'limits' | 'now'>): string {
  if (!limits) {
    const lacking = Math.max(1, FEWEST_FOR_LIMITS - sized.length);
    return `${counted(sized.length, 'width')} so far; after ${lacking} more it can be said whether they are steady.`;
  }
  if (limits.sd === 0) return `All of ${counted(limits.of, 'width')} are the same.`;
  if (now.length === 0) return 'Steady: the newest lie where chance alone puts them.';
  return `Not steady now, ${sidesOf(now)}: ${listed([...new Set(now.map(({ rule }) => RULE_WORDS[rule]))])}.`;
}

/** From how many widths limits are, and which were left out. */
export function limitsText({ of, leftOut }: NonNullable<SizesView['limits']>): string {
  const rough = of < ENOUGH_FOR_LIMITS ? ' Still rough: twenty and more make them firm.' : '';
  const without = leftOut.length === 0 ? '' : `, without ${leftOut.length} that lay far off`;
  return `Limits from ${counted(of, 'width')} of your own${without}.${rough}`;
}

/** What moved sizes, and what to do; `bagOf` and `dayOf` name a bag and the day of a size. */
export function movedText(
  mover: Mover,
  { fine, bagOf, dayOf }: { fine: Fine; bagOf: (id: string) => string; dayOf: (at: number) => string },
): string | null {
  if (mover.kind === 'nothing') return null;
  if ('perValue' in mover) {
    const by = `${fine(Math.abs(mover.perValue * OVER))} ${larger(mover.perValue)} over ten balloons`;
    return mover.kind === 'tiring'
      ? `Sizes come out ${by}, and begin anew after a pause: check more often, or rest sooner.`
      : `Sizes creep ${by}. Warming air, a worn hole or a softening box does that: calibrate anew.`;
  }
  if (mover.kind === 'step') {
    const by = mover.after - mover.before;
    return `From ${dayOf(mover.at)} on sizes are ${fine(Math.abs(by))} ${larger(by)} at once: another pump, hole or warmth.`;
  }
  const inOrder = [...mover.levels].sort((a, b) => b.mean - a.mean);
  const [most, least] = [inOrder[0]!, inOrder.at(-1)!];
  const by = fine(most.mean - least.mean);
  return mover.kind === 'bag'
    ? `${bagOf(most.of)} comes out ${by} larger than ${bagOf(least.of)}: calibrate two of each.`
    : `${most.of} fills ${by} larger than ${least.of}: let each check against the same hole.`;
}

/** One station beside the others. */
export function stationText({ of, count, lean, low, high, apart }: HandsJudged, fine: Fine): string {
  const from = `from ${counted(count, 'width')}`;
  const between = `between ${signed(low, fine)} and ${signed(high, fine)}`;
  if (apart === null) return `${of}: as the others, ${between}, ${from}`;
  return `${of}: ${fine(Math.abs(lean))} ${larger(lean)} than its targets, ${between}, ${from}`;
}

/** "+⅛ in", "−⅛ in": off a target. */
export const signed = (mm: number, fine: Fine): string =>
  Math.abs(mm) < 0.05 ? fine(0) : `${mm > 0 ? '+' : '−'}${fine(Math.abs(mm))}`;

const CAUSE_WORDS: Record<Tallied, string> = {
  done: 'made',
  popped: 'popped',
  pinhole: 'pinhole',
  size: 'wrong size',
  other: 'other',
};

/** "3 popped, 1 pinhole"; empty where nothing went wrong. */
export function causesText(counts: Record<Tallied, number>): string {
  return (['popped', 'pinhole', 'size', 'other'] as const)
    .flatMap((what) => (counts[what] > 0 ? [`${counts[what]} ${CAUSE_WORDS[what]}`] : []))
    .join(', ');
}

/** "96 of 96 made at 2 stations in 1 h 10 min; 3 popped". */
export function takenText({ planned, counts, lastedS, stations, going }: Taken): string {
  const made = `${counts.done} of ${planned} made at ${counted(stations, 'station')} in ${lastingText(lastedS)}`;
  const causes = causesText(counts);
  return `${made}${causes ? `; ${causes}` : ''}${going ? '; it goes on' : ''}`;
}

/** "96 of 96 made, 4 lost, in 52 min; planned 40 min. 1 balloon made anew where it stood." */
export function tookText({ planned, done, lost, workedS, plannedS, anew }: Omit<ShownTook, 'piece' | 'name'>): string {
  const time = done > 0 && workedS !== null ? ` in ${lastingText(workedS)}` : '';
  const standing = anew > 0 ? `. ${counted(anew, 'balloon')} made anew where it stood` : '';
  return `${done} of ${planned} made, ${lost} lost${time}; planned ${lastingText(plannedS)}${standing}`;
}

/** What was made for no piece as it is drawn now, as the end of a sentence; nothing where there is none. */
export function elsewhereText(count: number): string {
  return count === 0 ? '' : ` ${counted(count, 'balloon')} beside these went into none of them as they are drawn now.`;
}

/** "4 of 90 lost (4.4 %)". */
export function lostText({ used, lost }: { used: number; lost: number }): string {
  return `${lost} of ${used} lost (${((100 * lost) / used).toFixed(1)} %)`;
}

/** "24 widths to 10 Oct". */
export function sizedText(sized: SizesView['sized']): string {
  return `${counted(sized.length, 'width')} to ${dayText(sized.at(-1)!.at)}`;
}

/** "The bag of batch K7", as it begins a sentence. */
export const bagText = (batch: string | undefined): string =>
  batch ? `The bag of batch ${batch}` : 'A bag without a batch';

/** "Loses ⅛ in a night wrapped twice (3 tests), ¼ in in a night wrapped once (1 test)" */
export function heldText(
  laws: readonly { wraps: 1 | 2; tests: number; nightMm: number }[],
  fine: (mm: number) => string,
): string {
  const each = laws.map(({ wraps, tests, nightMm }) => {
    return `${fine(nightMm)} in a night wrapped ${wraps === 2 ? 'twice' : 'once'} (${counted(tests, 'test')})`;
  });
  return `Loses ${each.join(', ')}`;
}
