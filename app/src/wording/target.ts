import type {
  CalibrationFit,
  EstimatedCurve,
  FitNote,
  InflatorKind,
  LimitState,
  Outlier,
  RoundLimit,
  Target,
  TargetCaution,
  TargetReason,
  UnsuitedReason,
} from '@leggero/core';
import type { NextReading } from '@leggero/core/calibrating';

import type { Tone } from '@/ui/Chip';

import { capital, counted, dosed, doseText, percent, standing } from './trade';

type Write = (mm: number) => string;

/** Whether a link of the chain holds the target, nearly does, or leaves room. */
export const STATE_WORDS: Record<LimitState, { word: string; tone: Tone }> = {
  acts: { word: 'holds', tone: 'edge' },
  near: { word: 'nearly', tone: 'plain' },
  room: { word: 'has room', tone: 'good' },
};

/** Whose limit it is, in a pair. */
function whose({ of }: { of?: 'outer' | 'inner' }, alone: string): string {
  return of ? `the ${of}’s` : alone;
}

/** The tier whose target is told, and that target. */
interface Reasoned {
  name: string;
  widthMm: number;
}

/** One link of the chain of reasons. */
export function reasonText(reason: TargetReason, text: Write, { name: tierName, widthMm: shownMm }: Reasoned): string {
  switch (reason.code) {
    case 'tier':
      return (
        `${tierName} asks for ${percent(reason.fraction)} of ` +
        `${reason.of ? 'the smaller nominal' : 'nominal'}: ${text(reason.widthMm)}.`
      );
    case 'oval-here':
      return (
        `${text(shownMm)} is slightly oval here (${reason.aspect.toFixed(2)}), which ${tierName} bears; ` +
        `round ends at ${text(reason.roundMm)}.`
      );
    case 'round-limit':
    case 'pear-limit':
      return shapeReason(reason, text);
    case 'standing':
      return reason.state === 'acts'
        ? `Held there so that it stands (${standing(reason.days)}): ${percent(reason.fraction)} of ` +
            `${reason.of ? `the ${reason.of}’s ` : ''}nominal, a rule of thumb.`
        : `Standing (${standing(reason.days)}) allows ${reason.of ? `the ${reason.of} ` : ''}up to ` +
            `${text(reason.limitMm)}, a rule of thumb.`;
    case 'felt-hard':
      return reason.state === 'acts'
        ? `Held there: ${one(reason)} felt hard at ${text(reason.seenMm)}.`
        : `${capital(one(reason))} felt hard at ${text(reason.seenMm)}; this stays under it.`;
    case 'burst':
      return reason.state === 'acts'
        ? `Held there: ${one(reason)} burst at about ${text(reason.seenMm)}.`
        : `${capital(one(reason))} burst at about ${text(reason.seenMm)}; this stays well under it.`;
    case 'smallest-useful':
      return (
        `${reason.state === 'acts' ? 'Held up' : 'Smallest useful'}: below ${text(reason.limitMm)} ` +
        (reason.why === 'shine'
          ? 'mirror finish dulls. To go smaller, squeeze the air to the crown and tie low.'
          : 'the neck hangs out.')
      );
    case 'warmth':
      return `${reason.toC} °C at the venue after ${reason.fromC} °C here: ${changeText(reason.byMm, text)}.`;
    case 'altitude':
      return `${reason.toM} m above the sea after ${reason.fromM} m here: ${changeText(reason.byMm, text)}.`;
    case 'hold':
      return (
        `${counted(reason.hours, 'hour')} before the show cost ${(100 * reason.lostShare).toFixed(1)} % of the width ` +
        `(${reason.tests > 0 ? `from ${counted(reason.tests, 'hold test')}` : 'from memory, no hold test yet'}): ` +
        `${changeText(reason.byMm, text)}.`
      );
  }
}

/** The balloon something was seen on. */
function one({ of }: { of?: 'outer' | 'inner' }): string {
  return of ? `an ${of}` : 'one';
}

