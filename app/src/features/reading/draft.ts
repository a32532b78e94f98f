import { coreReading, type ReadingCreate } from '@leggero/contract';
import { DOSE_STEP, readingProblem, type NextReading, type Outcome, type Shape } from '@leggero/core';

/** A reading as it stands on the page before it is added. */
export interface Draft {
  dose: number;
  widthMm: number;
  /** null until it is measured. */
  heightMm: number | null;
  shape: Shape | null;
  outcome: Outcome;
}

/** A first guess of a width, as a share of nominal, before there is any curve. */
const FIRST_GUESS = 0.4;

/** The draft the app proposes: the dose that teaches most, the width expected there. */
export function proposedDraft(next: NextReading, nominalMm: number, stepMm: number): Draft {
  const expected = next.expectedWidthMm ?? FIRST_GUESS * nominalMm;
  return {
    dose: Math.max(DOSE_STEP, next.dose),
    widthMm: Math.round(expected / stepMm) * stepMm,
    heightMm: null,
    shape: null,
    outcome: 'ok',
  };
}

/** The draft as a reading; a burst keeps no width, as nobody measures one. */
export function readingOf(
  draft: Draft,
  ids: { id: string; calibrationId: string; takenAt: string },
): ReadingCreate {
  const burst = draft.outcome === 'burst';
  return {
    ...ids,
    dose: draft.dose,
    widthMm: burst ? null : draft.widthMm,
    heightMm: burst ? null : draft.heightMm,
    sdMm: null,
    shape: burst || draft.heightMm !== null ? null : draft.shape,
    outcome: draft.outcome,
  };
}

/** The field of a draft that this balloon cannot have, or null. */
export function draftProblem(draft: Draft, nominalMm: number): 'dose' | 'widthMm' | 'heightMm' | null {
  const reading = coreReading(readingOf(draft, { id: '', calibrationId: '', takenAt: '' }));
  const field = readingProblem({ reading, nominalMm })?.field;
  return field === 'dose' || field === 'widthMm' || field === 'heightMm' ? field : null;
}
