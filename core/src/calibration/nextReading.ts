import { DOSE_SCALES, floorDose, MOST_DOSE, roundDose, type Inflator } from '../inflator';
import { STEP_MM } from '../units';
import { t95 } from '../statistics';
import { TRADE, type Trade } from '../trade';
import { designRow, slopeKnown, volumeVariance, type DoseCurve } from './doseCurve';
import type { CalibrationFit } from './fitCalibration';
import { balloonSdMm, doseForWidth, predictWidth, UNKNOWN_SHARE } from './predict';
import { NARROWEST_FRACTION } from './reading';
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
  /**
   * Root mean square half width of the targets' 95 % intervals now and after this reading, mm; `null` before the first
   * reading, and while they are not known at all (to a quarter of their width either way).
   */
  halfWidthNowMm: number | null;
  halfWidthThenMm: number | null;
}

/** What a first reading can go by. */
export interface BeforeFirst {
  nominalMm: number;
  inflator: Inflator;
  /** What other balloons let expect. */
  curve?: DoseCurve | null | undefined;
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
/** Where the inflator is unknown the first reading aims lower: its stroke may move several times the usual. */
const BLIND_FRACTION = 0.25;
/** Doses looked at, at most: finer steps would not tell. */
const MOST_CANDIDATES = 40;
/** A reading further on while the slope is not known: so much more than the most given. */
const FURTHER = 1.5;
/** Targets need not be known better than to this share of the tolerance of classic work. */
const WELL_KNOWN_SHARE = 1 / 2;

/**
 * Proposes the next dose, to the half stroke or tenth of a second: the one that would lower the mean variance of
 * width at the `tiers` and at the `wantedMm` (targets already in use) most, by the rank-one update of the covariance
 * (Sherman and Morrison) for a reading with the usual uncertainty. Once the targets are known to a `step` (mm; an
 * eighth of an inch by default) or half the usual tolerance either way, whichever is finer, but no finer than half a
 * step, it asks for the round limit if that is not shown yet. `fit` is `null` before the first reading: then the dose
 * that fills the balloon of `first` until its skin is taut, as far as its curve or its inflator tell.
 * The balloon in hand is filled on, as letting air out leaves it stretched; once it is as full as it should go, a
 * fresh one is asked for. Never proposes a dose expected beyond nominal or near a burst, nor more than `MOST_DOSE`.
 */
export function nextReading({
  fit,
  tiers,
  wantedMm = [],
  step = STEP_MM.eighthInch,
  first,
  trade = TRADE,
}: {
  fit: CalibrationFit | null;
  tiers: readonly { fraction: number }[];
  wantedMm?: readonly number[];
  step?: number;
  first?: BeforeFirst;
  trade?: Trade | undefined;
}): NextReading {
  if (!fit) return firstReading(first, trade);
  const mostDose = furthestDose(fit);
  if (!slopeKnown(fit)) return furtherOn(fit, mostDose);
  const widths = [...tiers.map(({ fraction }) => fraction * fit.nominalMm), ...wantedMm];
  const wanted = widths.flatMap((widthMm) => {
    const dose = doseForWidth({ fit, widthMm });
    return dose.ok ? [{ dose: dose.value.dose, widthMm, slopeL: volumeSlopeL({ law: fit.shape, widthMm }) }] : [];
  });
  const t = t95(fit.degreesOfFreedom);
  const halfWidth = (covariance: CalibrationFit['covariance']) =>
    t * Math.sqrt(mean(wanted.map((at) => volumeVariance({ ...fit, covariance }, at) / at.slopeL ** 2)));

  const now = halfWidth(fit.covariance);
  const reach = reachOf(fit, mostDose);
  const doseStep = DOSE_SCALES[fit.inflator].step;
  const stride = Math.max(doseStep, (reach.to - reach.from) / MOST_CANDIDATES);
  let best = { dose: reach.from, then: Infinity };
  for (let i = 0; i <= MOST_CANDIDATES; i += 1) {
    const dose = roundedDose(fit, reach.from + i * stride);
    if (dose > reach.to) break;
    const then = halfWidth(covarianceAfter(fit, dose));
    if (then < best.then - 1e-9) best = { dose, then };
  }
  if (best.then === Infinity) best.then = halfWidth(covarianceAfter(fit, best.dose));
  const notKnown = now > UNKNOWN_SHARE * mean(wanted.map(({ widthMm }) => widthMm));
  const known = notKnown ? null : now;
  const wellKnownMm = Math.max(step / 2, Math.min(step, WELL_KNOWN_SHARE * trade.toleranceFraction * fit.nominalMm));
  // Readings that happen to agree are no ground to stop: those who stop at their luck have bands that are too narrow.
  const unlucky = Math.sqrt(Math.max(1, 1 / fit.varianceRatio));
  const curveIsGood = fit.distinctDoses >= 3 && now * unlucky <= wellKnownMm;
  if (!curveIsGood) return proposal(fit, best.dose, 'narrow-the-curve', known, notKnown ? null : best.then);
  if (fit.shape.roundLimit.kind === 'shown' || fit.highestDose >= mostDose) {
    return proposal(fit, best.dose, 'enough', known, best.then);
  }
  const ahead = doseForWidth({ fit, widthMm: fit.largestWidthMm + 0.04 * fit.nominalMm });
  const further = Math.max(fit.highestDose + doseStep, ahead.ok ? roundedDose(fit, ahead.value.dose) : 0);
  const dose = Math.min(mostDose, further);
  return proposal(fit, dose, 'find-round-limit', known, halfWidth(covarianceAfter(fit, dose)));
}

/** One dose where nothing is known; else as much as makes the skin taut, and never less than can be entered. */
function firstReading(first: BeforeFirst | undefined, trade: Trade): NextReading {
  const nothing = { freshBalloon: true, purpose: 'first', halfWidthNowMm: null, halfWidthThenMm: null } as const;
  if (!first) return { ...nothing, dose: 1, expectedWidthMm: null };
  const { nominalMm, inflator, curve } = first;
  const { kind, doseVolumeL } = inflator;
  const { step } = DOSE_SCALES[kind];
  const byCurve = curve ? doseForWidth({ fit: curve, widthMm: TAUT_FRACTION * nominalMm }) : null;
  const known = doseVolumeL !== undefined;
  const widthMm = (known ? TAUT_FRACTION : BLIND_FRACTION) * nominalMm;
  const byVolume = ((Math.PI / 6) * widthMm ** 3) / 1e6 / (doseVolumeL ?? trade.usualDoseL[kind]);
  // A timed inflator starts late: half of what may be lost is given on top, or nothing may come of it.
  const lostSd = curve ? Math.sqrt(curve.covariance[0]![0]!) / curve.doseVolumeL : trade.firstDoseSd[kind];
  const late = kind === 'hand' ? 0 : lostSd / 2;
  const wanted = (byCurve?.ok ? byCurve.value.dose : byVolume) + late;
  const least = known || byCurve?.ok ? step : 1;
  const dose = Math.min(MOST_DOSE, Math.max(least, roundDose({ dose: Math.ceil(wanted / step - 1e-9) * step, kind })));
  const width = curve ? predictWidth({ fit: curve, dose }) : null;
  const expected = width?.ok && width.value.widthMm >= NARROWEST_FRACTION * nominalMm ? width.value.widthMm : null;
  return { ...nothing, dose, expectedWidthMm: expected };
}

/** While nobody knows what more air does: clearly more of it, as far as even an inflator without loss would allow. */
function furtherOn(fit: CalibrationFit, mostDose: number): NextReading {
  const { highestDose, largestWidthMm, nominalMm, inflator } = fit;
  const most = highestDose * Math.max(1, (FURTHEST_FRACTION * nominalMm) / largestWidthMm) ** 3;
  const { step } = DOSE_SCALES[inflator];
  const wanted = Math.min(highestDose * FURTHER + step, most, Math.max(mostDose, highestDose), MOST_DOSE);
  return proposal(fit, floorDose({ dose: wanted, kind: inflator }), 'narrow-the-curve', null, null);
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
  halfWidthNowMm: number | null,
  halfWidthThenMm: number | null,
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
  const { burstMm, hardMm, burstMargin } = fit.limits;
  const widthMm = Math.min(
    FURTHEST_FRACTION * fit.nominalMm,
    burstMm === null ? Infinity : burstMm * burstMargin,
    hardMm ?? Infinity,
  );
  const dose = doseForWidth({ fit, widthMm });
  // Without a slope the readings themselves are as far as it surely goes.
  const most = dose.ok ? dose.value.dose : slopeKnown(fit) ? 0 : MOST_DOSE;
  return floorDose({ dose: Math.min(MOST_DOSE, most), kind: fit.inflator });
}

function covarianceAfter(fit: CalibrationFit, dose: number): CalibrationFit['covariance'] {
  const { covariance, terms, nominalMm } = fit;
  const width = predictWidth({ fit, dose });
  const widthMm = width.ok ? Math.max(width.value.widthMm, 1) : 1;
  const noise = (volumeSlopeL({ law: fit.shape, widthMm }) * balloonSdMm({ fit, dose, widthMm })) ** 2;
  const x = designRow(terms, { dose, widthMm, nominalMm });
  const cx = covariance.map((row) => row.reduce((sum, value, j) => sum + value * x[j]!, 0));
  const total = noise + volumeVariance(fit, { dose, widthMm });
  return covariance.map((row, i) => row.map((value, j) => value - (cx[i]! * cx[j]!) / total));
}

function mean(values: readonly number[]): number {
  return values.length === 0 ? 0 : values.reduce((a, b) => a + b, 0) / values.length;
}
