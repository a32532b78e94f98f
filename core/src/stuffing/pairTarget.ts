import type { ModelKind, Finish } from '../balloon';
import type { CalibrationFit, EstimatedCurve } from '../calibration';
import type { Result } from '../result';
import {
  limitsFor,
  lowerLimit,
  resolveTarget,
  upperLimits,
  type Aim,
  type LowerLimit,
  type Showing,
  type Target,
  type TargetProblemCode,
  type TierShape,
  type UpperLimit,
} from '../target';
import { TRADE, type Trade } from '../trade';

/** One of the two balloons of a pair, with what is known of it alone. */
export interface Skin {
  nominalMm: number;
  kind: ModelKind;
  finish: Finish;
  fit: CalibrationFit | null;
  /** Stands in where it was never calibrated. */
  estimate: EstimatedCurve | null;
}

/** Which of the two balloons holds the pair back. */
export const GOVERNORS = ['outer', 'inner', 'both'] as const;
export type Governor = (typeof GOVERNORS)[number];

/** The limits of both balloons, and which of the two holds the pair. */
export interface PairLimits {
  /** Each with whose it is; those that the pair's own calibration shows are of neither. */
  upper: UpperLimit[];
  /** The outer's smallest useful width. */
  lower: LowerLimit;
  governs: Governor;
  /** The tightest of each, mm. */
  outerMm: number;
  innerMm: number;
}

/** Limits this near each other hold alike: less than any decorator sees, mm. */
const ALIKE_MM = 0.5;

/**
 * The limits of a balloon in a balloon: neither may pass its own round limit, the width at which it felt hard or
 * burst, or what of it stands so many days; so the one with the lower limit governs (common practice).
 */
export function pairLimits({
  outer,
  inner,
  fit,
  daysStanding,
  shape = 'round',
  trade = TRADE,
}: {
  outer: Skin;
  inner: Skin;
  /** The pair's own. */
  fit: CalibrationFit | null;
  daysStanding: number;
  /** The shapes it may have; round only when absent. */
  shape?: TierShape | undefined;
  trade?: Trade | undefined;
}): PairLimits {
  const of = (skin: Skin, whose: 'outer' | 'inner') =>
    limitsFor(
      upperLimits({
        nominalMm: skin.nominalMm,
        fit: skin.fit,
        curve: skin.fit ?? skin.estimate,
        daysStanding,
        of: whose,
        trade,
      }),
      shape,
    );
  const [outers, inners] = [of(outer, 'outer'), of(inner, 'inner')];
  const tightest = (limits: readonly UpperLimit[]) => Math.min(...limits.map(({ limitMm }) => limitMm));
  const [outerMm, innerMm] = [tightest(outers), tightest(inners)];
  const governs = Math.abs(outerMm - innerMm) < ALIKE_MM ? 'both' : outerMm < innerMm ? 'outer' : 'inner';
  const nominalMm = Math.min(outer.nominalMm, inner.nominalMm);
  const own = fit ? limitsFor(upperLimits({ nominalMm, fit, curve: fit, daysStanding, trade }), shape) : [];
  const upper = [...outers, ...inners, ...own.filter(({ code }) => code !== 'standing')];
  return { upper, lower: lowerLimit(outer, trade), governs, outerMm, innerMm };
}

/**
 * The target of a pair for one tier: the tier's share of the smaller balloon's nominal, held by the limits of both
 * (`pairLimits`) and by what the pair's own calibration shows, and held up by the outer's smallest useful width.
 * Doses come from the pair's own calibration, `fit`, or from `estimate`.
 *
 * Problems: those of `resolveTarget`.
 */
export function pairTarget({
  trade = TRADE,
  outer,
  inner,
  tier,
  fit,
  estimate,
  daysStanding,
  step,
  showing = null,
  pair = pairLimits({ outer, inner, fit, daysStanding, shape: tier.shape, trade }),
}: {
  outer: Skin;
  inner: Skin;
  tier: Aim;
  /** The pair's own. */
  fit: CalibrationFit | null;
  estimate: EstimatedCurve | null;
  daysStanding: number;
  /** mm */
  step: number;
  showing?: Showing | null;
  /** The limits of both, where they were worked out before. */
  pair?: PairLimits;
  trade?: Trade | undefined;
}): Result<Target & { pair: PairLimits }, TargetProblemCode> {
  const nominalMm = Math.min(outer.nominalMm, inner.nominalMm);
  const target = resolveTarget({
    nominalMm,
    finish: outer.finish,
    tier,
    fit,
    estimate,
    daysStanding,
    step,
    showing,
    limits: { upper: pair.upper, lower: pair.lower },
    trade,
  });
  return target.ok ? { ok: true, value: { ...target.value, pair } } : target;
}
