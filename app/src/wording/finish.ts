import type { Decor, Finish } from '@leggero/core';
import type { DecorNote, PrintShift, ShineAdvice, SplitProblemCode, TwoBubbles } from '@leggero/core/finish';

import { percent } from './trade';

type Write = (mm: number) => string;

/** What stretch does to each finish: common practice. */
export const STRETCH_WORDS: Record<Finish, string> = {
  matte: 'Less filled it is deeper and dull; the tighter, the paler and the more it shines.',
  pearl: 'Its sheen needs some stretch: slack it looks flat, tight it glows and turns paler.',
  mirror: 'Small it dulls. Above its smallest shine it mirrors; near its limit it shows every scratch.',
  clear: 'Slack it looks milky and tinted; the tighter, the clearer, and the better one sees what is inside.',
};

export const DECOR_NOTE_WORDS: Record<DecorNote, string> = {
  'face-out': 'Turn prints outward and upright as you tie them in.',
  apart: 'No two prints side by side: a plain one between them.',
  'round-off': 'Press air to the crown before tying: the print grows and sharpens.',
  rub: 'Rub it on cloth or hair so that the flecks cling all around.',
  shake: 'The flecks fall in time: shake it before it is seen, and fill it on the day.',
  static: 'Static bursts it in dry rooms and on carpet: keep confetti away from plain clusters until they hang.',
  'fill-slowly': 'Flecks scratch the skin: fill slowly, and stay a tier lower.',
};

export const DECOR_TITLES: Record<Exclude<Decor, 'none'>, string> = {
  print: 'The print, for the recipe',
  confetti: 'Confetti, for the recipe',
};

export function printText({ growth, beforeMm, afterMm }: PrintShift, text: Write): string {
  if (growth < 1.005) return 'It is round already: rounding off moves the print hardly at all.';
  return (
    `Rounded off, the print grows by ${percent(growth - 1)} and its middle comes from ` +
    `${text(beforeMm)} to ${text(afterMm)} below the crown.`
  );
}

export function shineText({ how, smallestMm, leaveInNeck }: ShineAdvice, text: Write): string {
  return how === 'fills'
    ? `It shines by itself: the smallest is ${text(smallestMm)}.`
    : `Below ${text(smallestMm)} it dulls. Hold the neck low, press the air to the crown and tie ` +
        `there: leave about ${percent(leaveInNeck)} of the skin in the neck, and the rest is tight again.`;
}

export function splitText({ firstMm, secondMm, stretchGain }: TwoBubbles, text: Write): string {
  return (
    `Two bubbles of ${text(firstMm)} and ${text(secondMm)}. Together their skin is stretched ` +
    `${percent(stretchGain - 1)} further than as one.`
  );
}

export const SPLIT_PROBLEMS: Record<SplitProblemCode, string> = {
  'bad-volume': 'Give the balloon a width above nothing.',
  'bad-share': 'Give the first bubble 5 to 95 % of the air.',
};
