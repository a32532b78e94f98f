import type { ArchOpen, ArchShape, Problem } from '@leggero/core';
import type { ArchPlan, ArchProblemCode, ColourMapProblemCode } from '@leggero/core/building';

import { buildProblemText, LAYER_WORDS } from './building';

type Write = (mm: number) => string;

export const ARCH_OPEN_WORDS: Record<ArchOpen, string> = { layers: 'Layers', height: 'Height', size: 'Size' };
export const ARCH_SHAPE_WORDS: Record<ArchShape, string> = { ellipse: 'On a frame', catenary: 'Free' };

/** Why an arch cannot be worked out, and what would work. */
export function archProblemText(refused: Problem<ArchProblemCode | ColourMapProblemCode>, text: Write): string {
  switch (refused.code) {
    case 'feet-too-wide':
      return `Its feet stand wider than its layers are long: under ${text(refused.detail.mostMm)}, or more layers.`;
    case 'bends-too-tight':
      return (
        `It bends with a radius of ${text(refused.detail.radiusMm)} there and is ${text(refused.detail.leastMm)} thick ` +
        'to one side: feet farther apart, lower, or smaller balloons.'
      );
    case 'bad-span':
      return 'Above nothing, please.';
    default:
      return buildProblemText(refused as Parameters<typeof buildProblemText>[0], text);
  }
}

/** What its steps leave, and what one walks through. */
export function archText(
  { exactMm, offMm, widthMm, clearHighMm, clearWideMm }: ArchPlan,
  { open, standMm }: { open: ArchOpen; standMm: number },
  { text, fine }: { text: Write; fine: Write },
): string {
  const lands =
    open === 'height' || Math.abs(offMm) < 1
      ? ''
      : `${fine(Math.abs(offMm))} ${offMm > 0 ? 'longer than its curve: pressed' : 'shorter than its curve: pulled'} along all of it` +
        (Math.abs(exactMm - widthMm) < 0.5 ? '. ' : `; at ${fine(exactMm)} nothing is left. `);
  return `${lands}One passes through ${text(Math.max(0, clearWideMm))} wide and ${text(Math.max(0, clearHighMm + standMm))} high.`;
}

/** What its bend does to its inner side, and what evens it out. */
export function bendText(plan: ArchPlan, text: Write): string {
  const { inner, takenUp, innerMm, outerMm, leftOutOf, tightestAt, tightestMm } = plan;
  const where = tightestAt > 0.5 ? 'At its top' : 'At its feet';
  const share = `${Math.round(100 * inner)} %`;
  const bends = `${where} it bends most, with a radius of ${text(tightestMm)}: its inner side is ${share} shorter than its middle`;
  if (takenUp) return `${bends}, which latex takes up: all balloons of one size.`;
  const counts =
    leftOutOf === null ? '' : ` Or keep one size, and leave the inner balloon out of one layer in ${leftOutOf} there.`;
  return (
    `${bends}, more than latex takes up: ` +
    `with inner balloons of ${text(innerMm)} and outer ones of ${text(outerMm)} there it takes up the rest.${counts}`
  );
}

/** How an arch is built. */
export function archSteps(
  { layers, takenUp }: ArchPlan,
  { count, shape }: { count: number; shape: ArchShape },
  tied: string,
): string[] {
  const word = LAYER_WORDS[count]!.one;
  const evened = takenUp ? '' : ' Where it bends most, turn each so that its smaller balloons lie inside.';
  return [
    `Tie ${tied}.`,
    shape === 'ellipse'
      ? 'Stand the frame on its bases, weigh them down, and see that both feet are level.'
      : `Draw a line as long as the arch through the middle of the first ${word}, and tie it to the left base.`,
    `Push on layer after layer from the left foot, ${layers} in all, each turned by half a step so that it rests in the creases.${evened}`,
    shape === 'ellipse'
      ? 'Fix the first and the last layer to the frame; step back and turn what stands out.'
      : 'Tie the line to the right base, and draw the feet together until it stands so high; it needs both bases heavy.',
  ];
}
