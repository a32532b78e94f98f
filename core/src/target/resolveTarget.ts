import { circumferenceMm, type Finish } from '../balloon';
import {
  aspectAt,
  doseForWidth,
  predictWidth,
  UNKNOWN_SHARE,
  type CalibrationFit,
  type DoseCurve,
  type EstimatedCurve,
} from '../calibration';
import { keptShare } from '../environment';
import { roundDose } from '../inflator';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { ceilToStep, floorToStep, roundToStep } from '../units';
import {
  LIMIT_STATES,
  limitsFor,
  lowerLimit,
  upperLimits,
  type LimitState,
  type LowerLimit,
  type UpperLimit,
} from './limits';
import type { Showing } from './showing';
import type { Aim } from './tier';

/** Where a figure comes from. */
export const ORIGINS = ['measured', 'estimated', 'rule'] as const;
export type Origin = (typeof ORIGINS)[number];

/**
 * What the way from the workroom to the show does; `byMm` is how much wider it must be made for that (below 0:
 * smaller).
 */
export type JourneyEffect =
  | { code: 'warmth'; fromC: number; toC: number; byMm: number }
  | { code: 'altitude'; fromM: number; toM: number; byMm: number }
  | { code: 'hold'; hours: number; lostShare: number; tests: number; byMm: number };

/** One thing that decided about a target, and whether it acted, nearly did or left room. */
export type TargetReason =
  /** `of` a pair it is the smaller nominal's. */
  | { code: 'tier'; fraction: number; widthMm: number; of?: 'smaller' }
  /** The tier bears an oval, and it is one here: its aspect, and where round ends. */
  | { code: 'oval-here'; aspect: number; roundMm: number }
  | ((UpperLimit | LowerLimit | JourneyEffect) & { state: LimitState });

/** What to mind about a target. */
export type TargetCaution =
  | { code: 'nominal-too-small'; fraction: number }
  | { code: 'nominal-too-large'; fraction: number }
  /** A limit holds it below the tier's own range: it will look and feel like a lower tier. */
  | { code: 'below-tier'; fraction: number; leastFraction: number }
  /** The smallest useful width lies above what the limits allow. */
  | { code: 'smaller-than-useful'; smallestMm: number }
  | { code: 'round-limit-unknown' }
  | { code: 'beyond-readings'; largestMm: number }
  | { code: 'below-readings'; smallestMm: number }
  /** No dose is given: the readings leave the width open by more than half of it. */
  | { code: 'not-known-yet' }
  | { code: 'dead-volume-assumed-zero' }
  | {
      code: 'estimated-from';
      doses: EstimatedCurve['dosesFrom'];
      doseCalibrations: number;
      shapeCalibrations: number;
    }
  | { code: 'dose-outside-tolerance'; givesMm: number };

/** How to reach a target with the inflator. */
export interface TargetDose {
  /** To the half stroke or tenth of a second. */
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
  /** For making: what it is filled to in the workroom. To the step, mm. */
  widthMm: number;
  /** Either way, mm. */
  toleranceMm: number;
  /** What a tape reads around it, mm. */
  circumferenceMm: number;
  /**
   * For showing: what it will be at the venue when the show opens, and after the days it must stand. Not rounded, mm.
   */
  showing: { widthMm: number; afterDaysMm: number };
  origin: Origin;
  /** `null` without a curve, for widths below the first dose, and while the curve does not tell. */
  dose: TargetDose | null;
  /** The tier first, then everything that acted, that nearly acted, and that left room. */
  reasons: TargetReason[];
  cautions: TargetCaution[];
}

export type TargetProblemCode = 'bad-nominal' | 'bad-fraction' | 'bad-tolerance' | 'bad-days' | 'bad-step';

/** Where readings still speak for a width: this share past the largest, or under the smallest. */
const BEYOND_READINGS = 1.03;
/** The largest tolerance, as a share of nominal, that anything can be made to. */
const LARGEST_TOLERANCE = 0.5;
const STILL = { warmth: 1, altitude: 1, kept: 1 };

interface TargetOptions {
  nominalMm: number;
  finish?: Finish;
  tier: Aim;
  fit: CalibrationFit | null;
  /** Stands in where there is no calibration. */
  estimate?: EstimatedCurve | null;
  daysStanding: number;
  /** mm */
  step: number;
  /** The way from the workroom to the show; as if both were one when absent. */
  showing?: Showing | null;
  /** Limits to hold to in place of the balloon's own: those of both balloons of a pair. */
  limits?: { upper: UpperLimit[]; lower: LowerLimit };
  trade?: Trade | undefined;
}

