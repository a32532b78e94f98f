import { coreReading, type ReadingCreate, type ReadingRecord } from '@leggero/contract';
import {
  MOST_DOSE,
  readingProblem,
  roundDose,
  type Bracket,
  type InflatorKind,
  type Nozzle,
  type Outcome,
  type ReadingProblemCode,
  type Shape,
  type Way,
} from '@leggero/core';
import { type NextReading } from '@leggero/core/calibrating';

/** A reading as it stands on the page before it is added. */
export interface Draft {
  dose: number;
  widthMm: number;
  way: Way;
  /** The two holes, when the way is a bracket. */
  bracket: Bracket;
  /** The studio's own hole that it passes, and the one it stops at, where those were tapped. */
  holeId: string | null;
  stopsHoleId: string | null;
  nozzle: Nozzle | null;
  /** A balloon of its own; else the one of the reading before, filled on. */
  fresh: boolean;
  /** null until it is measured. */
  heightMm: number | null;
  shape: Shape | null;
  outcome: Outcome;
}

/** A first guess of a width, as a share of nominal, before there is any curve. */
const FIRST_GUESS = 0.4;

/** The draft the app proposes: the dose that teaches most, the width expected there. */
export function proposedDraft(
  next: NextReading,
  { nominalMm, stepMm, kind }: { nominalMm: number; stepMm: number; kind: InflatorKind },
): Draft {
  const expected = next.expectedWidthMm ?? FIRST_GUESS * nominalMm;
  const widthMm = Math.round(expected / stepMm) * stepMm;
  return {
    dose: Math.min(MOST_DOSE, roundDose({ dose: next.dose, kind })),
    widthMm,
    way: 'tape',
    bracket: { stopsMm: widthMm - 2 * stepMm, passesMm: widthMm + 2 * stepMm },
    holeId: null,
    stopsHoleId: null,
    nozzle: kind === 'twin' ? 'left' : null,
    // Two nozzles fill two balloons.
    fresh: next.freshBalloon || kind === 'twin',
    heightMm: null,
    shape: null,
    outcome: 'ok',
  };
}

/** The draft as a reading; a burst keeps no width, as nobody measures one, and two holes no height. */
export function readingOf(
  draft: Draft,
  ids: { id: string; calibrationId: string; takenAt: string; balloon: number | null },
): ReadingCreate {
  const { dose, way, nozzle, outcome } = draft;
  const burst = outcome === 'burst';
  const holes = way === 'bracket' && !burst;
  const heightMm = burst || holes ? null : draft.heightMm;
  return {
    ...ids,
    dose,
    way,
    nozzle,
    widthMm: burst || holes ? null : draft.widthMm,
    stopsMm: holes ? draft.bracket.stopsMm : null,
    passesMm: holes ? draft.bracket.passesMm : null,
    holeId: !burst && (holes || way === 'hole') ? draft.holeId : null,
    stopsHoleId: holes ? draft.stopsHoleId : null,
    heightMm,
    sdMm: null,
    shape: burst || heightMm !== null ? null : draft.shape,
    outcome,
  };
}

/** Whether the balloon of the last reading can be filled on to the draft's dose. */
export function canFillOn(last: ReadingRecord | undefined, { dose, nozzle }: Pick<Draft, 'dose' | 'nozzle'>): boolean {
  return last !== undefined && last.outcome !== 'burst' && last.nozzle === nozzle && dose > last.dose;
}

/**
 * The number of the draft's balloon among those read before: the last one's when it is filled on, else the next free
 * one. Null where the last one's is not known.
 */
export function balloonNumber(readings: readonly ReadingRecord[], draft: Draft): number | null {
  const last = readings.at(-1);
  if (last && !draft.fresh && canFillOn(last, draft)) return last.balloon;
  return Math.max(0, ...readings.map(({ balloon }) => balloon ?? 0)) + 1;
}

/** The width a draft stands for, mm. */
export function draftWidthMm({ way, widthMm, bracket }: Draft): number {
  return way === 'bracket' ? (bracket.stopsMm + bracket.passesMm) / 2 : widthMm;
}

/** What this balloon cannot have, and in which field; null when the draft can be added. */
export function draftProblem(draft: Draft, nominalMm: number): { code: ReadingProblemCode; field: string } | null {
  const reading = coreReading(readingOf(draft, { id: '', calibrationId: '', takenAt: '', balloon: null }));
  const problem = readingProblem({ reading, nominalMm });
  return problem && { code: problem.code, field: problem.field ?? '' };
}