function shapeReason(reason: Extract<TargetReason, { code: 'round-limit' | 'pear-limit' }>, text: Write): string {
  const [turns, limitName] =
    reason.code === 'round-limit' ? ['turns oval', 'round limit'] : ['turns from oval to pear', 'limit to a pear'];
  const limit = `${text(reason.limitMm)}, give or take ${text(1.96 * reason.sdMm)}`;
  if (reason.from !== 'own') {
    const others =
      reason.from === 'line' ? `${capital(whose(reason, 'its'))} line’s other sizes` : 'Your other balloons';
    return `${others} say it ${turns} at ` + `${limit}${reason.state === 'acts' ? ': held there' : ''}.`;
  }
  return reason.state === 'acts'
    ? `Held there: ${reason.of ? `the ${reason.of}` : 'yours'} ${turns} at ${limit}.`
    : `${capital(whose(reason, 'your'))} ${limitName} of ${text(reason.limitMm)} leaves ` +
        `${reason.state === 'near' ? 'little room' : 'room'}.`;
}

/** "made ⅛ in smaller for it", and that it is less than a step where that would hide it. */
function changeText(byMm: number, text: Write): string {
  const size = Math.abs(byMm);
  if (size < 0.05) return 'no difference';
  const written = text(size);
  const amount = /^0(?![.½¼¾⅛⅜⅝⅞])/.test(written) ? 'less than a step' : written;
  return `made ${amount} ${byMm > 0 ? 'larger' : 'smaller'} for it`;
}

/** The one line beside the origin: what held the target, or that nothing did. */
export function heldBecause(target: Target, text: Write): string {
  const acting = target.reasons.filter((reason) => 'state' in reason && reason.state === 'acts');
  const acted = acting.find(({ code }) => code !== 'warmth' && code !== 'altitude' && code !== 'hold') ?? acting[0];
  switch (acted?.code) {
    case 'round-limit':
      return acted.from === 'shelf'
        ? `Held at ${text(acted.limitMm)}, where your other balloons turn oval`
        : `Held at ${whose(acted, acted.from === 'own' ? 'your' : 'its line’s')} round limit of ${text(acted.limitMm)}`;
    case 'pear-limit':
      return `Held before it turns pear, at ${text(acted.limitMm)}`;
    case 'standing':
      return `Held so that ${acted.of ? `the ${acted.of}` : 'it'} stands (${standing(acted.days)})`;
    case 'felt-hard':
      return `Held under ${text(acted.seenMm)}, where ${one(acted)} felt hard`;
    case 'burst':
      return `Held well under ${text(acted.seenMm)}, where ${one(acted)} burst`;
    case 'smallest-useful':
      return acted.why === 'shine' ? 'Held up: smaller, it dulls' : 'Held up: smaller, the neck hangs out';
    case 'warmth':
      return `Made ${acted.byMm > 0 ? 'larger' : 'smaller'} for ${acted.toC} °C at the venue`;
    case 'altitude':
      return `Made ${acted.byMm > 0 ? 'larger' : 'smaller'} for ${acted.toM} m of altitude`;
    case 'hold':
      return `Made larger for ${counted(acted.hours, 'hour')} of waiting`;
    default:
      return whereFrom(target);
  }
}

function whereFrom({ origin, cautions }: Target): string {
  if (origin !== 'rule') return 'No limit holds it down';
  const open = cautions.some(({ code }) => code === 'not-known-yet');
  return open ? 'From the tier alone: its dose is not known yet' : 'From the tier alone: no curve yet';
}

export function cautionText(caution: TargetCaution, text: Write): string {
  switch (caution.code) {
    case 'nominal-too-small':
      return (
        `This is ${percent(caution.fraction)} of nominal: hard and ` +
        'likely oval. A larger nominal would serve better.'
      );
    case 'nominal-too-large':
      return (
        `${percent(caution.fraction)} of nominal is asked for: floppy, with a long neck. A smaller ` +
        'nominal would serve better.'
      );
    case 'below-tier':
      return (
        `This is only ${percent(caution.fraction)} of nominal, below this tier’s ` +
        `${percent(caution.leastFraction)}: it will feel like the tier below.`
      );
    case 'smaller-than-useful':
      return (
        `The limits leave less than the smallest useful size of ${text(caution.smallestMm)}. Another ` +
        'nominal would serve better.'
      );
    case 'round-limit-unknown':
      return 'Nobody has noted its shape yet, so the round limit is not known. Note the shape with the next reading.';
    case 'beyond-readings':
      return `This lies beyond the largest reading (${text(caution.largestMm)}): the curve is drawn on from there.`;
    case 'below-readings':
      return `This lies below the smallest reading (${text(caution.smallestMm)}), and nothing near it was measured.`;
    case 'not-known-yet':
      return 'Its dose is not known yet: the readings leave it open. Take two readings, one small and one near this size.';
    case 'dead-volume-assumed-zero':
      return 'Only one dose was read: the curve is drawn from an empty balloon at no dose. A second dose settles it.';
    case 'estimated-from':
      return `Never measured. ${estimateText(caution.doses, caution.doseCalibrations, caution.shapeCalibrations)}`;
    case 'dose-outside-tolerance':
      return `The inflator comes no nearer than ${text(caution.givesMm)}. Size it at the hole or with the tape.`;
  }
}

