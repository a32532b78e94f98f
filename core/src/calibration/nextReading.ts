import { DOSE_SCALES, floorDose, roundDose } from '../inflator';
import { STEP_MM } from '../units';
import { t95 } from '../statistics';
import { TRADE } from '../trade';
import { designRow, volumeVariance } from './doseCurve';
import type { CalibrationFit } from './fitCalibration';
import { doseForWidth, predictWidth } from './predict';
import { volumeSlopeL } from './shapeLaw';

/** The dose worth measuring next, and why. */
export interface NextReading {
  dose: number;
  /** It is not above the last dose given, or the last balloon burst: take a fresh balloon. */
  freshBalloon: boolean;
  /** What the curve expects there, mm; `null` before the first reading. */
  expectedWidthMm: number | null;
  purpose:
    | 'first'
    /** Narrows the curve at the tiers. */
    | 'narrow-the-curve'
    /** The curve is good; how far the balloon stays round is not known yet. */
    | 'find-round-limit'
    /** More readings would not move a target by a step. */
    | 'enough';
  /** Root mean square half width of the tiers' 95 % intervals now and after this reading, mm. */
  halfWidthNowMm: number | null;
  halfWidthThenMm: number | null;
}

/**
 * One step ahead goes at most this share of nominal past the widest seen, and less where a balloon may turn pear or
 * burst.
 */
const STRIDE_FRACTION = 0.2;
const CAREFUL_STRIDE_FRACTION = 0.07;
/** From this share of nominal on, steps are careful ones. */
const CAREFUL_FRACTION = 0.7;
/** Below this share of nominal the skin is not taut yet: a width there says little about the targets (from memory). */
const TAUT_FRACTION = 0.35;
/** Past this share of nominal no reading is proposed: it teaches little and may burst. */
const FURTHEST_FRACTION = 1;

/**
 * Proposes the next dose, to the half stroke or tenth of a second: the one that would lower the mean variance of
 * width at the `tiers` and at the `wantedMm` (targets already in use) most, by the rank-one update of the covariance
 * (Sherman and Morrison) for a reading with the usual uncertainty. Once the targets are known to half a `step` (mm;
 * an eighth of an inch by default) either way, more readings would not move them by a step: it then asks for the
 * round limit if that is not shown yet. `fit` is `null` before the first reading: then one dose of the `inflator`.
 * The balloon in hand is filled on, as letting air out leaves it stretched; once it is as full as it should go, a
 * fresh one is asked for. Never proposes a dose expected beyond nominal or near a burst.
 */
export function nextReading({
  fit,
  tiers,
  wantedMm = [],
  step = STEP_MM.eighthInch,
}: {
  fit: CalibrationFit | null;
  tiers: readonly { fraction: number }[];
  wantedMm?: readonly number[];
  step?: number;
}): NextReading {
  if (!fit) {
    return {
      dose: 1,
      freshBalloon: true,
      expectedWidthMm: null,
      purpose: 'first',
      halfWidthNowMm: null,
      halfWidthThenMm: null,
    };
  }
  const widths = [...tiers.map(({ fraction }) => fraction * fit.nominalMm), ...wantedMm];
  const wanted = widths.flatMap((widthMm) => {
    const dose = doseForWidth({ fit, widthMm });
    return dose.ok ? [{ dose: dose.value.dose, slopeL: volumeSlopeL({ law: fit.shape, widthMm }) }] : [];
  });
  const t = t95(fit.degreesOfFreedom);
  const halfWidth = (covariance: CalibrationFit['covariance']) =>
    t * Math.sqrt(mean(wanted.map(({ dose, slopeL }) => volumeVariance({ covariance, dose }) / slopeL ** 2)));

  const mostDose = furthestDose(fit);
  const now = halfWidth(fit.covariance);
  const reach = reachOf(fit, mostDose);
  const doseStep = DOSE_SCALES[fit.inflator].step;
  let best = { dose: reach.from, then: Infinity };
  for (let dose = reach.from; dose <= reach.to; dose = roundDose({ dose: dose + doseStep, kind: fit.inflator })) {
    const then = halfWidth(covarianceAfter(fit, dose));
    if (then < best.then - 1e-9) best = { dose, then };
  }
  const curveIsGood = fit.distinctDoses >= 3 && now <= step / 2;
  if (!curveIsGood) return proposal(fit, best.dose, 'narrow-the-curve', now, best.then);
  if (fit.shape.roundLimit.kind === 'shown' || fit.highestDose >= mostDose) {
    return proposal(fit, best.dose, 'enough', now, best.then);
  }
  const ahead = doseForWidth({ fit, widthMm: fit.largestWidthMm + 0.04 * fit.nominalMm });
  const further = Math.max(fit.highestDose + doseStep, ahead.ok ? roundedDose(fit, ahead.value.dose) : 0);
  const dose = Math.min(mostDose, further);
  return proposal(fit, dose, 'find-round-limit', now, halfWidth(covarianceAfter(fit, dose)));
}

