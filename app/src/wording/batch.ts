import type { BatchAdvice, BatchJudgement, BatchLaw, BatchLawProblem, PairMismatch, Verdict } from '@leggero/core';
import type { InspectionLevel, SamplingPlan } from '@leggero/core/samplingPlan';

import type { LotView } from '@/views/checkView';
import type { Tone } from '@/ui/Chip';

import { counted, numbersOf } from './trade';

type Write = (mm: number) => string;

export const VERDICT_WORDS: Record<Verdict, { word: string; tone: Tone }> = {
  even: { word: 'even', tone: 'good' },
  'some-off': { word: 'some off', tone: 'edge' },
  'off-centre': { word: 'off target', tone: 'out' },
  uneven: { word: 'uneven', tone: 'out' },
  'too-few': { word: 'cannot tell yet', tone: 'plain' },
};

/** The verdict in one sentence. */
export function verdictText({ verdict, count, tooLarge, tooSmall, advice }: BatchJudgement): string {
  const off = tooLarge.length + tooSmall.length;
  switch (verdict) {
    case 'even':
      return `All ${count} are within.`;
    case 'some-off':
      return `${off} of ${count} ${off === 1 ? 'is' : 'are'} outside. The rest are right.`;
    case 'off-centre':
      return `The whole batch runs ${advice.some(({ code }) => code === 'fill-less') ? 'large' : 'small'}.`;
    case 'uneven':
      return `${off} of ${count} are outside: too different from one another.`;
    case 'too-few':
      return `${soFar(count, off)} That is too few to speak for the batch.`;
  }
}

function soFar(count: number, off: number): string {
  if (off > 0) return `${off} of ${count} ${off === 1 ? 'is' : 'are'} outside.`;
  return count === 1 ? 'The one checked so far is within.' : `All ${count} checked so far are within.`;
}

export function adviceText(advice: BatchAdvice, text: Write): string {
  switch (advice.code) {
    case 'carry-on':
      return 'Carry on as you do.';
    case 'let-out':
      return `Let air out of ${numbersOf(advice.indices)}.`;
    case 'add-air':
      return `Add air to ${numbersOf(advice.indices)}.`;
    case 'fill-less':
      return advice.byMm === null ? 'Fill the next ones less.' : `Fill the next ones ${text(advice.byMm)} less.`;
    case 'fill-more':
      return advice.byMm === null ? 'Fill the next ones more.' : `Fill the next ones ${text(advice.byMm)} more.`;
    case 'size-every-one':
      return 'Size every one from here on, at the hole.';
    case 'check-more':
      return `Check ${advice.atLeast} more for a verdict.`;
  }
}

/** "8 % outside; among many more, between 0 % and 38 %." */
export function outsideText({ outside }: BatchJudgement): string {
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  return (
    `${percent(outside.share)} outside here. Among many more like these, between ` +
    `${percent(outside.low)} and ${percent(outside.high)} (95 of 100 times).`
  );
}

export const LEVEL_WORDS: Record<InspectionLevel, string> = {
  I: 'A few',
  II: 'As usual',
  III: 'Closely',
};

/** "Check 13 of 96; if 2 are off, size them all again." */
export function planText({ sampleSize, rejectFrom, all }: SamplingPlan, lotSize: number): string {
  const off = rejectFrom === 1 ? '1 is' : `${rejectFrom} are`;
  return all
    ? `So small a lot is checked whole: all ${lotSize}. If ${off} off, size them all again.`
    : `Check ${sampleSize} of ${lotSize}; if ${off} off, size them all again.`;
}

/** How the lot stands, and what to do. */
export function lotText({ lotSize, sample, acceptMost, off, state }: LotView): string {
  if (state === 'rejected') return `${off} off: size all ${lotSize} again.`;
  if (state === 'accepted') return `${off} of ${sample} off, ${acceptMost} may be: the lot of ${lotSize} is right.`;
  return `${sample} of ${lotSize} are checked; up to ${acceptMost} may be off, ${off} so far.`;
}

/** Why answers at holes do not tell mean and spread, and what would. */
export const LAW_PROBLEMS: Record<BatchLawProblem, string> = {
  none: 'Nothing has been tried at two holes yet.',
  'all-above': 'All stop at the largest of these holes: how much larger they are is not known. Try a larger hole.',
  'all-below': 'All pass the smallest of these holes: how much smaller they are is not known. Try a smaller hole.',
  'one-bound': 'One hole tells how many pass, not mean and spread. Try them at a second hole.',
  'spread-unbounded': 'None lies between two holes, so the spread could be anything. Try a hole between them.',
  'upside-down': 'A balloon cannot stop at a hole larger than one it passes.',
};

/** Mean and spread with their intervals; the most there can be where no spread shows. */
export function lawText({ count, meanMm, spreadMm }: BatchLaw, text: Write, fine: Write): string {
  const mean = `Mean ${text(meanMm.value)} (${text(meanMm.low)} to ${text(meanMm.high)})`;
  const spread =
    spreadMm.value === 0
      ? `no spread shows between these holes; it is at most ${fine(spreadMm.high)}`
      : `spread ${fine(spreadMm.value)} (${fine(spreadMm.low)} to ${fine(spreadMm.high)})`;
  return `${mean}, ${spread}: from ${counted(count, 'balloon')} between holes. The intervals hold 95 of 100 times.`;
}

/** How well two balloons filled at once match. */
export function pairText({ pairs, leanMm, spreadMm, uneven, matched }: PairMismatch, text: Write): string {
  const lean = uneven
    ? `The ${uneven} ones come out ${text(Math.abs(leanMm.value))} larger`
    : 'Neither side comes out larger for sure';
  return (
    `${counted(pairs, 'pair')}: ${Math.round(100 * matched)} % match within the tolerance. ${lean}; ` +
    `a pair differs by ${text(spreadMm.value)} beside that (one standard deviation).`
  );
}
