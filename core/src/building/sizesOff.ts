import type { SizeSpread } from '../consistency/sizeSpread';
import { normalFrom, randomFrom } from '../statistics';

/** No balloon is off by more than this share: what is comes out is let out again, or burst. */
const MOST_OFF = 0.4;
/** Tries until a balloon is left as it is: narrower than this no check can be. */
const MOST_TRIES = 200;

/** How balloons of a piece come out. */
export interface PieceSpread extends SizeSpread {
  /** Every one is checked, and made anew until it is off by no more than this share; unset: none is. */
  within?: number | undefined;
}

/** How far off so many balloons come out, one after another, as factors of their sizes. */
export function factorsOff({ lean, sd, within = MOST_OFF }: PieceSpread, seed: number): () => number {
  const random = randomFrom(seed);
  return () => {
    let off = lean + sd * normalFrom(random);
    for (let tries = 1; Math.abs(off) > within && tries < MOST_TRIES; tries += 1) off = lean + sd * normalFrom(random);
    return 1 + Math.min(within, Math.max(-within, off));
  };
}