/**
 * The target of one tier. The tier's share of nominal is the width wanted at the show. The width to make it in the
 * workroom follows from the gas law and the loss by standing; it is held down so that neither at its making nor at
 * the venue it passes the round limit, the widths at which a balloon felt hard or burst, or what stands so many days;
 * and held up to the smallest useful size, unless those leave no room for it. Rounded to `step`: to the nearest, or
 * away from the limit that holds it. Of the shape's limits the one holds that the tier asks for: where it turns oval,
 * or for a tier that bears an oval where it turns pear.
 *
 * Origin, by evidence: `measured` when the balloon's own readings, with what is known beforehand, tell the width of
 * the target's dose to its tolerance (95 % interval of the mean), `estimated` when a curve tells it less well or only
 * other balloons do, `rule` when no curve tells it to half its width: then there is no dose.
 *
 * Problems: `bad-nominal`, `bad-fraction` (0 to 1.2), `bad-tolerance` (0 to 0.5), `bad-days` (0 to 365), `bad-step`.
 */
export function resolveTarget(options: TargetOptions): Result<Target, TargetProblemCode> {
  const {
    nominalMm,
    finish = 'matte',
    tier,
    fit,
    estimate = null,
    daysStanding,
    step,
    showing = null,
    limits,
    trade = TRADE,
  } = options;
  if (!(nominalMm > 0 && Number.isFinite(nominalMm))) return problem('bad-nominal', { field: 'nominalMm' });
  if (!(tier.fraction > 0 && tier.fraction <= 1.2)) return problem('bad-fraction', { field: 'tier.fraction' });
  const toleranceFraction = tier.toleranceFraction ?? trade.toleranceFraction;
  if (!(toleranceFraction > 0 && toleranceFraction <= LARGEST_TOLERANCE))
    return problem('bad-tolerance', { field: 'tier.toleranceFraction' });
  if (!(daysStanding >= 0 && daysStanding <= 365)) return problem('bad-days', { field: 'daysStanding' });
  if (!(step > 0 && step <= nominalMm / 4)) return problem('bad-step', { field: 'step' });

  const curve = fit ?? estimate;
  const all = limits?.upper ?? upperLimits({ nominalMm, fit, curve, daysStanding, trade });
  const frame: Frame = {
    wishMm: tier.fraction * nominalMm,
    upper: limitsFor(all, tier.shape ?? 'round'),
    lower: limits?.lower ?? lowerLimit({ nominalMm, finish }, trade),
    step,
    nearlyMm: trade.nearlyShare * nominalMm,
  };
  const change = showing ? { ...showing.growth, kept: showing.kept } : STILL;
  const made = making(frame, change);
  const toleranceMm = Math.max(step, roundToStep({ mm: nominalMm * toleranceFraction, step }));
  const knownMm = curve ? knownToMm(curve, made.widthMm) : null;
  const tells = knownMm !== null && knownMm <= UNKNOWN_SHARE * made.widthMm;
  const dose = curve && tells ? doseFor(curve, made.widthMm) : null;
  const shownMm = made.widthMm * change.warmth * change.altitude * change.kept;
  return ok({
    widthMm: made.widthMm,
    toleranceMm,
    circumferenceMm: circumferenceMm({ widthMm: made.widthMm }),
    showing: {
      widthMm: shownMm,
      afterDaysMm: showing ? shownMm * keptShare({ rate: showing.hold, hours: 24 * daysStanding }) : shownMm,
    },
    origin: !tells ? 'rule' : fit && knownMm <= toleranceMm ? 'measured' : 'estimated',
    dose,
    reasons: [
      { code: 'tier', fraction: tier.fraction, widthMm: frame.wishMm, ...(limits ? { of: 'smaller' } : {}) },
      ...ovalReason(tier, all, curve, made),
      ...reasonsOf(frame, made, showing).sort(byState),
    ],
    cautions: cautionsOn({
      nominalMm,
      tier,
      frame,
      made,
      fit,
      estimate,
      toleranceMm,
      knownMm,
      dose,
      paired: limits !== undefined,
      trade,
    }),
  });
}

/** What a target is worked out in. */
interface Frame {
  wishMm: number;
  upper: UpperLimit[];
  lower: LowerLimit;
  step: number;
  nearlyMm: number;
}