/** The doses to choose from: onwards with the balloon in hand while it may grow, else all of them with a fresh one. */
function reachOf(fit: CalibrationFit, mostDose: number): { from: number; to: number } {
  const { largestWidthMm, nominalMm } = fit;
  const furthestMm = Math.max(
    largestWidthMm + CAREFUL_STRIDE_FRACTION * nominalMm,
    Math.min(largestWidthMm + STRIDE_FRACTION * nominalMm, CAREFUL_FRACTION * nominalMm),
  );
  const ahead = doseForWidth({ fit, widthMm: furthestMm });
  const to = Math.min(mostDose, ahead.ok ? roundedDose(fit, ahead.value.dose) : fit.highestDose + 1);
  const { step } = DOSE_SCALES[fit.inflator];
  const onwards = (fit.lastDose ?? Infinity) + step;
  if (onwards <= to) return { from: roundedDose(fit, onwards), to };
  const taut = doseForWidth({ fit, widthMm: TAUT_FRACTION * fit.nominalMm });
  const tautDose = taut.ok ? floorDose({ dose: taut.value.dose + 0.999 * step, kind: fit.inflator }) : step;
  return { from: Math.min(to, tautDose), to };
}

function roundedDose({ inflator }: CalibrationFit, dose: number): number {
  return roundDose({ dose, kind: inflator });
}

function proposal(
  fit: CalibrationFit,
  dose: number,
  purpose: NextReading['purpose'],
  halfWidthNowMm: number,
  halfWidthThenMm: number,
): NextReading {
  const width = predictWidth({ fit, dose });
  return {
    dose,
    freshBalloon: fit.lastDose === null || dose <= fit.lastDose,
    expectedWidthMm: width.ok ? width.value.widthMm : null,
    purpose,
    halfWidthNowMm,
    halfWidthThenMm,
  };
}

function furthestDose(fit: CalibrationFit): number {
  const { burstMm, hardMm } = fit.limits;
  const widthMm = Math.min(
    FURTHEST_FRACTION * fit.nominalMm,
    burstMm === null ? Infinity : burstMm * TRADE.burstMargin.value,
    hardMm ?? Infinity,
  );
  const dose = doseForWidth({ fit, widthMm });
  return dose.ok ? floorDose({ dose: dose.value.dose, kind: fit.inflator }) : DOSE_SCALES[fit.inflator].step;
}

function covarianceAfter(fit: CalibrationFit, dose: number): CalibrationFit['covariance'] {
  const { covariance } = fit;
  const width = predictWidth({ fit, dose });
  const widthMm = width.ok ? Math.max(width.value.widthMm, 1) : 1;
  const noise = fit.varianceRatio * (volumeSlopeL({ law: fit.shape, widthMm }) * TRADE.measureSdMm.value.tape) ** 2;
  const x = designRow({ dose });
  const cx = covariance.map((row) => row.reduce((sum, value, j) => sum + value * x[j]!, 0));
  const total = noise + volumeVariance({ covariance, dose });
  return covariance.map((row, i) => row.map((value, j) => value - (cx[i]! * cx[j]!) / total));
}

function mean(values: readonly number[]): number {
  return values.length === 0 ? 0 : values.reduce((a, b) => a + b, 0) / values.length;
}
