import type { ColourNote, Hole, Problem } from '@leggero/core';
import type {
  BubbleProblemCode,
  BubbleSteps,
  BubbleWidths,
  InflatorVerdict,
  PairProblemCode,
  PairReason,
  PairVerdict,
  SkinStuffing,
  SphereInClear,
  SphereProblemCode,
} from '@leggero/core/stuffing';

import type { Tone } from '@/ui/Chip';

import { INFLATOR_WORDS, listed, percent } from './trade';

type Write = (mm: number) => string;

export const PAIR_VERDICTS: Record<PairVerdict, { word: string; tone: Tone }> = {
  works: { word: 'works', tone: 'good' },
  'works-with-care': { word: 'works with care', tone: 'edge' },
  'does-not-work': { word: 'does not work', tone: 'out' },
};

export function pairReasonText(reason: PairReason, text: Write): string {
  switch (reason.code) {
    case 'same-nominal':
      return 'Both are of one nominal: they fill as one.';
    case 'next-smaller':
      return 'The inner is the next smaller size, as it should be.';
    case 'outer-slack':
      return (
        `The inner stops at ${text(reason.limitMm)}, and the outer hangs loose below ` +
        `${text(reason.smallestMm)}. Take a larger inner, or fill the gap as a bubble.`
      );
    case 'outer-soft':
      return (
        `The outer is filled to ${percent(reason.fraction)} of its nominal only: soft, with a long neck. ` +
        'A larger inner would stretch it more.'
      );
    case 'inner-has-tail':
      return 'A linking inner’s tail catches in the outer’s crown. A plain balloon goes in smoothly.';
  }
}

export function pairProblemText({ code, detail }: Problem<PairProblemCode>, text: Write): string {
  if (code !== 'inner-larger') return 'This pair cannot be worked out. Check both balloons’ sizes.';
  return (
    `The inner is larger than its outer of ${text(detail.outerMm)}. At most ` +
    `${text(detail.nearestMm)} goes in: swap the two, or take a smaller inner.`
  );
}

/** Which of the two holds the pair, and where each stops. */
export function governsText({ governs, outerMm, innerMm }: SkinStuffing['limits'], text: Write): string {
  const stops = `The outer stops at ${text(outerMm)}, the inner at ${text(innerMm)}`;
  return governs === 'both' ? `${stops}: both hold alike.` : `${stops}: the ${governs} governs.`;
}

/** How the two go together, in the order of work. */
export function insertionSteps(neckProud: string): string[] {
  return [
    'Stretch both by hand, or fill each once and empty it.',
    'Put the inner over the end of a smooth rod, crown first.',
    'Push it in to the crown without a twist, and draw the rod out.',
    `Leave ${neckProud} of the inner’s neck standing out.`,
    'Fill through the inner’s neck: both grow as one.',
    'Tie by the inner’s neck alone. The knot is harder: wrap twice first.',
  ];
}

/** What the inflators in hand can do against both skins. */
export function inflatorsText(inflators: readonly InflatorVerdict[]): string {
  const named = (passes: boolean) =>
    inflators.filter((each) => each.passes === passes).map(({ kind }) => INFLATOR_WORDS[kind].means);
  const [can, cannot] = [named(true), named(false)];
  if (cannot.length === 0) return 'Any inflator passes the start.';
  if (can.length === 0) return 'No inflator passes the start: stretch both well and fill each once before.';
  const first = `A ${listed(can)} passes the start; a ${cannot.join(' or a ')} does not.`;
  return can.includes(INFLATOR_WORDS.hand.means)
    ? `${first} Give the first fill by hand, through a nozzle tip.`
    : first;
}

export function effortText({ time, loss }: SkinStuffing['effort']): string {
  return (
    `Two balloons a piece, about ${time.toFixed(1)} times the work, ${loss.toFixed(0)} ` +
    'times the losses (from memory).'
  );
}

export function piecesText(pieces: number | null, sameModel: boolean): string {
  if (pieces === null) return 'Count the stock of both, and it says how many pieces they make.';
  if (pieces === 0) {
    return sameModel
      ? 'Too few in stock: one piece takes two of this balloon. Order more, or pair it with another of its size.'
      : 'Too few in stock: one piece takes one of each. Order more, or pair with another of its size.';
  }
  return `The stock makes ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}.`;
}

