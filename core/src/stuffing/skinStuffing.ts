import { NOMINAL_SIZES_MM } from '../balloon';
import type { CalibrationFit, EstimatedCurve } from '../calibration';
import { INFLATOR_KINDS, type InflatorKind } from '../inflator';
import { ok, problem, type Result } from '../result';
import type { Aim, Showing, Target, TargetProblemCode } from '../target';
import { TRADE, type Trade } from '../trade';
import { pairLimits, pairTarget, type PairLimits, type Skin } from './pairTarget';
import { highestPressure, type Hump } from './pressure';
import { stuffedCurve } from './stuffedCurve';

/** Whether two balloons make a pair: they do, they do with something to mind, they do not. */
export type PairVerdict = 'works' | 'works-with-care' | 'does-not-work';

/** Why. */
export type PairReason =
  | { code: 'same-nominal' }
  /** The nearest smaller plain balloon inside: as it should be for a linking one. */
  | { code: 'next-smaller' }
  /**
   * The inner is so much smaller that the outer hangs loose around it: its smallest useful width lies above the
   * pair's limit.
   */
  | { code: 'outer-slack'; smallestMm: number; limitMm: number }
  /** The outer is little stretched at what the inner allows, but still useful. */
  | { code: 'outer-soft'; fraction: number }
  /** A linking balloon's tail catches on the outer's crown. */
  | { code: 'inner-has-tail' };

/** What one kind of inflator can do against both skins. */
export interface InflatorVerdict {
  kind: InflatorKind;
  mostKPa: number;
  passes: boolean;
  /** It fills the outer alone, though not the two. */
  aloneOnly: boolean;
}

/** Everything about a balloon stuffed skin in skin. */
export interface SkinStuffing {
  verdict: PairVerdict;
  reasons: PairReason[];
  limits: PairLimits;
  target: Target;
  /** The hump on the way to the target, kPa above the air's, and the width it comes at. */
  hump: Hump;
  inflators: InflatorVerdict[];
  /** How much of the inner's neck to leave standing out, mm. Both are tied by the inner's neck alone. */
  neckProudMm: number;
  /** Times a plain balloon's. */
  effort: { time: number; loss: number; balloons: number };
}

export type PairProblemCode = TargetProblemCode | 'inner-larger';

interface StuffingOptions {
  outer: Skin;
  inner: Skin;
  /** The pair's own calibration, where it has one. */
  fit?: CalibrationFit | null;
  daysStanding?: number;
  /** mm */
  step: number;
  showing?: Showing | null;
  /** The most each kind of inflator presses, kPa; `TRADE.inflatorMostKPa` when absent. */
  mostKPa?: Readonly<Record<InflatorKind, number>>;
  trade?: Trade | undefined;
}

/**
 * Skin stuffing: an inner and an outer that fill as one. Doses come from the pair's own calibration or, with a wider
 * interval, from the outer's (`stuffedCurve`); the target from the limits of both (`pairTarget`); the pressure from
 * two rubber skins (`skinsPressureKPa`).
 *
 * Problems: `inner-larger`, with the largest nominal that would go in (`nearestMm`); those of `resolveTarget`.
 */
export function skinStuffing({
  trade = TRADE,
  tier,
  ...options
}: StuffingOptions & { tier: Aim }): Result<SkinStuffing, PairProblemCode> {
  const sheet = stuffingSheet({ ...options, tiers: [tier], trade });
  return sheet.ok ? ok(sheet.value[0]!) : sheet;
}