/** Factors from making to showing. */
interface Change {
  warmth: number;
  altitude: number;
  kept: number;
}

/** A width to make, and how it came about. */
interface Making {
  widthMm: number;
  /** Before rounding. */
  exactMm: number;
  /** The wish alone, for making, rounded. */
  nearestMm: number;
  /** The width of making at which the balloon is a given width at its widest, and at the show. */
  atWidest: (mm: number) => number;
  atShow: (mm: number) => number;
}

function making({ wishMm, upper, lower, step }: Frame, { warmth, altitude, kept }: Change): Making {
  const growth = warmth * altitude;
  const atWidest = (mm: number) => mm / Math.max(1, growth);
  const atShow = (mm: number) => mm / (growth * kept);
  const highestMm = atWidest(Math.min(...upper.map(({ limitMm }) => limitMm)));
  const lowestMm = atShow(lower.limitMm);
  const wantedMm = atShow(wishMm);
  const nearestMm = roundToStep({ mm: wantedMm, step });
  const raisedMm = Math.max(nearestMm, ceilToStep({ mm: lowestMm, step }));
  const widthMm = Math.max(step, Math.min(raisedMm, floorToStep({ mm: highestMm, step })));
  const exactMm = Math.min(Math.max(wantedMm, lowestMm), highestMm);
  return { widthMm, exactMm, nearestMm, atWidest, atShow };
}

function reasonsOf(frame: Frame, made: Making, showing: Showing | null): OrderedReason[] {
  const { step, nearlyMm } = frame;
  const { widthMm, nearestMm, atWidest, atShow } = made;
  const upper = frame.upper.map((limit) => {
    const allowedMm = atWidest(limit.limitMm);
    const acts = floorToStep({ mm: allowedMm, step }) === widthMm && widthMm < nearestMm;
    return { ...limit, state: stateOf(acts, allowedMm - widthMm <= nearlyMm) };
  });
  const lowestMm = atShow(frame.lower.limitMm);
  const lower = { ...frame.lower, state: stateOf(widthMm > nearestMm, widthMm - lowestMm <= nearlyMm) };
  return [...upper, lower, ...(showing ? journeyReasons(frame, made, showing) : [])];
}

function stateOf(acts: boolean, near: boolean): LimitState {
  return acts ? 'acts' : near ? 'near' : 'room';
}

/** Each part of the journey by what the target would be without it. */
function journeyReasons(frame: Frame, made: Making, showing: Showing): (JourneyEffect & { state: LimitState })[] {
  const { workroom, venue, hours, hold, growth, kept } = showing;
  const change: Change = { ...growth, kept };
  const effect = (without: Partial<Change>) => {
    const other = making(frame, { ...change, ...without });
    const byMm = made.exactMm - other.exactMm;
    const state = stateOf(made.widthMm !== other.widthMm, Math.abs(byMm) >= frame.step / 4);
    return { byMm, state };
  };
  const effects: (JourneyEffect & { state: LimitState })[] = [];
  if (venue.tempC !== workroom.tempC) {
    effects.push({ code: 'warmth', fromC: workroom.tempC, toC: venue.tempC, ...effect({ warmth: 1 }) });
  }
  if (venue.altitudeM !== workroom.altitudeM) {
    const { altitudeM: fromM } = workroom;
    effects.push({ code: 'altitude', fromM, toM: venue.altitudeM, ...effect({ altitude: 1 }) });
  }
  if (hours > 0) {
    effects.push({ code: 'hold', hours, lostShare: 1 - kept, tests: hold.tests, ...effect({ kept: 1 }) });
  }
  return effects;
}

type OrderedReason = Exclude<TargetReason, { code: 'tier' | 'oval-here' }>;

function byState(a: OrderedReason, b: OrderedReason): number {
  const first = LIMIT_STATES.indexOf(a.state) - LIMIT_STATES.indexOf(b.state);
  if (first !== 0) return first;
  const [x, y] = [limitOf(a), limitOf(b)];
  return x === y ? 0 : x - y;
}

function limitOf(reason: OrderedReason): number {
  return 'limitMm' in reason ? reason.limitMm : Infinity;
}

function doseFor(curve: DoseCurve, widthMm: number): TargetDose | null {
  const exact = doseForWidth({ fit: curve, widthMm });
  if (!exact.ok) return null;
  const dose = roundDose({ dose: exact.value.dose, kind: curve.inflator });
  const gives = predictWidth({ fit: curve, dose });
  if (!gives.ok) return null;
  const { extrapolated: _, ...width } = gives.value;
  return { dose, ...width };
}

