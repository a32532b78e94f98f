import type { Finish } from '../balloon';
import { TRADE, type Trade } from '../trade';
import { hexOf, linearOf, type LinearRgb } from './oklab';

/** A skin's colour: as it is sold, its finish, and how far it is filled. */
export interface StretchedSkin {
  /** #rrggbb, as it looks at `TRADE.colourNotedAt` of nominal. */
  colourHex: string;
  finish: Finish;
  /** Width over nominal. */
  fraction: number;
}

/** How thick the skin is against its thickness where its colour was noted: one volume of latex over a larger sphere. */
export function relativeThickness(fraction: number, trade: Trade = TRADE): number {
  const { least, most } = trade.stretchShown;
  return (trade.colourNotedAt / Math.min(most, Math.max(least, fraction))) ** 2;
}

/**
 * Linear light of a stretched skin. Each channel passes through a skin as many times as thick as it is (Beer and
 * Lambert's law); pigment that scatters, as in matte, pearl and mirror skins, answers to a part of it
 * (`TRADE.colourDepth`, from memory). Little stretched is deeper, more stretched paler.
 */
export function stretchedLinear({ colourHex, finish, fraction }: StretchedSkin, trade: Trade = TRADE): LinearRgb {
  const depth = relativeThickness(fraction, trade) ** trade.colourDepth[finish];
  const [r, g, b] = linearOf(colourHex);
  return [r ** depth, g ** depth, b ** depth];
}

/** The colour #rrggbb of a stretched skin; see `stretchedLinear`. */
export function stretchedColour(skin: StretchedSkin, trade: Trade = TRADE): string {
  return hexOf(stretchedLinear(skin, trade));
}

/**
 * How much of what lies behind a skin it hides, 0 to 1: 1 - (1 - opacity)^thickness, as for a layer of that many times
 * the thickness. `noted` is its opacity where its colour was noted.
 */
export function skinOpacity({
  fraction,
  noted,
  trade = TRADE,
}: {
  fraction: number;
  noted: number;
  trade?: Trade | undefined;
}): number {
  return 1 - (1 - noted) ** relativeThickness(fraction, trade);
}

/**
 * How strongly a skin shines, 0 to 1: mirror finish dulls under the smallest width that still shines, other skins
 * shine more the tighter they are (common practice; the strengths are from memory).
 */
export function shineOf(
  { finish, fraction }: Pick<StretchedSkin, 'finish' | 'fraction'>,
  trade: Trade = TRADE,
): number {
  const { slack, tight } = trade.shine[finish];
  const from = trade.smallestFraction;
  const to = finish === 'mirror' ? trade.smallestShine : trade.largestFraction;
  const along = Math.min(1, Math.max(0, (fraction - from) / (to - from)));
  return slack + (tight - slack) * along;
}