/** The same for several tiers of one pair; what they share is worked out once. Problems: those of `skinStuffing`. */
export function stuffingSheet(
  options: StuffingOptions & { tiers: readonly Aim[] },
): Result<SkinStuffing[], PairProblemCode> {
  const { outer, inner, tiers, fit = null, daysStanding = 1, step, showing = null, trade = TRADE } = options;
  const { mostKPa = trade.inflatorMostKPa } = options;
  if (inner.nominalMm > outer.nominalMm + SAME_MM) {
    const fitting = NOMINAL_SIZES_MM.filter((nominalMm) => nominalMm <= outer.nominalMm + SAME_MM);
    const nearestMm = fitting.at(-1) ?? outer.nominalMm;
    return problem('inner-larger', { field: 'inner', detail: { outerMm: outer.nominalMm, nearestMm } });
  }
  const estimate = fit ? null : estimateOf(outer, trade);
  const effort = { ...trade.stuffedEffort, balloons: 2 };
  const sheet: SkinStuffing[] = [];
  for (const tier of tiers) {
    const limits = pairLimits({ outer, inner, fit, daysStanding, shape: tier.shape, trade });
    const resolved = pairTarget({
      outer,
      inner,
      tier,
      fit,
      estimate,
      daysStanding,
      step,
      showing,
      pair: limits,
      trade,
    });
    if (!resolved.ok) return resolved;
    const { pair: _, ...target } = resolved.value;
    const reasons = reasonsOn(outer, inner, limits, target.widthMm, trade);
    sheet.push({
      verdict: verdictOf(reasons),
      reasons,
      limits,
      target,
      ...pressureOf(outer, inner, target.widthMm, mostKPa, trade),
      neckProudMm: trade.neckProudMm,
      effort,
    });
  }
  return ok(sheet);
}

/** Nominal sizes closer than this are one, mm. */
const SAME_MM = 1;
/**
 * Under this share of its nominal the outer of a working pair is named soft: the tier below is what it will feel
 * like.
 */
const SOFT_FRACTION = 0.7;

function estimateOf({ fit, estimate }: Skin, trade: Trade): EstimatedCurve | null {
  const curve = fit ?? estimate;
  return curve ? stuffedCurve({ outer: curve, trade }) : null;
}

function reasonsOn(outer: Skin, inner: Skin, limits: PairLimits, widthMm: number, trade: Trade): PairReason[] {
  const reasons: PairReason[] = [];
  const smallestMm = outer.nominalMm * trade.smallestFraction;
  const limitMm = Math.min(limits.outerMm, limits.innerMm);
  if (limitMm < smallestMm) reasons.push({ code: 'outer-slack', smallestMm, limitMm });
  else if (Math.abs(outer.nominalMm - inner.nominalMm) <= SAME_MM) reasons.push({ code: 'same-nominal' });
  else if (nextSmaller(outer.nominalMm) <= inner.nominalMm + SAME_MM) reasons.push({ code: 'next-smaller' });
  else if (widthMm / outer.nominalMm < SOFT_FRACTION)
    reasons.push({ code: 'outer-soft', fraction: widthMm / outer.nominalMm });
  if (inner.kind === 'linking') reasons.push({ code: 'inner-has-tail' });
  return reasons;
}

/** The next smaller size that is sold. */
function nextSmaller(nominalMm: number): number {
  return NOMINAL_SIZES_MM.filter((each) => each < nominalMm - SAME_MM).at(-1) ?? 0;
}

function verdictOf(reasons: readonly PairReason[]): PairVerdict {
  const codes = reasons.map(({ code }) => code);
  if (codes.includes('outer-slack')) return 'does-not-work';
  return codes.includes('outer-soft') || codes.includes('inner-has-tail') ? 'works-with-care' : 'works';
}

function pressureOf(
  outer: Skin,
  inner: Skin,
  toMm: number,
  most: Readonly<Record<InflatorKind, number>>,
  trade: Trade,
): Pick<SkinStuffing, 'hump' | 'inflators'> {
  const hump = highestPressure({ nominalsMm: [outer.nominalMm, inner.nominalMm], toMm, trade });
  const inflators = INFLATOR_KINDS.map((kind): InflatorVerdict => {
    const mostKPa = most[kind];
    const passes = mostKPa >= hump.kPa;
    return { kind, mostKPa, passes, aloneOnly: !passes && mostKPa >= hump.aloneKPa };
  });
  return { hump, inflators };
}

/** Pieces that the balloons in stock are enough for; `null` where not all were counted. */
export function piecesFrom({
  outerStock,
  innerStock,
  sameModel,
}: {
  outerStock: number | null;
  innerStock: number | null;
  /** The very same model outside and inside: each piece takes two of it. */
  sameModel: boolean;
}): number | null {
  if (outerStock === null || innerStock === null) return null;
  return sameModel ? Math.floor(outerStock / 2) : Math.min(outerStock, innerStock);
}
