import { MM_PER_INCH } from '../units';

/** Kinds of plain latex balloon that are filled to a width. */
export const BALLOON_KINDS = ['round', 'linking'] as const;
export type BalloonKind = (typeof BALLOON_KINDS)[number];

/** Kinds of foil: a shape that does not stretch, and a sphere that does. */
export const FOIL_KINDS = ['foil', 'stretch-foil'] as const;
export type FoilKind = (typeof FOIL_KINDS)[number];

/**
 * Everything a shelf holds: balloons filled to a width, long thin ones filled to a length, and foil filled to its
 * seams.
 */
export const MODEL_KINDS = [...BALLOON_KINDS, 'modelling', ...FOIL_KINDS] as const;
export type ModelKind = (typeof MODEL_KINDS)[number];

/** True for a balloon that is filled to a width. */
export function isWidthKind(kind: ModelKind): kind is BalloonKind {
  return (BALLOON_KINDS as readonly ModelKind[]).includes(kind);
}

/** What is printed on a balloon, or in it, beside its finish. */
export const DECORS = ['none', 'print', 'confetti'] as const;
export type Decor = (typeof DECORS)[number];

/** The code of a modelling balloon of a size: its width, then its length, both in whole inches (common practice). */
export function modellingCode({ widthMm, lengthMm }: { widthMm: number; lengthMm: number }): string {
  const inches = (mm: number) => Math.round(mm / MM_PER_INCH);
  return `${inches(widthMm)}${String(inches(lengthMm)).padStart(2, '0')}`;
}

/** How a balloon's skin looks. */
export const FINISHES = ['matte', 'pearl', 'mirror', 'clear'] as const;
export type Finish = (typeof FINISHES)[number];

/** Nominal sizes balloons are sold in, mm (5 to 36 in). Source: common practice. */
export const NOMINAL_SIZES_MM: readonly number[] = [5, 6, 7, 9, 10, 11, 12, 16, 17, 18, 24, 36].map(
  (inches) => inches * MM_PER_INCH,
);
