import { slopeKnown, type DoseCurve } from './doseCurve';
import type { CalibrationFit } from './fitCalibration';
import { doseForWidth, predictWidth, UNKNOWN_SHARE } from './predict';

/** A model as the order of calibrating needs it. */
export interface Candidate {
  id: string;
  nominalMm: number;
  fit: CalibrationFit | null;
  curve: DoseCurve | null;
  /** Targets that are coming, mm, each with its tolerance. */
  wanted: readonly { widthMm: number; toleranceMm: number }[];
  /** How often it was checked or its target kept: what is used most is worth most. */
  uses: number;
  /** Uncalibrated balloons of the same line that would be estimated better. */
  sizesThatLearn: number;
  /** Days since its last reading; `null` without one. */
  daysSince: number | null;
}

/** Why a balloon is worth calibrating. */
export type CalibrationNeed =
  | { code: 'never-measured' }
  | { code: 'one-dose' }
  /** Its doses miss the targets by more than they may: half width of the 95 % interval, mm, and the tolerance. */
  | { code: 'unsure'; halfWidthMm: number; toleranceMm: number }
  /** What is known leaves a target open by more than half of its width: no number says anything. */
  | { code: 'not-known-yet' }
  | { code: 'round-limit-unknown' }
  | { code: 'line-learns'; sizes: number }
  | { code: 'in-use'; times: number }
  | { code: 'old'; days: number };

/** One balloon in the order, with how much it needs and why. */
export interface CalibrationTask {
  id: string;
  /** Share of a batch that its targets' uncertainty could put off, times its use: larger is first. */
  need: number;
  reasons: CalibrationNeed[];
}

/** A calibration older than that is worth repeating: latex and hands change. */
const OLD_DAYS = 365;
const LEARNING_GAIN = 0.25;
const OLD_GAIN = 0.3;
const ROUND_LIMIT_GAIN = 0.35;
/** A balloon of which nothing is known is as unsure as this many tolerances. */
const UNKNOWN_TOLERANCES = 4;

/**
 * The balloons worth calibrating, those that gain most first: how unsure the coming targets are in tolerances
 * (capped, as beyond a few all is equally lost), what else is unknown, times how much the balloon is used. Balloons
 * whose targets are sure enough are left out.
 */
export function calibrationOrder(candidates: readonly Candidate[]): CalibrationTask[] {
  return candidates
    .map(taskOf)
    .filter(({ need }) => need > 0)
    .sort((a, b) => b.need - a.need);
}

function taskOf(candidate: Candidate): CalibrationTask {
  const { id, fit, uses, sizesThatLearn, daysSince } = candidate;
  const reasons: CalibrationNeed[] = [];
  const unsure = unsureness(candidate);
  const missed = unsure && unsure.halfWidthMm > unsure.toleranceMm ? unsure : null;
  const tellsNothing =
    (candidate.curve !== null && !slopeKnown(candidate.curve)) ||
    (missed !== null && missed.halfWidthMm > UNKNOWN_SHARE * missed.widthMm);
  let need = 0;
  if (!fit) reasons.push({ code: 'never-measured' });
  else if (fit.distinctDoses === 1) reasons.push({ code: 'one-dose' });
  if (tellsNothing) reasons.push({ code: 'not-known-yet' });
  else if (missed) {
    reasons.push({ code: 'unsure', halfWidthMm: missed.halfWidthMm, toleranceMm: missed.toleranceMm });
  }
  if (!fit || fit.distinctDoses === 1 || tellsNothing || missed) {
    const tolerances = unsure ? unsure.halfWidthMm / unsure.toleranceMm : UNKNOWN_TOLERANCES;
    need += Math.min(UNKNOWN_TOLERANCES, tolerances) / UNKNOWN_TOLERANCES + (fit ? 0 : LEARNING_GAIN);
  }
  if (fit && fit.shape.roundLimit.kind === 'no-shapes-seen') {
    reasons.push({ code: 'round-limit-unknown' });
    need += ROUND_LIMIT_GAIN;
  }
  if (daysSince !== null && daysSince > OLD_DAYS) {
    reasons.push({ code: 'old', days: daysSince });
    need += OLD_GAIN;
  }
  if (need > 0 && sizesThatLearn > 0 && !fit) {
    reasons.push({ code: 'line-learns', sizes: sizesThatLearn });
    need += LEARNING_GAIN * Math.min(2, sizesThatLearn);
  }
  if (need > 0 && uses > 0) reasons.push({ code: 'in-use', times: uses });
  return { id, need: need * (1 + Math.min(4, uses) / 2), reasons };
}

/** The coming target that is least sure, in tolerances; `null` when no curve tells. */
function unsureness({
  curve,
  wanted,
}: Candidate): { halfWidthMm: number; toleranceMm: number; widthMm: number } | null {
  if (!curve) return null;
  let worst: { halfWidthMm: number; toleranceMm: number; widthMm: number } | null = null;
  for (const { widthMm, toleranceMm } of wanted) {
    const dose = doseForWidth({ fit: curve, widthMm });
    const width = dose.ok ? predictWidth({ fit: curve, dose: dose.value.dose }) : null;
    if (!width?.ok) continue;
    const halfWidthMm = (width.value.highMm - width.value.lowMm) / 2;
    if (!worst || halfWidthMm / toleranceMm > worst.halfWidthMm / worst.toleranceMm) {
      worst = { halfWidthMm, toleranceMm, widthMm };
    }
  }
  return worst;
}
