import type {
  FitNote,
  NextReading,
  Outlier,
  RoundLimit,
  Target,
  TargetCaution,
  TargetReason,
} from '@leggero/core';

import { doseText, standing, strokes } from './trade';

type Write = (mm: number) => string;

/** One link of the chain of reasons. */
export function reasonText(reason: TargetReason, text: Write, tierName: string): string {
  switch (reason.code) {
    case 'tier':
      return `${tierName} asks for ${percent(reason.fraction)} of nominal: ${text(reason.widthMm)}.`;
    case 'round-limit':
      return reason.acted
        ? `Held there: yours turns oval at ${text(reason.limitMm)}, give or take ${text(1.96 * reason.sdMm)}.`
        : `Your round limit of ${text(reason.limitMm)} leaves room.`;
    case 'standing':
      return reason.acted
        ? `Held there so that it stands (${standing(reason.days)}): ${percent(reason.fraction)} of nominal, a rule of thumb.`
        : `Standing (${standing(reason.days)}) allows up to ${text(reason.limitMm)}, a rule of thumb.`;
    case 'felt-hard':
      return reason.acted
        ? `Held there: one felt hard at ${text(reason.seenMm)}.`
        : `One felt hard at ${text(reason.seenMm)}; this stays under it.`;
    case 'burst':
      return reason.acted
        ? `Held there: one burst at about ${text(reason.seenMm)}.`
        : `One burst at about ${text(reason.seenMm)}; this stays well under it.`;
  }
}

/** The one line beside the origin: what held the target, or that nothing did. */
export function heldBecause(target: Target, text: Write): string {
  const acted = target.reasons.find((reason) => 'acted' in reason && reason.acted);
  switch (acted?.code) {
    case 'round-limit':
      return `Held at your round limit of ${text(acted.limitMm)}`;
    case 'standing':
      return `Held so that it stands (${standing(acted.days)})`;
    case 'felt-hard':
      return `Held under ${text(acted.seenMm)}, where one felt hard`;
    case 'burst':
      return `Held well under ${text(acted.seenMm)}, where one burst`;
    default:
      return target.origin === 'rule' ? 'From the tier alone: no curve yet' : 'No limit holds it down';
  }
}

export function cautionText(caution: TargetCaution, text: Write): string {
  switch (caution.code) {
    case 'nominal-too-small':
      return `This is ${percent(caution.fraction)} of nominal: hard and likely oval. A larger nominal would serve better.`;
    case 'nominal-too-large':
      return `This is only ${percent(caution.fraction)} of nominal: floppy, with a long neck. A smaller nominal would serve better.`;
    case 'round-limit-unknown':
      return 'Nobody has noted its shape yet, so the round limit is not known. Note the shape with the next reading.';
    case 'beyond-readings':
      return `This lies beyond the largest reading (${text(caution.largestMm)}): the curve is drawn on from there.`;
    case 'dead-volume-assumed-zero':
      return 'Only one dose was read: the curve is drawn from an empty balloon at zero strokes. A second dose settles it.';
    case 'dose-outside-tolerance':
      return `Whole and half strokes come no nearer than ${text(caution.givesMm)}. Size it at the hole or with the tape.`;
  }
}

export function roundLimitText(limit: RoundLimit, text: Write): string {
  switch (limit.kind) {
    case 'shown':
      return `Turns oval at ${text(limit.widthMm)}, give or take ${text(1.96 * limit.sdMm)}.`;
    case 'above':
      return `Round as far as it was filled, ${text(limit.widthMm)}.`;
    case 'below':
      return `Oval already at ${text(limit.widthMm)}, the smallest reading.`;
    case 'no-shapes-seen':
      return 'The readings do not show where it turns oval.';
  }
}

export function outlierText({ dose, widthMm, expectedWidthMm }: Outlier, text: Write): string {
  return `${strokes(dose)}, ${text(widthMm)}, does not fit the others (they say ${text(expectedWidthMm)}), so it is set aside. Measure again, or delete it.`;
}

export function noteText(note: FitNote): string {
  return note.code === 'dead-volume-assumed-zero'
    ? 'The curve rests on one dose, so it is drawn from zero strokes.'
    : `This pump seems to move ${note.fittedL.toFixed(2)} L a stroke; ${note.onRecordL.toFixed(2)} L is on record. Is it the same pump?`;
}

/** What to do next while calibrating. */
export function nextText({ dose, purpose, freshBalloon }: NextReading, lastDose: number): string {
  const how = freshBalloon
    ? `Take a fresh balloon and give it ${strokes(dose)}`
    : `Give ${strokes(dose - lastDose)} more, ${doseText(dose)} in all`;
  switch (purpose) {
    case 'first':
      return 'Take a fresh balloon. One stroke, then measure.';
    case 'narrow-the-curve':
      return `${how}, then measure.`;
    case 'find-round-limit':
      return `${how}: how far does it stay round?`;
    case 'enough':
      return 'The targets are known well enough. More readings would not move them by a step.';
  }
}

function percent(fraction: number): string {
  return `${Math.round(100 * fraction)} %`;
}