export const COLOUR_NOTES: Record<ColourNote, string> = {
  'deeper-and-glossy': 'Clear over colour: deeper and glossy.',
  muted: 'Something darker behind it: muted.',
  paler: 'Something lighter behind it: paler, more even.',
  'hardly-shows': 'The outer hides it: the colour hardly changes.',
};

export const BUBBLE_FIELDS: Record<keyof BubbleWidths, { title: string; hint: string }> = {
  outerFirstMm: { title: 'Outer first', hint: 'Filled through the gap, before the inner.' },
  innerMm: { title: 'Inner', hint: 'The inner’s own width once it is full.' },
  finalMm: { title: 'Outside', hint: 'Across everything at the end.' },
};

export function bubbleProblemText({ code, detail }: Problem<BubbleProblemCode>, text: Write): string {
  switch (code) {
    case 'leave-one-out':
      return 'Give two of the three; the third follows.';
    case 'bad-width':
      return 'Give a width above nothing.';
    case 'final-too-small':
      return (
        'The outside must end above ' +
        `${detail.within === 'innerMm' ? 'the inner' : 'the first width'} of ${text(detail.withinMm)}. The ` +
        `least is ${text(detail.nearestMm)}.`
      );
    case 'above-limit':
      return (
        `The ${detail.whose} would come to ${text(detail.wouldBeMm)} and bears ${text(detail.limitMm)}. ` +
        `At this place ${text(detail.nearestMm)} works.`
      );
  }
}

/** One step of a bubble at the sizer. */
export function bubbleStepText(
  { fill, widthMm, at }: BubbleSteps<Hole & { label: string }>['steps'][number],
  text: Write,
): string {
  const where = at
    ? at.how === 'gap'
      ? `at the ${at.hole.label} hole with a ${text(at.gapMm)} gap`
      : `at the ${at.hole.label} hole`
    : 'by tape: no hole is large enough';
  switch (fill) {
    case 'inner-alone':
      return `Size one inner alone to ${text(widthMm)}, ${where}, and note its dose.`;
    case 'outer':
      return `Fill the outer through the gap to ${text(widthMm)}, ${where}.`;
    case 'inner-until-final':
      return at
        ? `Fill the inner until the outside is ${text(widthMm)}, ${where}.`
        : `Give the inner its dose: the outside comes to ${text(widthMm)}. Check the first by tape.`;
  }
}

export const BUBBLE_HOW: Record<BubbleSteps<Hole>['how'], string> = {
  'as-asked': 'Every step fits the sizer.',
  'inner-by-dose': 'The outside passes no hole, so the inner is sized alone and its dose given again inside.',
  'other-pair': 'The largest hole is too small for the first width. These two fit it and end alike:',
  'by-tape': 'No pair of widths fits the sizer: go by tape.',
};

export function sphereProblemText({ code, detail }: Problem<SphereProblemCode>, text: Write): string {
  switch (code) {
    case 'bad-width':
      return 'Give a width above nothing.';
    case 'bad-vents':
      return 'Let air out at two or three points.';
    case 'latex-too-small':
      return (
        `The latex is too small for that sphere with its gap: it wants ${text(detail.neededMm)}. The largest ` +
        `sphere for this latex is ${text(detail.nearestMm)}.`
      );
    case 'latex-too-large':
      return (
        `The latex is too large to be taut around it. At most ${text(detail.nearestMm)} fits a sphere of ` +
        `${text(detail.sphereMm)}.`
      );
  }
}

/** The sphere in clear latex, step by step. */
export function sphereSteps(made: SphereInClear, text: Write): string[] {
  const { stretchToMm, roomMm, vents, sphereMm, outsideMm, gapMm } = made;
  return [
    `Fill the latex alone to ${text(stretchToMm)}, let it rest, and empty it.`,
    'Fold the foil lengthways, small, and push it in, its valve at the neck.',
    `Fill the latex with air to ${text(roomMm)} across: room to unfold.`,
    ...vents.map(
      ({ outsideMm: at, downToMm, gapAfterMm }, i) =>
        `Fill the sphere until the outside is ${text(at)}; let latex air out to ${text(downToMm)} (time ` +
        `${i + 1} of ${vents.length}). ${text(gapAfterMm)} of air stays all around.`,
    ),
    `Fill the sphere until its last wrinkle goes, ${text(sphereMm)}: the outside is ` +
      `${text(outsideMm)}, with ${text(gapMm)} of air all around.`,
    'Press the rest of the air out of the gap, and tie both.',
  ];
}
