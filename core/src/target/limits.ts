import type { Finish } from '../balloon';
import type { CalibrationFit, DoseCurve, ShapeLaw } from '../calibration';
import { TRADE, type Trade } from '../trade';
import { standingFraction } from './standing';
import type { TierShape } from './tier';

/** What a limit does to a target: holds it, nearly does, or leaves room. */
export const LIMIT_STATES = ['acts', 'near', 'room'] as const;
export type LimitState = (typeof LIMIT_STATES)[number];

/** Limits that hold a target down. `limitMm` is the largest width they allow; `of` is whose it is, in a pair. */
export type UpperLimit = { of?: 'outer' | 'inner' } & UpperLimitKind;

type UpperLimitKind =
  /** `from` tells whether it was seen on this balloon, on its line's other sizes, or on other lines. */
  | { code: 'round-limit' | 'pear-limit'; limitMm: number; sdMm: number; from: 'own' | 'line' | 'shelf' }
  | { code: 'standing'; days: number; fraction: number; limitMm: number }
  | { code: 'felt-hard'; seenMm: number; limitMm: number }
  | { code: 'burst'; seenMm: number; limitMm: number };

/** The limit that holds a target up: below it the neck hangs out, or a mirror finish loses its shine. */
export interface LowerLimit {
  code: 'smallest-useful';
  why: 'neck' | 'shine';
  fraction: number;
  limitMm: number;
}

/** Every upper limit that is known of a balloon: of its shape both, of which a tier holds to the one it asks for. */
export function upperLimits({
  nominalMm,
  fit,
  curve,
  daysStanding,
  of,
  trade = TRADE,
}: {
  nominalMm: number;
  fit: CalibrationFit | null;
  curve: DoseCurve | null;
  daysStanding: number;
  /** Whose they are, in a pair. */
  of?: 'outer' | 'inner';
  trade?: Trade | undefined;
}): UpperLimit[] {
  const fraction = standingFraction({ days: daysStanding, trade });
  const whose = of ? { of } : null;
  const limits: UpperLimit[] = [
    { code: 'standing', days: daysStanding, fraction, limitMm: fraction * nominalMm, ...whose },
  ];
  for (const code of ['round-limit', 'pear-limit'] as const) {
    const limit = curve && shapeLimit(curve.shape, code, fit !== null);
    if (limit) limits.push({ code, ...limit, ...whose });
  }
  if (!fit) return limits;
  const { hardMm, burstMm, hardMargin, burstMargin } = fit.limits;
  if (hardMm !== null) {
    limits.push({ code: 'felt-hard', seenMm: hardMm, limitMm: hardMm * hardMargin, ...whose });
  }
  if (burstMm !== null) {
    limits.push({ code: 'burst', seenMm: burstMm, limitMm: burstMm * burstMargin, ...whose });
  }
  return limits;
}

/** A limit of the shape as it was seen, or, where the balloon was not filled that far, as others let expect it. */
function shapeLimit(
  { roundLimit, pearLimit, expected }: ShapeLaw,
  code: 'round-limit' | 'pear-limit',
  measured: boolean,
): { limitMm: number; sdMm: number; from: 'own' | 'line' | 'shelf' } | null {
  const seen = code === 'round-limit' ? roundLimit : pearLimit;
  const others = code === 'round-limit' ? expected?.round : expected?.pear;
  if (measured && seen?.kind === 'shown') return { limitMm: seen.widthMm, sdMm: seen.sdMm, from: 'own' };
  if (others?.limit.kind !== 'shown' || (measured && seen?.kind === 'below')) return null;
  const { widthMm, sdMm } = others.limit;
  if (measured && seen?.kind === 'above' && widthMm < seen.widthMm) return null;
  return { limitMm: widthMm, sdMm, from: others.from };
}

/** The limits that hold a tier that bears such shapes: the other limit of the shape is none to it. */
export function limitsFor(limits: readonly UpperLimit[], shape: TierShape): UpperLimit[] {
  return limits.filter(({ code }) => code !== (shape === 'oval' ? 'round-limit' : 'pear-limit'));
}

/** The smallest useful width of a balloon. */
export function lowerLimit(
  { nominalMm, finish }: { nominalMm: number; finish: Finish },
  trade: Trade = TRADE,
): LowerLimit {
  const why = finish === 'mirror' ? 'shine' : 'neck';
  const fraction = why === 'shine' ? trade.smallestShine : trade.smallestFraction;
  return { code: 'smallest-useful', why, fraction, limitMm: fraction * nominalMm };
}

/** The widths that a nominal is useful in for work that must be exact, mm: neither floppy nor hard. */
export function usefulWidths({ nominalMm, trade = TRADE }: { nominalMm: number; trade?: Trade | undefined }): {
  leastMm: number;
  mostMm: number;
} {
  return { leastMm: trade.smallestFraction * nominalMm, mostMm: trade.largestFraction * nominalMm };
}
