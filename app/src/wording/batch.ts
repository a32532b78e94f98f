import type { BatchAdvice, BatchJudgement, Verdict } from '@leggero/core';

import type { Tone } from '@/ui/Chip';

import { counted, numbersOf } from './trade';

type Write = (mm: number) => string;

export const VERDICT_WORDS: Record<Verdict, { word: string; tone: Tone }> = {
  even: { word: 'even', tone: 'good' },
  'some-off': { word: 'some off', tone: 'edge' },
  'off-centre': { word: 'off target', tone: 'out' },
  uneven: { word: 'uneven', tone: 'out' },
  'too-few': { word: 'too few', tone: 'plain' },
};

/** The verdict in one sentence. */
export function verdictText({ verdict, count, tooLarge, tooSmall }: BatchJudgement): string {
  const off = tooLarge.length + tooSmall.length;
  switch (verdict) {
    case 'even':
      return `All ${count} are within.`;
    case 'some-off':
      return `${off} of ${count} ${off === 1 ? 'is' : 'are'} outside. The rest are right.`;
    case 'off-centre':
      return `The whole batch runs ${tooLarge.length > tooSmall.length ? 'large' : 'small'}.`;
    case 'uneven':
      return `${off} of ${count} are outside: too different from one another.`;
    case 'too-few':
      return `${counted(count, 'balloon')} checked. Three make a first verdict.`;
  }
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
      return advice.byMm === null
        ? 'Fill the next ones less.'
        : `Fill the next ones ${text(advice.byMm)} less.`;
    case 'fill-more':
      return advice.byMm === null
        ? 'Fill the next ones more.'
        : `Fill the next ones ${text(advice.byMm)} more.`;
    case 'size-every-one':
      return 'Size every one from here on, at the hole.';
    case 'check-more':
      return `Check ${advice.atLeast} more for a first verdict.`;
  }
}

/** "8 % outside; among many more, between 0 % and 38 %." */
export function outsideText({ outside }: BatchJudgement): string {
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  return `${percent(outside.share)} outside here. Among many more like these, between ${percent(outside.low)} and ${percent(outside.high)} (95 of 100 times).`;
}