/** How well a curve tells a width at its own dose: half of the mean's 95 % interval, mm; `null` when it does not. */
function knownToMm(curve: DoseCurve, widthMm: number): number | null {
  const dose = doseForWidth({ fit: curve, widthMm });
  if (!dose.ok) return dose.problem.code === 'below-first-stroke' ? 0 : null;
  const width = predictWidth({ fit: curve, dose: dose.value.dose });
  return width.ok ? (width.value.highMm - width.value.lowMm) / 2 : null;
}

/** For a tier that bears an oval: that it is one, where its own round limit was passed. */
function ovalReason(
  tier: Aim,
  all: readonly UpperLimit[],
  curve: DoseCurve | null,
  { widthMm }: Making,
): TargetReason[] {
  if (tier.shape !== 'oval' || !curve) return [];
  const round = all.find((limit) => limit.code === 'round-limit');
  if (!round || widthMm <= round.limitMm) return [];
  return [{ code: 'oval-here', aspect: aspectAt({ law: curve.shape, widthMm }).aspect, roundMm: round.limitMm }];
}

interface CautionOptions {
  nominalMm: number;
  tier: Aim;
  frame: Frame;
  made: Making;
  fit: CalibrationFit | null;
  estimate: EstimatedCurve | null;
  toleranceMm: number;
  knownMm: number | null;
  dose: TargetDose | null;
  /** Round limits are each balloon's own matter. */
  paired: boolean;
  trade: Trade;
}

function cautionsOn({
  nominalMm,
  tier,
  frame,
  made,
  fit,
  estimate,
  toleranceMm,
  knownMm,
  dose,
  paired,
  trade,
}: CautionOptions): TargetCaution[] {
  const cautions: TargetCaution[] = [];
  const { widthMm } = made;
  const fraction = widthMm / nominalMm;
  if (fraction > trade.largestFraction) cautions.push({ code: 'nominal-too-small', fraction });
  // A wish that low is held up to the smallest useful width: a smaller nominal would serve it better.
  const wanted = Math.min(fraction, tier.fraction);
  if (wanted < trade.smallestFraction) cautions.push({ code: 'nominal-too-large', fraction: wanted });
  const { leastFraction = 0 } = tier;
  const leastMm = floorToStep({ mm: made.atShow(leastFraction * nominalMm), step: frame.step });
  if (widthMm < leastMm) cautions.push({ code: 'below-tier', fraction, leastFraction });
  const smallestMm = made.atShow(frame.lower.limitMm);
  if (widthMm < floorToStep({ mm: smallestMm, step: frame.step })) {
    cautions.push({ code: 'smaller-than-useful', smallestMm });
  }
  if ((fit ?? estimate) && (knownMm === null || knownMm > UNKNOWN_SHARE * widthMm)) {
    cautions.push({ code: 'not-known-yet' });
  }
  if (fit) {
    const unsure = knownMm === null || knownMm > toleranceMm;
    cautions.push(...fitCautions(fit, widthMm, unsure).filter(({ code }) => !paired || code !== 'round-limit-unknown'));
  } else if (estimate) {
    const { dosesFrom: doses, doseCalibrations, shapeCalibrations } = estimate;
    cautions.push({ code: 'estimated-from', doses, doseCalibrations, shapeCalibrations });
  }
  if (dose && Math.abs(dose.widthMm - widthMm) > toleranceMm) {
    cautions.push({ code: 'dose-outside-tolerance', givesMm: dose.widthMm });
  }
  return cautions;
}

function fitCautions(fit: CalibrationFit, widthMm: number, unsure: boolean): TargetCaution[] {
  const cautions: TargetCaution[] = [];
  if (fit.notes.some(({ code }) => code === 'dead-volume-assumed-zero')) {
    cautions.push({ code: 'dead-volume-assumed-zero' });
  }
  if (unsure && widthMm * BEYOND_READINGS < fit.smallestWidthMm) {
    cautions.push({ code: 'below-readings', smallestMm: fit.smallestWidthMm });
  }
  if (widthMm > fit.largestWidthMm * BEYOND_READINGS) {
    cautions.push({ code: 'beyond-readings', largestMm: fit.largestWidthMm });
  } else if (fit.shape.roundLimit.kind === 'no-shapes-seen') {
    cautions.push({ code: 'round-limit-unknown' });
  }
  return cautions;
}
