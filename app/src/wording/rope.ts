import type { Problem, BowOpen, ColumnOpen } from '@leggero/core';
import type { BowPlan, BowProblemCode, ColourMapProblemCode, ColumnPlan, RopeJoiner } from '@leggero/core/building';

import { buildProblemText } from './building';
import { counted } from './trade';

type Write = (mm: number) => string;

export const ROPE_OPEN_WORDS: Record<ColumnOpen, string> = { height: 'Length', layers: 'Duplets', size: 'Size' };
export const BOW_OPEN_WORDS: Record<BowOpen, string> = { across: 'Across', loop: 'Duplets', size: 'Size' };

/** Why a bow cannot be worked out, and what would work; the rest as of a column. */
export function bowProblemText(refused: Problem<BowProblemCode | ColourMapProblemCode>, text: Write): string {
  switch (refused.code) {
    case 'loop-too-small':
      return `So tight a loop does not bend: from ${refused.detail.least} duplets on, or smaller balloons.`;
    case 'bad-across':
      return `Above nothing, up to ${text(refused.detail.mostMm)}.`;
    case 'bad-tail':
      return 'A whole number of duplets, or none.';
    default:
      return buildProblemText(refused as Parameters<typeof buildProblemText>[0], text);
  }
}

/** What the sizes of a rope leave. */
export function ropeText({ exactMm, offMm, widthMm }: ColumnPlan, open: ColumnOpen, fine: Write): string {
  if (open === 'height' || Math.abs(offMm) < 1)
    return 'Each duplet is turned a quarter on the one below, and pushed down.';
  const lands = Math.abs(exactMm - widthMm) < 0.5 ? '' : ` At ${fine(exactMm)} it would land.`;
  return `${fine(Math.abs(offMm))} ${offMm > 0 ? 'longer' : 'shorter'} than asked.${lands}`;
}

/** What a bow's figures leave, and where its loops close. */
export function bowText(
  { exactMm, offMm, widthMm, loop, loopMm, tailMm }: BowPlan,
  open: BowOpen,
  { text, fine }: { text: Write; fine: Write },
): string {
  const lands =
    open === 'across' || Math.abs(offMm) < 1
      ? ''
      : `${fine(Math.abs(offMm))} ${offMm > 0 ? 'wider' : 'narrower'} than asked` +
        (Math.abs(exactMm - widthMm) < 0.5 ? '. ' : `; at ${fine(exactMm)} it would land. `);
  const tail = tailMm > 0 ? `, then ${text(tailMm)} of tail` : '';
  return `${lands}Each loop takes ${text(loopMm)} of rope and closes at duplet ${loop}${tail}.`;
}

/** What it is strung on: "one 260, pulled to 6.8 times its length". */
export function strungText(
  { pieces, pull, restMm }: RopeJoiner,
  { name, text, each, mostPull }: { name: string; text: Write; each: string; mostPull: number },
): string {
  const many = pieces === 1 ? `one ${name}` : `${pieces} of ${name}, knotted one to the next`;
  return (
    `${each} is strung on ${many}: ${pull.toFixed(1)} times its empty length of ${text(restMm)}. ` +
    (pieces > 1 ? 'So long a rope is more than one carries.' : `More than about ${mostPull} times and it tears.`)
  );
}

/** How a rope is built. */
export function ropeSteps(duplets: number, tied: string, joiner: string): string[] {
  return [
    `Tie ${tied}.`,
    `Fix one end of ${joiner} and pull it; lay the first duplet on it and twist its necks around it once.`,
    'Lay on duplet after duplet, each turned a quarter on the one before, and push it down until no gap shows.',
    `Knot the joiner behind the last of the ${duplets}; check its length before the other end is cut.`,
  ];
}

/** How a bow is built. */
export function bowSteps({ loop, tail }: BowPlan, tied: string, joiner: string): string[] {
  const each = loop + tail;
  return [
    `Tie ${tied}.`,
    `String ${counted(each, 'duplet')} on ${joiner} for each side, each turned a quarter, pushed down until no gap shows.`,
    `Lay both sides beside each other: they must be equally long. Then close each loop where duplet ${loop} meets the first.`,
    'Tie both loops to one another at their knots, and cover the knot with what is left of the joiner.',
    ...(tail > 0
      ? ['Let each tail leave the knot sideways: tie its start to the beginning of its loop, then let it fall.']
      : []),
    'Hang it by the knot with line that holds it: 40 lb line for a large one. Turn the loops until both stand level.',
  ];
}

/** One step of a rope: "Duplet 3 of 30: 2 coral". */
export function dupletStepText({ at, of, colours }: { at: number; of: number; colours: readonly string[] }): string {
  const [one, other] = colours;
  return `Duplet ${at + 1} of ${of}: ${one === other ? `2 ${one}` : `${one} and ${other}`}`;
}

/** One step of a bow, with where its loop closes. */
export function bowStepText(
  step: number,
  { loop, tail }: BowPlan,
  coloursOf: (duplet: number) => readonly string[],
): string {
  const each = loop + tail;
  const [side, at] = step < each ? (['Right', step] as const) : (['Left', step - each] as const);
  const said = `${side} side. ${dupletStepText({ at, of: each, colours: coloursOf(at) })}`;
  return at === loop - 1 ? `${said}; close the loop here` : said;
}
