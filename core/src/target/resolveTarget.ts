import { circumferenceMm } from '../balloon';
import { doseForWidth, predictWidth, type CalibrationFit } from '../calibration';
import { roundDose } from '../inflator';
import { ok, problem, type Result } from '../result';
import { TRADE } from '../trade';
import { floorToStep, roundToStep } from '../units';
import { standingFraction } from './standing';
import type { Tier } from './tier';

/** Where a figure comes from. */
export const ORIGINS = ['measured', 'estimated', 'rule'] as const;
export type Origin = (typeof ORIGINS)[number];

/** One thing that decided about a target. `acted` tells the limits that held it from those that stood by. */
export type TargetReason =
  | { code: 'tier'; fraction: number; widthMm: number }
  | { code: 'round-limit'; limitMm: number; sdMm: number; acted: boolean }
  | { code: 'standing'; days: number; fraction: number; limitMm: number; acted: boolean }
  | { code: 'felt-hard'; seenMm: number; limitMm: number; acted: boolean }
  | { code: 'burst'; seenMm: number; limitMm: number; acted: boolean };

/** What to mind about a target. */
export type TargetCaution =
  | { code: 'nominal-too-small'; fraction: number }
  | { code: 'nominal-too-large'; fraction: number }
  | { code: 'round-limit-unknown' }
  | { code: 'beyond-readings'; largestMm: number }
  | { code: 'dead-volume-assumed-zero' }
  | { code: 'dose-outside-tolerance'; givesMm: number };

/** How to reach a target with the pump. */
export interface TargetDose {
  /** To the half stroke. */
  dose: number;
  /** The width that dose really gives, mm, with the 95 % interval of the curve and of the next balloon. */
  widthMm: number;
  lowMm: number;
  highMm: number;
  nextLowMm: number;
  nextHighMm: number;
}

/** What to fill a balloon to, and why. */
export interface Target {
  /** To the step, mm. */
  widthMm: number;
  /** Either way, mm. */
  toleranceMm: number;
  /** What a tape reads around it, mm. */
  circumferenceMm: number;
  origin: Origin;
  /** `null` without a calibration, or for widths below the first stroke. */
  dose: TargetDose | null;
  /** The tier first, then every limit that is known, those that acted before those that did not. */
  reasons: TargetReason[];
  cautions: TargetCaution[];
}

export type TargetProblemCode = 'bad-nominal' | 'bad-fraction' | 'bad-days' | 'bad-step';

type LimitReason = Exclude<TargetReason, { code: 'tier' }>;

/** Where readings still speak for a width: this share past the largest. */
const BEYOND_READINGS = 1.03;

/**
 * The target of one tier. It starts at the tier's share of nominal, is held down by the round limit that the
 * calibration shows, by how long the piece stands and by widths at which a balloon felt hard or burst, and is rounded to
 * `step` (mm): to the nearest, or down where a limit holds it. Origin: `measured` when the readings reach that far and
 * have two doses or more, `estimated` when the curve is drawn on beyond them, `rule` without a calibration.
 *
 * Problems: `bad-nominal`, `bad-fraction` (0 to 1.2), `bad-days` (0 to 365), `bad-step`.
 */
