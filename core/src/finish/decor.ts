import type { Decor } from '../balloon';

/** What a recipe must say of such a balloon. */
export type DecorNote =
  /** Turn prints outward, upright. */
  | 'face-out'
  /** Not two prints side by side. */
  | 'apart'
  /** Push air to the crown so that the print grows and sharpens. */
  | 'round-off'
  /** Rub it on hair or cloth so that the confetti clings. */
  | 'rub'
  /** Confetti falls in time: shake before it is seen. */
  | 'shake'
  /** Dry air and carpet: static bursts it. */
  | 'static'
  /** Pieces scratch the skin: fill slowly, stay a tier lower. */
  | 'fill-slowly';

/** The notes for what is on or in a balloon, in the order of work: common practice. */
export const DECOR_NOTES: Readonly<Record<Decor, readonly DecorNote[]>> = {
  none: [],
  print: ['round-off', 'face-out', 'apart'],
  confetti: ['fill-slowly', 'rub', 'static', 'shake'],
};