/** Where an estimated curve comes from. */
function estimateText(doses: EstimatedCurve['dosesFrom'], doseCalibrations: number, shapeCalibrations: number): string {
  const count = counted(doseCalibrations, 'calibration');
  const from =
    doses === 'outer'
      ? 'Doses from the outer alone, a little more against two skins'
      : doses === 'line'
        ? `Doses from ${count} of the line’s other sizes`
        : doses === 'inflator'
          ? `Doses from ${count} made with this inflator`
          : 'Doses from the volume on record for this inflator';
  const shape = shapeCalibrations > 0 ? 'shape from the line' : 'shape as is usual';
  return `${from}, ${shape}. A reading of its own settles it.`;
}

/** Why a nominal does not suit a width. */
export function unsuitedText(reason: UnsuitedReason, text: Write): string {
  switch (reason.code) {
    case 'too-small':
      return `${percent(reason.fraction)} of nominal: hard and oval`;
    case 'too-large':
      return `${percent(reason.fraction)} of nominal: the neck hangs out`;
    case 'dulls':
      return `${percent(reason.fraction)} of nominal: mirror finish dulls`;
    case 'stands-too-short':
      return `${percent(reason.fraction)} of nominal: at most ${percent(reason.mostFraction)} stands that long`;
    case 'oval':
      return `turns oval at ${text(reason.limitMm)}`;
  }
}

export function roundLimitText(limit: RoundLimit, text: Write): string {
  switch (limit.kind) {
    case 'shown':
      return `Turns oval at ${text(limit.widthMm)}, give or take ${text(1.96 * limit.sdMm)}.`;
    case 'above':
      return `Round as far as it was filled, ${text(limit.widthMm)}.`;
    case 'below':
      return `Oval already at ${text(limit.widthMm)}, the smallest that was looked at.`;
    case 'no-shapes-seen':
      return 'The readings do not show where it turns oval.';
  }
}

export function outlierText({ dose, widthMm, expectedWidthMm }: Outlier, kind: InflatorKind, text: Write): string {
  return (
    `${dosed(dose, kind)}, ${text(widthMm)}, does not fit the others (they say ` +
    `${text(expectedWidthMm)}), so it is set aside. Measure again, or delete it.`
  );
}

export function noteText(note: FitNote, kind: InflatorKind): string {
  const each = kind === 'hand' ? 'a stroke' : 'a second';
  if (note.code === 'dead-volume-assumed-zero') return 'The curve rests on one dose, so it is drawn from nothing.';
  if (note.code === 'slope-unknown') {
    return `The readings do not show what ${each} adds: the widths hardly differ. Give clearly more, and measure again.`;
  }
  return (
    `This inflator seems to move ${note.fittedL.toFixed(2)} L ${each}; ` +
    `${note.onRecordL.toFixed(2)} L is on record. Is it the same one?`
  );
}

/** What the start of a timed inflator costs; empty for hand pumps, and while it is not known. */
export function lagText({ inflator, deadVolumeL, doseVolumeL, distinctDoses }: CalibrationFit): string {
  const lag = -deadVolumeL / doseVolumeL;
  if (inflator === 'hand' || distinctDoses < 2 || lag < 0.05) return '';
  return `The first ${lag.toFixed(1)} s move nothing: it starts that late.`;
}

/** What to do next while calibrating. */
export function nextText({ dose, purpose, freshBalloon }: NextReading, lastDose: number, kind: InflatorKind): string {
  const how = freshBalloon
    ? `Take a fresh balloon and give it ${dosed(dose, kind)}`
    : `Give ${dosed(dose - lastDose, kind)} more, ${doseText(dose, kind)} in all`;
  switch (purpose) {
    case 'first':
      return `Take a fresh balloon and give it ${dosed(dose, kind)}, then measure.`;
    case 'narrow-the-curve':
      return `${how}, then measure.`;
    case 'find-round-limit':
      return `${how}: how far does it stay round?`;
    case 'enough':
      return 'The targets are known well enough. More readings would hardly move them.';
  }
}