export function resolveTarget({
  nominalMm,
  tier,
  fit,
  daysStanding,
  step,
}: {
  nominalMm: number;
  tier: Tier;
  fit: CalibrationFit | null;
  daysStanding: number;
  step: number;
}): Result<Target, TargetProblemCode> {
  if (!(nominalMm > 0 && Number.isFinite(nominalMm))) return problem('bad-nominal', { field: 'nominalMm' });
  if (!(tier.fraction > 0 && tier.fraction <= 1.2))
    return problem('bad-fraction', { field: 'tier.fraction' });
  if (!(daysStanding >= 0 && daysStanding <= 365)) return problem('bad-days', { field: 'daysStanding' });
  if (!(step > 0 && step <= nominalMm / 4)) return problem('bad-step', { field: 'step' });

  const wishedMm = tier.fraction * nominalMm;
  const nearestMm = roundToStep({ mm: wishedMm, step });
  const limits = limitsOn({ nominalMm, fit, daysStanding });
  const lowestMm = Math.min(...limits.map((limit) => limit.limitMm));
  const heldMm = floorToStep({ mm: lowestMm, step });
  const widthMm = Math.max(step, Math.min(nearestMm, heldMm));

  const reasons = limits
    .map((limit) => ({
      ...limit,
      acted: floorToStep({ mm: limit.limitMm, step }) === widthMm && widthMm < nearestMm,
    }))
    .sort((a, b) => Number(b.acted) - Number(a.acted) || a.limitMm - b.limitMm);
  const tolerance = nominalMm * (tier.toleranceFraction ?? TRADE.toleranceFraction.value);
  const toleranceMm = Math.max(step, roundToStep({ mm: tolerance, step }));
  const dose = fit ? doseFor(fit, widthMm) : null;
  return ok({
    widthMm,
    toleranceMm,
    circumferenceMm: circumferenceMm({ widthMm }),
    origin: originOf(fit, widthMm),
    dose,
    reasons: [{ code: 'tier', fraction: tier.fraction, widthMm: wishedMm }, ...reasons],
    cautions: cautionsOn({ nominalMm, widthMm, toleranceMm, fit, dose }),
  });
}

function limitsOn({
  nominalMm,
  fit,
  daysStanding,
}: {
  nominalMm: number;
  fit: CalibrationFit | null;
  daysStanding: number;
}): LimitReason[] {
  const fraction = standingFraction({ days: daysStanding });
  const limits: LimitReason[] = [
    { code: 'standing', days: daysStanding, fraction, limitMm: fraction * nominalMm, acted: false },
  ];
  if (!fit) return limits;
  const { roundLimit } = fit.shape;
  if (roundLimit.kind === 'shown') {
    limits.push({ code: 'round-limit', limitMm: roundLimit.widthMm, sdMm: roundLimit.sdMm, acted: false });
  }
  const { hardMm, burstMm } = fit.limits;
  if (hardMm !== null) {
    limits.push({
      code: 'felt-hard',
      seenMm: hardMm,
      limitMm: hardMm * TRADE.hardMargin.value,
      acted: false,
    });
  }
  if (burstMm !== null) {
    limits.push({ code: 'burst', seenMm: burstMm, limitMm: burstMm * TRADE.burstMargin.value, acted: false });
  }
  return limits;
}

function doseFor(fit: CalibrationFit, widthMm: number): TargetDose | null {
  const exact = doseForWidth({ fit, widthMm });
  if (!exact.ok) return null;
  const dose = roundDose(exact.value.dose);
  const gives = predictWidth({ fit, dose });
  if (!gives.ok) return null;
  const { extrapolated: _, ...width } = gives.value;
  return { dose, ...width };
}

function originOf(fit: CalibrationFit | null, widthMm: number): Origin {
  if (!fit) return 'rule';
  return fit.distinctDoses >= 2 && widthMm <= fit.largestWidthMm * BEYOND_READINGS ? 'measured' : 'estimated';
}

function cautionsOn({
  nominalMm,
  widthMm,
  toleranceMm,
  fit,
  dose,
}: {
  nominalMm: number;
  widthMm: number;
  toleranceMm: number;
  fit: CalibrationFit | null;
  dose: TargetDose | null;
}): TargetCaution[] {
  const cautions: TargetCaution[] = [];
  const fraction = widthMm / nominalMm;
  if (fraction > TRADE.largestFraction.value) cautions.push({ code: 'nominal-too-small', fraction });
  if (fraction < TRADE.smallestFraction.value) cautions.push({ code: 'nominal-too-large', fraction });
  if (!fit) return cautions;
  if (fit.distinctDoses === 1) cautions.push({ code: 'dead-volume-assumed-zero' });
  if (widthMm > fit.largestWidthMm * BEYOND_READINGS) {
    cautions.push({ code: 'beyond-readings', largestMm: fit.largestWidthMm });
  } else if (fit.shape.roundLimit.kind === 'no-shapes-seen') {
    cautions.push({ code: 'round-limit-unknown' });
  }
  if (dose && Math.abs(dose.widthMm - widthMm) > toleranceMm) {
    cautions.push({ code: 'dose-outside-tolerance', givesMm: dose.widthMm });
  }
  return cautions;
}
