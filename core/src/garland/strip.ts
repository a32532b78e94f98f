import { ok, problem, type Result } from '../result';
import { MOST_STRIP_HOLES } from './kinds';

/** What comes into the next hole of a strip: a balloon, or nothing. */
export type StripStep = { nominalMm: number; widthMm: number } | 'skip';

/** A balloon in its hole. */
export interface StripBalloon {
  /** From 1. */
  hole: number;
  nominalMm: number;
  widthMm: number;
  side: 'left' | 'right';
}

/** A strip with its balloons. */
export interface StripPlan {
  balloons: StripBalloon[];
  /** Free at its beginning, to hang it by, and behind the last balloon. */
  before: number;
  after: number;
  /** From its first balloon’s hole to the last one’s, mm. */
  lengthMm: number;
}

export type StripProblemCode = 'bad-holes' | 'bad-pitch' | 'bad-first-hole' | 'no-steps' | 'bad-width';

/**
 * Which balloon comes into which hole of a strip: steps over and over from the first hole that is used, each balloon on
 * the other side than the one before.
 *
 * `first`: the hole that it begins at, from 1: those before are left to hang it by.
 *
 * Problems: `bad-holes` (1 to 2,000), `bad-pitch`, `bad-first-hole`, `no-steps` (only holes that are left), `bad-width`.
 *
 * Source: common practice.
 */
export function stripPlan({
  holes,
  pitchMm,
  first,
  steps,
}: {
  holes: number;
  pitchMm: number;
  first: number;
  steps: readonly StripStep[];
}): Result<StripPlan, StripProblemCode> {
  if (!(Number.isInteger(holes) && holes >= 1 && holes <= MOST_STRIP_HOLES))
    return problem('bad-holes', { field: 'holes', detail: { least: 1, most: MOST_STRIP_HOLES } });
  if (!(pitchMm > 0 && Number.isFinite(pitchMm))) return problem('bad-pitch', { field: 'pitchMm' });
  if (!(Number.isInteger(first) && first >= 1 && first <= holes))
    return problem('bad-first-hole', { field: 'first', detail: { least: 1, most: holes } });
  if (steps.every((step) => step === 'skip')) return problem('no-steps', { field: 'steps' });
  const bad = steps.findIndex((step) => step !== 'skip' && !(step.widthMm > 0 && Number.isFinite(step.widthMm)));
  if (bad >= 0) return problem('bad-width', { field: `steps.${bad}.widthMm` });
  const balloons: StripBalloon[] = [];
  for (let hole = first; hole <= holes; hole += 1) {
    const step = steps[(hole - first) % steps.length]!;
    if (step === 'skip') continue;
    balloons.push({ hole, ...step, side: balloons.length % 2 === 0 ? 'left' : 'right' });
  }
  // A step that is left may be the last; the strip behind its last balloon is cut or hung by.
  const last = balloons.at(-1)?.hole ?? first;
  return ok({ balloons, before: first - 1, after: holes - last, lengthMm: (last - first) * pitchMm });
}
