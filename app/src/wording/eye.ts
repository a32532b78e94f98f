import type { EyeMode } from '@leggero/contract';
import type { EyeComparison, EyeJudgement, WorkVerdict } from '@leggero/core/eye';

import type { Tone } from '@/ui/Chip';

import { workList } from './works';
import { numbersOf, percent } from './trade';

type Write = (mm: number) => string;

export const EYE_MODE_WORDS: Record<EyeMode, { title: string; means: string }> = {
  one: { title: 'One person', means: 'Fill them one after the other, without looking at a gauge.' },
  two: { title: 'Two people', means: 'Each fills as many; then both are laid side by side.' },
  pairs: { title: 'Two at once', means: 'Fill pairs on two nozzles: left, right, left, right.' },
};

export const WORK_VERDICTS: Record<WorkVerdict['verdict'], { tone: Tone; word: string }> = {
  enough: { tone: 'good', word: 'eye is enough' },
  unclear: { tone: 'edge', word: 'not sure yet' },
  'not-enough': { tone: 'out', word: 'size them' },
};

/** The verdict in one sentence: the kinds of work for which the eye is enough. */
export function eyeVerdict({ work }: EyeJudgement): string {
  const of = (verdict: WorkVerdict['verdict']) =>
    work.filter((each) => each.verdict === verdict).map((each) => each.work);
  const enough = of('enough');
  const unclear = of('unclear');
  const not = of('not-enough');
  if (enough.length === work.length) return 'This eye is enough for every kind of work.';
  const parts = [
    enough.length > 0 ? `This eye is enough for ${workList(enough)}.` : '',
    not.length > 0 ? `Size every balloon for ${workList(not)}.` : '',
    unclear.length > 0 ? `For ${workList(unclear)} a longer check would tell.` : '',
  ];
  return parts.filter(Boolean).join(' ');
}

/** "¼ in larger than the target (⅛ to ⅜)". */
export function biasText({ biasMm: { value, low, high } }: EyeJudgement, text: Write): string {
  if (low <= 0 && high >= 0) {
    return (
      `On the target as far as this tells: the mean lies ${text(Math.abs(value))} ` +
      `${value > 0 ? 'above' : 'below'}, somewhere from ${signed(low, text)} to ${signed(high, text)}.`
    );
  }
  const [near, far] = [Math.abs(low), Math.abs(high)].sort((a, b) => a - b) as [number, number];
  return (
    `Fills ${text(Math.abs(value))} ${value > 0 ? 'too large' : 'too small'} on average ` +
    `(${text(near)} to ${text(far)}).`
  );
}

function signed(mm: number, text: Write): string {
  return `${mm < 0 ? '−' : '+'}${text(Math.abs(mm))}`;
}

export function spreadText({ spreadMm: { value, low, high } }: EyeJudgement, text: Write): string {
  return `From one balloon to the next ${text(value)} (one standard deviation; ${text(low)} to ${text(high)}).`;
}

/** Drifting, tiring, odd ones: what the order shows. */
export function trendTexts({ trend, oddOnes, count }: EyeJudgement, text: Write): string[] {
  const lines: string[] = [];
  if (trend === null) lines.push('Six balloons or more show whether an eye drifts or tires.');
  else {
    lines.push(
      trend.drifting
        ? `The eye drifts: balloons grow ${trend.drifting}, by ` +
            `${text(Math.abs(trend.perBalloonMm.value) * (count - 1))} from the first to the last.`
        : 'No drift from the first to the last.',
    );
    lines.push(
      trend.tiring
        ? `The eye tires: the second half scatters ${trend.spreadRatio.toFixed(1)} times as widely as the first.`
        : 'The second half scatters no more widely than the first, as far as this tells.',
    );
  }
  if (oddOnes.length > 0) lines.push(`Far from its neighbours: ${numbersOf(oddOnes)}.`);
  return lines;
}

export function withinText({ within, toleranceMm }: WorkVerdict, text: Write): string {
  const share = (value: number) => percent(value).replace(' ', '\u00a0');
  return (
    `${share(within.value)} within ${text(toleranceMm)} either way (${share(within.low)} to ` + `${share(within.high)})`
  );
}

/** Two eyes side by side. */
export function comparisonText(
  { differenceMm: { value, low, high }, differ, spreadRatio, spreadsDiffer }: EyeComparison,
  [first, second]: readonly [string, string],
  text: Write,
): string[] {
  const [near, far] = [Math.abs(low), Math.abs(high)].sort((a, b) => a - b) as [number, number];
  return [
    differ
      ? `${value > 0 ? first : second} fills ${text(Math.abs(value))} larger (${text(near)} to ${text(far)}).`
      : `${first} and ${second} fill alike as far as this tells.`,
    spreadsDiffer
      ? `${spreadRatio > 1 ? first : second} scatters more widely, ` +
        `${Math.max(spreadRatio, 1 / spreadRatio).toFixed(1)} times.`
      : 'Neither scatters more widely for sure.',
  ];
}
