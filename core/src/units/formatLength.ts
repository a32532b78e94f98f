import { defaultStepMm, INCHES_PER_FOOT, MM_PER, type LengthUnit } from './length';

/** A length ready to be set in type: the fraction is separate, so that it can be set smaller. */
export interface LengthParts {
  /** '-' or ''. */
  sign: string;
  /** Digits before the fraction; '' when there is only a fraction. Holds the decimals of a metric length. */
  whole: string;
  /** A fraction glyph or `n/d`; '' when there is none. */
  fraction: string;
  unit: LengthUnit;
}

interface FormatOptions {
  mm: number;
  unit: LengthUnit;
  /** What to round to, mm; an eighth of an inch or a millimetre by default. */
  step?: number;
}

const GLYPHS: Readonly<Record<string, string>> = {
  '1/8': '⅛',
  '1/4': '¼',
  '3/8': '⅜',
  '1/2': '½',
  '5/8': '⅝',
  '3/4': '¾',
  '7/8': '⅞',
};

/**
 * Rounds a length to `step` and splits it for setting: inches as a whole and a fraction, metric units as decimals
 * (as many as the step needs, at most two).
 */
export function lengthParts({ mm, unit, step = defaultStepMm(unit) }: FormatOptions): LengthParts {
  const perUnit = MM_PER[unit];
  const steps = Math.round(Math.abs(mm) / step);
  const sign = mm < 0 && steps > 0 ? '-' : '';
  if (unit === 'in') {
    const stepsPerInch = Math.round(perUnit / step);
    // A metric step has no fraction of an inch of its own: the nearest 16th is finer than any of them.
    const exact = Math.abs(stepsPerInch - perUnit / step) < 1e-6 && 16 % stepsPerInch === 0;
    const parts = exact ? stepsPerInch : 16;
    const count = exact ? steps : Math.round((steps * step * parts) / perUnit);
    return { sign, ...inchParts(count, parts), unit };
  }
  const decimals = decimalsOf(step / perUnit);
  return { sign, whole: ((steps * step) / perUnit).toFixed(decimals), fraction: '', unit };
}

/** `lengthParts` as one text with its unit: "9¾ in", "24.8 cm". */
export function formatLength(options: FormatOptions): string {
  const { sign, whole, fraction, unit } = lengthParts(options);
  return `${sign}${whole}${fraction} ${unit}`;
}

/** A length between all steps, where the exact size matters: "5.031 in" to a thousandth, "12.78 cm" to a hundredth. */
export function formatExactly({ mm, unit }: Pick<FormatOptions, 'mm' | 'unit'>): string {
  return `${(mm / MM_PER[unit]).toFixed(unit === 'in' ? 3 : 2)} ${unit}`;
}

/** From here on a length is said in feet or metres, mm. */
export const LONG_MM = 24 * MM_PER.in;
const MM_PER_FOOT = INCHES_PER_FOOT * MM_PER.in;

/**
 * A length of a build as people say it: "6 ft 2½ in" from two feet on, "1.88 m"; shorter ones as `formatLength`.
 * Balloons and tapes are not said so: a balloon is 36 in, and so is its tape.
 */
export function formatLong({ mm, unit, step = defaultStepMm(unit) }: FormatOptions): string {
  if (Math.abs(mm) < LONG_MM - step / 2) return formatLength({ mm, unit, step });
  if (unit !== 'in') return `${(mm / 1000).toFixed(2)} m`;
  const rounded = Math.round(Math.abs(mm) / step) * step;
  const feet = Math.floor(rounded / MM_PER_FOOT + 1e-9);
  const { whole, fraction } = lengthParts({ mm: rounded - feet * MM_PER_FOOT, unit, step });
  const inches = `${whole}${fraction}`;
  return `${mm < 0 ? '-' : ''}${feet} ft${inches === '0' ? '' : ` ${inches} in`}`;
}

/** What deviations are told to, mm. */
const FINE_STEP_MM: Readonly<Record<LengthUnit, number>> = { in: MM_PER.in / 16, cm: 1, mm: 1 };
/** What nobody can see or feel, mm. */
const NOTHING_MM = 0.05;

/**
 * A deviation, spread, tolerance or clearance, unsigned: to a sixteenth of an inch ("3/16 in", "under 1/16 in") or a
 * tenth of a centimetre ("0.2 cm", "under 0.1 cm"). `sign`: what stands before the figure ("±3/16 in", "under ±1/16 in").
 */
export function formatFine({ mm, unit, sign = '' }: Pick<FormatOptions, 'mm' | 'unit'> & { sign?: string }): string {
  const size = Math.abs(mm);
  const step = FINE_STEP_MM[unit];
  if (size < NOTHING_MM) return `${sign}0 ${unit}`;
  const told = `${sign}${formatLength({ mm: Math.max(size, step), unit, step })}`;
  return size < step / 2 ? `under ${told}` : told;
}

function inchParts(count: number, perInch: number): { whole: string; fraction: string } {
  const whole = Math.floor(count / perInch);
  let over = count % perInch;
  if (over === 0) return { whole: String(whole), fraction: '' };
  let under = perInch;
  while (over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  const plain = `${over}/${under}`;
  const glyph = GLYPHS[plain];
  if (glyph) return { whole: whole === 0 ? '' : String(whole), fraction: glyph };
  return { whole: whole === 0 ? '' : `${whole} `, fraction: plain };
}

function decimalsOf(step: number): number {
  if (Number.isInteger(step)) return 0;
  return Number.isInteger(Math.round(step * 1e6) / 1e5) ? 1 : 2;
}
