import type { CalibrationNeed } from '@leggero/core';
import type { NozzleImbalance, PreparationEffect, SubstituteCaution } from '@leggero/core/calibrating';

import { counted, FINISH_WORDS, listed, percent } from './trade';

type Write = (mm: number) => string;

/** Why a balloon is worth calibrating. */
export function needText(need: CalibrationNeed, text: Write): string {
  switch (need.code) {
    case 'never-measured':
      return 'never measured';
    case 'one-dose':
      return 'only one dose read';
    case 'unsure': {
      const [known, wanted] = [text(need.halfWidthMm), text(need.toleranceMm)];
      // Rounded alike, two figures would contradict the words between them.
      return known === wanted
        ? `targets known a little less well than the ±${wanted} that is wanted`
        : `targets known to ±${known} only, ±${wanted} is wanted`;
    }
    case 'not-known-yet':
      return 'targets not known yet: take two readings';
    case 'round-limit-unknown':
      return 'its round limit is not known';
    case 'line-learns':
      return `${counted(need.sizes, 'other size')} of the line would be estimated better`;
    case 'in-use':
      return `used ${need.times === 1 ? 'once' : `${need.times} times`}`;
    case 'old':
      return `last read ${counted(Math.round(need.days / 30), 'month')} ago`;
  }
}

/** How unequally two nozzles fill. */
export function imbalanceText({ stronger, share, low, high, shown }: NozzleImbalance): string {
  const figure = (value: number) => `${(100 * value).toFixed(1)} %`;
  return shown
    ? `The ${stronger} nozzle gives ${figure(share)} more (between ${figure(low)} and ${figure(high)}).`
    : `The nozzles are equal as far as the readings tell (within ${figure(Math.max(Math.abs(low), Math.abs(high)))}).`;
}

/** What the second preparation changes beside the first. */
export function effectText({ aspect, widthMm }: PreparationEffect, fine: Write): string {
  const parts: string[] = [];
  if (aspect) {
    const by = Math.abs(aspect.mean).toFixed(3);
    parts.push(
      aspect.shown
        ? `${aspect.mean < 0 ? 'rounder' : 'longer'}: height over width ${by} ${aspect.mean < 0 ? 'lower' : 'higher'}`
        : 'no difference in shape that the readings could show',
    );
  }
  if (widthMm) {
    const by = fine(widthMm.mean);
    parts.push(
      widthMm.shown
        ? `${widthMm.mean > 0 ? 'wider' : 'narrower'} at equal dose by ${by}`
        : 'no difference in width at equal dose that the readings could show',
    );
  }
  return parts.length > 0 ? `${listed(parts)}.` : 'They share no widths or doses to compare.';
}

/** What to mind when one balloon stands in for another. */
export function substituteText(caution: SubstituteCaution, text: Write, fine: Write): string {
  switch (caution.code) {
    case 'past-round-limit':
      return `It turns oval at ${text(caution.limitMm)}: at this width it will not look like the other.`;
    case 'other-shape':
      return (
        `Its shape differs: ${caution.to.toFixed(2)} as high as wide, the other ` +
        `${caution.from.toFixed(2)}. Keep them apart in the piece.`
      );
    case 'other-finish':
      return `${FINISH_WORDS[caution.to]} beside ${FINISH_WORDS[caution.from].toLowerCase()}: the shine differs.`;
    case 'nominal-too-small':
      return `This is ${percent(caution.fraction)} of its nominal: hard and likely oval.`;
    case 'nominal-too-large':
      return `This is only ${percent(caution.fraction)} of its nominal: the neck hangs out.`;
    case 'dulls':
      return `At ${percent(caution.fraction)} of nominal mirror finish dulls.`;
    case 'shorter-hold':
      return `It loses ${fine(caution.mmADay)} a day more: fill these last.`;
    case 'estimated':
      return 'Never measured: its dose is estimated. Check the first few at the hole.';
    case 'no-curve':
      return 'Nothing is known of its dose: size it at the hole or with the tape.';
  }
}
