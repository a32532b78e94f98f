import { ok, problem, type Result } from '../result';
import { formOf, usualLeanDeg, type Form } from './form';
import { TRADE, type Trade } from '../trade';
import { snapForm, type SnappedForm, type SnapProblemCode } from './snapForm';
import { standingForm } from './standingForm';

/** A basket by its spokes' size or by the opening it shall have: one of the two. */
export interface BasketAsked {
  spokes: number;
  baseMm?: number | undefined;
  /** Clear width of the opening as it stands, mm. */
  mouthMm?: number | undefined;
  rings: number;
  stepMm: number;
  jointMm?: number;
  leanDeg?: number;
  /** Smallest useful width of the tying balloons, mm. */
  leastTieMm?: number;
  trade?: Trade | undefined;
}

export interface Basket {
  /** With every contact kept. */
  exact: Form;
  /** On the sizer's steps. */
  snapped: SnappedForm;
}

export type BasketProblemCode = SnapProblemCode | 'leave-one-out' | 'bad-mouth';

/**
 * A basket of four to eight spokes: exact sizes, the best of all snappings to the sizer's steps, and each layer's
 * closing error. With a wanted mouth the base follows, as everything scaled by one factor keeps its shape; joints do
 * not scale, so it is found by steps.
 *
 * Problems: those of `formOf` and `snapForm`; `leave-one-out` (base or mouth); `bad-mouth`.
 */
export function basket({
  trade = TRADE,
  spokes,
  baseMm,
  mouthMm,
  rings,
  stepMm,
  jointMm = 0,
  leanDeg = usualLeanDeg('basket', trade),
  leastTieMm = 0,
}: BasketAsked): Result<Basket, BasketProblemCode> {
  if ((baseMm === undefined) === (mouthMm === undefined))
    return problem('leave-one-out', { detail: { given: baseMm === undefined ? 0 : 2 } });
  const of = (base: number) => ({
    kind: 'basket' as const,
    count: spokes,
    rings,
    baseMm: base,
    leanDeg,
    jointMm,
  });
  const base = baseMm ?? baseForMouth(of, mouthMm!, trade);
  if (base === null) return problem('bad-mouth', { field: 'mouthMm' });
  const shape = of(base);
  const exact = formOf(shape, trade);
  if (!exact.ok) return exact;
  const snapped = snapForm({ shape, stepMm, leastTieMm, trade });
  if (snapped.ok) return ok({ exact: exact.value, snapped: snapped.value });
  if (baseMm !== undefined || snapped.problem.code !== 'tie-too-small') return snapped;
  // Who asked for a mouth is answered in mouths.
  const { detail } = snapped.problem;
  const nearest = formOf(of(detail.nearestMm), trade);
  return problem('tie-too-small', {
    field: 'mouthMm',
    detail: { ...detail, nearestMm: nearest.ok ? standingForm(nearest.value, trade).mouthMm : mouthMm! },
  });
}

/** How near the opening comes to what was asked, mm, and after how many tries it does not. */
const NEAR_MM = 0.02;
const TRIES = 12;

/** Everything scales but joints, so that each try is off by what they take up alone. */
function baseForMouth(of: (baseMm: number) => Form['shape'], mouthMm: number, trade: Trade): number | null {
  if (!(mouthMm > 0 && Number.isFinite(mouthMm))) return null;
  let baseMm = Math.max(mouthMm, 2.1 * Math.abs(of(1).jointMm) + 1);
  for (let tries = 0; tries < TRIES; tries += 1) {
    const form = formOf(of(baseMm), trade);
    const opensMm = form.ok ? standingForm(form.value, trade).mouthMm : 0;
    if (!(opensMm > 0)) return null;
    if (Math.abs(opensMm - mouthMm) < NEAR_MM) return baseMm;
    baseMm *= mouthMm / opensMm;
  }
  return null;
}
