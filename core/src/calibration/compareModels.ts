import type { Finish } from '../balloon';
import { keptShare, type HoldRate } from '../environment';
import { roundDose } from '../inflator';
import { ok, problem, type Result } from '../result';
import { shareInterval, type Share } from '../statistics';
import { TRADE, type Trade } from '../trade';
import type { DoseCurve } from './doseCurve';
import type { CalibrationFit } from './fitCalibration';
import { balloonSdMm, doseForWidth, predictWidth } from './predict';
import { aspectAt, type RoundLimit } from './shapeLaw';

/** A model as comparing needs it. */
export interface ComparedModel {
  nominalMm: number;
  finish: Finish;
  /** Its own calibration, when there is one. */
  fit: CalibrationFit | null;
  /** Its curve, measured or estimated; `null` when only the tier rules are known. */
  curve: DoseCurve | null;
  hold: HoldRate;
  /** Balloons filled to that width or beyond while calibrating, and how many of them burst. */
  filled: number;
  burst: number;
}

/** One model at a width. */
export interface ModelAtWidth {
  /** Share of its nominal. */
  fraction: number;
  /** To the step of its inflator; `null` when not known. */
  dose: number | null;
  doseLow: number | null;
  doseHigh: number | null;
  /** Height over width there; `null` when no shape is known. */
  aspect: number | null;
  aspectSd: number;
  /** Half of its 95 % interval. */
  aspectMargin: number;
  roundLimit: RoundLimit;
  /** Standard deviation of single balloons about their curve, mm; `null` without a calibration. */
  spreadMm: number | null;
  /** Width lost in a day, mm. */
  lostADayMm: number;
  /** Bursts among the balloons filled so far; `null` for none filled. */
  bursts: Share | null;
}

/**
 * Puts a model at a width: dose, shape, spread and losses, so that several can stand side by side.
 *
 * Problem: `bad-width`.
 */
export function modelAtWidth({
  model,
  widthMm,
}: {
  model: ComparedModel;
  widthMm: number;
}): Result<ModelAtWidth, 'bad-width'> {
  if (!(widthMm > 0 && Number.isFinite(widthMm))) return problem('bad-width', { field: 'widthMm' });
  const { nominalMm, fit, curve, hold, filled, burst } = model;
  const dose = curve ? doseForWidth({ fit: curve, widthMm }) : null;
  const shaped =
    curve && (!fit || fit.shape.seen) && curve.shape.knots.length > 0 ? aspectAt({ law: curve.shape, widthMm }) : null;
  return ok({
    fraction: widthMm / nominalMm,
    dose: dose?.ok && curve ? roundDose({ dose: dose.value.dose, kind: curve.inflator }) : null,
    doseLow: dose?.ok ? dose.value.low : null,
    doseHigh: dose?.ok ? dose.value.high : null,
    aspect: shaped?.aspect ?? null,
    aspectSd: shaped?.sd ?? 0,
    aspectMargin: 1.96 * (shaped?.sd ?? 0),
    roundLimit: curve?.shape.roundLimit ?? { kind: 'no-shapes-seen' },
    spreadMm: fit && dose?.ok ? balloonSdMm({ fit, dose: dose.value.dose, widthMm }) : null,
    lostADayMm: widthMm * (1 - keptShare({ rate: hold, hours: 24 })),
    bursts: filled > 0 ? shareInterval({ count: burst, of: filled }) : null,
  });
}

/** What to mind when one balloon stands in for another. */
export type SubstituteCaution =
  | { code: 'past-round-limit'; limitMm: number }
  | { code: 'other-shape'; from: number; to: number }
  | { code: 'other-finish'; from: Finish; to: Finish }
  | { code: 'nominal-too-small'; fraction: number }
  | { code: 'nominal-too-large'; fraction: number }
  | { code: 'dulls'; fraction: number }
  | { code: 'shorter-hold'; mmADay: number }
  | { code: 'estimated' }
  | { code: 'no-curve' };

/** How to reach a width with another model. */
export interface Substitute extends ModelAtWidth {
  widthMm: number;
  /** What the rounded dose gives, mm; `null` without one. */
  givesMm: number | null;
  cautions: SubstituteCaution[];
}

/** A loss of width that many mm a day larger than the other's is worth a word. */
const SHORTER_HOLD_MM = 1;

/**
 * The other model's way to the same width, when a colour is missing: its dose, its shape there, and what to mind. The
 * hole is the same, as the width is.
 *
 * Problem: `bad-width`.
 */
export function substitute({
  from,
  to,
  widthMm,
  trade = TRADE,
}: {
  from: ComparedModel;
  to: ComparedModel;
  widthMm: number;
  trade?: Trade | undefined;
}): Result<Substitute, 'bad-width'> {
  const missing = modelAtWidth({ model: from, widthMm });
  const other = modelAtWidth({ model: to, widthMm });
  if (!missing.ok) return missing;
  if (!other.ok) return other;
  const { dose } = other.value;
  const gives = dose !== null && to.curve ? predictWidth({ fit: to.curve, dose }) : null;
  return ok({
    ...other.value,
    widthMm,
    givesMm: gives?.ok ? gives.value.widthMm : null,
    cautions: cautionsOn({ from, to, missing: missing.value, other: other.value, widthMm, trade }),
  });
}

function cautionsOn({
  from,
  to,
  missing,
  other,
  widthMm,
  trade,
}: {
  from: ComparedModel;
  to: ComparedModel;
  missing: ModelAtWidth;
  other: ModelAtWidth;
  widthMm: number;
  trade: Trade;
}): SubstituteCaution[] {
  const cautions: SubstituteCaution[] = [];
  const { fraction, roundLimit } = other;
  if (roundLimit.kind === 'shown' && widthMm > roundLimit.widthMm) {
    cautions.push({ code: 'past-round-limit', limitMm: roundLimit.widthMm });
  }
  if (missing.aspect !== null && other.aspect !== null) {
    const apart = Math.abs(other.aspect - missing.aspect) - 2 * Math.hypot(missing.aspectSd, other.aspectSd);
    if (apart > 0 && Math.abs(other.aspect - missing.aspect) > trade.otherAspect) {
      cautions.push({ code: 'other-shape', from: missing.aspect, to: other.aspect });
    }
  }
  if (from.finish !== to.finish) cautions.push({ code: 'other-finish', from: from.finish, to: to.finish });
  if (fraction > trade.largestFraction) cautions.push({ code: 'nominal-too-small', fraction });
  if (fraction < trade.smallestFraction) cautions.push({ code: 'nominal-too-large', fraction });
  else if (to.finish === 'mirror' && fraction < trade.smallestShine) {
    cautions.push({ code: 'dulls', fraction });
  }
  const mmADay = other.lostADayMm - missing.lostADayMm;
  if (mmADay > SHORTER_HOLD_MM) cautions.push({ code: 'shorter-hold', mmADay });
  if (!to.curve) cautions.push({ code: 'no-curve' });
  else if (!to.fit) cautions.push({ code: 'estimated' });
  return cautions;
}
