import type { Finish } from '../balloon';
import { TRADE, type Trade } from '../trade';
import { colourDistance, hexOf, linearOf, linearOfOklab, mixOklab, oklabOf, type LinearRgb, type Oklab } from './oklab';
import { relativeThickness, skinOpacity, stretchedLinear, type StretchedSkin } from './stretchedColour';

/** What happens to a colour when a second skin is behind it. */
export type ColourNote =
  /** A clear outer: deeper than the inner alone, and glossy. */
  | 'deeper-and-glossy'
  /** Something darker behind a warm colour: muted, vintage. */
  | 'muted'
  /** Something lighter behind: paler and more even. */
  | 'paler'
  /** The outer hides nearly all of it. */
  | 'hardly-shows';

/** What a stuffed balloon is expected to look like. */
export interface StuffedColour {
  /** #rrggbb; an approximation. */
  colourHex: string;
  /** How much of the inner the outer hides, 0 to 1. */
  opacity: number;
  /** How far that is from the outer alone, in Oklab. */
  changed: number;
  note: ColourNote;
}

/** Opacity of each finish where its colour was noted, and how many saved colours it was learned from. */
export type SkinOpacities = Readonly<Record<Finish, { value: number; learnedFrom: number }>>;

/** Opacities nobody has learned yet: `TRADE.skinOpacity`. */
export function assumedOpacities(trade: Trade = TRADE): SkinOpacities {
  return learnOpacities([], trade);
}

interface Pair {
  outer: StretchedSkin;
  inner: StretchedSkin;
}

/**
 * The two colours that a stuffed one lies between: the outer alone, and the inner seen through a clear skin of the
 * outer's colour.
 */
function endsOf({ outer, inner }: Pair, trade: Trade): { alone: Oklab; through: Oklab } {
  const skin = stretchedLinear(outer, trade);
  const behind = stretchedLinear(inner, trade);
  // Light passes the outer twice: in and out. A skin that scatters colours it as little as it hides it.
  const tint = trade.skinTint[outer.finish];
  const through = behind.map((light, i) => light * skin[i]! ** tint) as unknown as LinearRgb;
  return { alone: oklabOf(skin), through: oklabOf(through) };
}

/**
 * The colour of a balloon in a balloon: in Oklab, between the outer alone and the inner seen through it, by the outer's
 * opacity at its stretch (`skinOpacity`). An approximation: light scattered between the skins is left out.
 */
export function stuffedColour({
  outer,
  inner,
  opacities,
  trade = TRADE,
}: Pair & { opacities?: SkinOpacities; trade?: Trade | undefined }): StuffedColour {
  const { alone, through } = endsOf({ outer, inner }, trade);
  const opacity = skinOpacity({
    fraction: outer.fraction,
    noted: (opacities ?? assumedOpacities(trade))[outer.finish].value,
    trade,
  });
  const seen = mixOklab(through, alone, opacity);
  const changed = colourDistance(seen, alone);
  return {
    colourHex: hexOf(linearOfOklab(seen)),
    opacity,
    changed,
    note: noteOn(outer, alone, seen, changed, trade),
  };
}

function noteOn(outer: StretchedSkin, alone: Oklab, seen: Oklab, changed: number, trade: Trade): ColourNote {
  if (outer.finish === 'clear') return 'deeper-and-glossy';
  if (changed < trade.justSeen) return 'hardly-shows';
  return seen.l < alone.l ? 'muted' : 'paler';
}

/** What a stuffed balloon really looked like. */
export interface SeenColour extends Pair {
  seenHex: string;
}

/**
 * Learns how much each finish hides from colours that artists saved. Each saved colour, dropped onto the line between
 * the outer alone and the inner through it, gives an opacity; brought back to where colours are noted, they join what
 * is assumed by inverse variance. Pairs of two like colours say little, and count little.
 */
export function learnOpacities(seen: readonly SeenColour[], trade: Trade = TRADE): SkinOpacities {
  const { sd: priorSd, matchSd, ...assumed } = trade.skinOpacity;
  const learn = (finish: Finish) => {
    let weight = 1 / priorSd ** 2;
    let sum = assumed[finish] * weight;
    const own = seen.filter(({ outer }) => outer.finish === finish);
    let learnedFrom = 0;
    for (const pair of own) {
      const { alone, through } = endsOf(pair, trade);
      const long = colourDistance(alone, through);
      // Ends as near as an eye can match a colour tell nothing apart.
      if (long < 2 * matchSd) continue;
      const point = oklabOf(linearOf(pair.seenHex));
      const dot =
        (point.l - through.l) * (alone.l - through.l) +
        (point.a - through.a) * (alone.a - through.a) +
        (point.b - through.b) * (alone.b - through.b);
      const opacity = Math.min(0.995, Math.max(0, dot / long ** 2));
      const pairWeight = (long / matchSd) ** 2;
      sum += pairWeight * (1 - (1 - opacity) ** (1 / relativeThickness(pair.outer.fraction, trade)));
      weight += pairWeight;
      learnedFrom += 1;
    }
    return { value: sum / weight, learnedFrom };
  };
  return { matte: learn('matte'), pearl: learn('pearl'), mirror: learn('mirror'), clear: learn('clear') };
}
