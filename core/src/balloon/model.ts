import { MM_PER_INCH } from '../units';

/** Kinds of plain latex balloon that are filled to a width. */
export const BALLOON_KINDS = ['round', 'linking'] as const;
export type BalloonKind = (typeof BALLOON_KINDS)[number];

/** How a balloon's skin looks. */
export const FINISHES = ['matte', 'pearl', 'mirror', 'clear'] as const;
export type Finish = (typeof FINISHES)[number];

/** Nominal sizes balloons are sold in, mm (5 to 36 in). Source: common practice. */
export const NOMINAL_SIZES_MM: readonly number[] = [5, 6, 7, 9, 10, 11, 12, 16, 17, 18, 24, 36].map(
  (inches) => inches * MM_PER_INCH,
);
