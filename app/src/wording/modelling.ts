import type { Problem } from '@leggero/core';
import type {
  CodeProblemCode,
  JoinerPlan,
  JoinerProblemCode,
  LengthLaw,
  LengthProblemCode,
  ModellingSize,
  PoleCover,
  PoleProblemCode,
  ShapeProblemCode,
  TailProblemCode,
  Tying,
} from '@leggero/core/modelling';

import { counted, percent } from './trade';

type Write = (mm: number) => string;

/** What a code says, so that nobody reads it as 26 by 0. */
export function codeText({ code, widthMm, lengthMm }: ModellingSize, text: Write): string {
  return (
    `${code}: ${text(widthMm)} across, ${text(lengthMm)} long when full. The first digit is the ` +
    'width, the other two the length, in inches.'
  );
}

export function codeProblemText({ code, detail }: Problem<CodeProblemCode>): string {
  const nearest = `Is it ${detail.nearest}?`;
  switch (code) {
    case 'not-digits':
      return `A code is three digits, such as 260. ${nearest}`;
    case 'not-three-digits':
      return `A code has three digits: one for the width, two for the length. ${nearest}`;
    case 'no-size':
      return `A nought there leaves it without a size. ${nearest}`;
  }
}

export const TYING_WORDS: Record<Tying, { title: string; means: string }> = {
  loop: { title: 'Loop', means: 'around two or three balloons of each cluster, then a knot' },
  'figure-eight': {
    title: 'Figure eight',
    means: 'around one cluster, across, around the next: holds large ones',
  },
  band: { title: 'Band', means: 'twice around the necks, for fillers and small tails' },
};

export function joinerText({ pieces, balloons, joins, joinsAPiece }: JoinerPlan, halved: boolean): string {
  const each = joinsAPiece === 1 ? 'each does one' : `each does ${joinsAPiece}`;
  const what = halved ? `${counted(pieces, 'half', 'halves')}, ${each}` : `${each} of them`;
  return `${counted(balloons, 'balloon')} for ${counted(joins, 'join')}: ${what}.`;
}

export function joinerProblemText({ code, detail }: Problem<JoinerProblemCode>, text: Write): string {
  if (code === 'bad-count') return 'Give two clusters or more, as a whole number.';
  return (
    `A piece pulled to ${text(detail.reachMm)} does not do one join ` +
    `(${text(detail.takesMm)}). Use whole ones, or another way of tying.`
  );
}

export function poleText({ balloons, turns, pitchMm, coversMm }: PoleCover, text: Write): string {
  return (
    `${counted(balloons, 'balloon')}: ${Math.ceil(turns)} turns, ${text(pitchMm)} on for each. One ` +
    `covers ${text(coversMm)} of the pole.`
  );
}

export function poleProblemText({ code, detail }: Problem<PoleProblemCode>, text: Write): string {
  switch (code) {
    case 'pole-too-thin':
      return `The strip goes around no pole thinner than ${text(detail.leastMm)}.`;
    case 'bad-length':
      return 'Give the pole a length, such as 60 or 150 cm.';
    case 'bad-overlap':
      return `Overlap from 0 to ${percent(detail.most)}.`;
  }
}

export function shapeProblemText({ code, detail }: Problem<ShapeProblemCode>, text: Write): string {
  switch (code) {
    case 'bad-length':
      return 'Give a length above nothing.';
    case 'longer-than-balloon':
      return `Longer than one balloon gives. The most is ${text(detail.mostMm)}.`;
    case 'too-tight':
      return `It does not bend so tight. The least is ${text(detail.leastMm)}.`;
    case 'bad-count':
      return 'Give two balloons or more, as a whole number.';
    case 'too-many':
      return `No more than ${detail.most} of this size hold together.`;
  }
}

export function tailProblemText({ code, detail }: Problem<TailProblemCode>): string {
  return code === 'bad-twists'
    ? 'Give twists as a whole number.'
    : `No more than ${detail.most} twists: half the balloon would be tail.`;
}

/** Where the length for a dose comes from. */
export function lengthLawText({ readings, sdMm }: LengthLaw, pump: string, fine: Write): string {
  if (readings === 0) return `From the volume of ${pump}: a reading settles it.`;
  const about = sdMm === null ? '' : `, give or take ${fine(1.96 * sdMm)}`;
  return `From ${counted(readings, 'reading')}${about}.`;
}

export const LENGTH_LAW_PROBLEMS: Record<LengthProblemCode, string> = {
  'no-readings': 'No length was read yet.',
  'bad-reading': 'This length is not possible for the balloon.',
  'longer-than-full': 'This length is more than the balloon has.',
  'not-rising': 'The lengths fall as doses rise. Delete the one that is wrong.',
  'no-volume': 'The pump’s volume is not known: read a length.',
};
