import { roundDose } from '../inflator';
import { ok, problem, type Result } from '../result';
import type { DoseCurve } from './doseCurve';
import { doseForWidth, predictWidth, type WidthPrediction } from './predict';

/** A dose of one inflator, as a width and as a dose of another. */
export interface TranslatedDose {
  /** The width the dose gives, with its intervals. */
  width: WidthPrediction;
  /** The other inflator's dose for that width: exact, with its 95 % interval. */
  exact: number;
  low: number;
  high: number;
  /** As it can be given: to the half stroke or the tenth of a second. */
  dose: number;
  /** The width which that gives, mm. */
  givesMm: number;
}

/**
 * Translates a dose of one inflator into the width it gives (`from`: the balloon's curve with that inflator) and into
 * another's dose for the same width (`to`: its curve with the other; the same balloon or one that stands in for it).
 * The interval of the dose joins both curves'.
 *
 * Problems: `bad-dose` (not above 0); `too-little` (the dose hardly fills the balloon, or the other inflator's first
 * dose is already wider).
 */
export function translateDose({
  dose,
  from,
  to,
}: {
  dose: number;
  from: DoseCurve;
  to: DoseCurve;
}): Result<TranslatedDose, 'bad-dose' | 'too-little'> {
  const width = predictWidth({ fit: from, dose });
  if (!width.ok) return width;
  const { widthMm, lowMm, highMm } = width.value;
  const exact = doseForWidth({ fit: to, widthMm });
  if (!exact.ok) return problem('too-little', { field: 'dose' });
  const edge = (mm: number) => {
    const at = doseForWidth({ fit: to, widthMm: mm });
    return at.ok ? at.value.dose : 0;
  };
  const down = Math.hypot(exact.value.dose - exact.value.low, exact.value.dose - edge(lowMm));
  const up = Math.hypot(exact.value.high - exact.value.dose, edge(highMm) - exact.value.dose);
  const rounded = roundDose({ dose: exact.value.dose, kind: to.inflator });
  const gives = predictWidth({ fit: to, dose: rounded });
  return ok({
    width: width.value,
    exact: exact.value.dose,
    low: Math.max(0, exact.value.dose - down),
    high: exact.value.dose + up,
    dose: rounded,
    givesMm: gives.ok ? gives.value.widthMm : widthMm,
  });
}
