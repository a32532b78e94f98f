/** Units a length may be typed or shown in. Below the screen every length is in millimetres. */
export type LengthUnit = 'in' | 'cm' | 'mm';

/** Millimetres in one inch, exact by the international yard and pound agreement of 1959. */
export const MM_PER_INCH = 25.4;

/** Millimetres in one of each unit. */
export const MM_PER: Readonly<Record<LengthUnit, number>> = { in: MM_PER_INCH, cm: 10, mm: 1 };

export const INCHES_PER_FOOT = 12;

/** Roundings the app offers, mm. */
export const STEP_MM = {
  quarterInch: MM_PER_INCH / 4,
  eighthInch: MM_PER_INCH / 8,
  millimetre: 1,
} as const;

/** The largest length anyone types here, mm: a 36 in balloon's girth is under 3 m, a build's under 30 m. */
export const LONGEST_MM = 30_000;

/** The rounding shown when none is asked for, mm. */
export function defaultStepMm(unit: LengthUnit): number {
  return unit === 'in' ? STEP_MM.eighthInch : STEP_MM.millimetre;
}

/** `mm` rounded to the nearest multiple of `step` (mm); halves go up. */
export function roundToStep({ mm, step }: { mm: number; step: number }): number {
  return Math.round(mm / step) * step;
}

/** The smallest multiple of `step` not below `mm`, allowing for the last bits of a division. */
export function ceilToStep({ mm, step }: { mm: number; step: number }): number {
  return Math.ceil(mm / step - 1e-9) * step;
}

/** The largest multiple of `step` not above `mm`, allowing for the last bits of a division. */
export function floorToStep({ mm, step }: { mm: number; step: number }): number {
  return Math.floor(mm / step + 1e-9) * step;
}
