import { growthBetween, keptShare, type Growth, type HoldRate, type Place } from '../environment';
import { ok, problem, type Result } from '../result';

/** Where and when a balloon is made, and where and when it is shown. */
export interface Journey {
  workroom: Place;
  venue: Place;
  /** Hours from the knot to the show. */
  hours: number;
  hold: HoldRate;
}

/** What a journey does to a width. */
export interface Showing extends Journey {
  growth: Growth;
  /** Share of the width kept until the show. */
  kept: number;
}

export type JourneyProblemCode = 'bad-temperature' | 'bad-altitude' | 'bad-hours-before';

/** A month: what is made earlier is made again. */
export const MOST_HOURS_BEFORE = 720;

/**
 * Works out a journey.
 *
 * Problems: `bad-temperature`, `bad-altitude` with the fields `workroom.tempC`, `venue.altitudeM` and so on;
 * `bad-hours-before` (0 to 720).
 */
export function showingOf(journey: Journey): Result<Showing, JourneyProblemCode> {
  const growth = growthBetween({ from: journey.workroom, to: journey.venue });
  if (!growth.ok) {
    const field = growth.problem.field?.replace('from.', 'workroom.').replace('to.', 'venue.') ?? '';
    return { ok: false, problem: { ...growth.problem, field } };
  }
  const { hours, hold } = journey;
  if (!(hours >= 0 && hours <= MOST_HOURS_BEFORE)) {
    return problem('bad-hours-before', { field: 'hours', detail: { most: MOST_HOURS_BEFORE } });
  }
  return ok({ ...journey, growth: growth.value, kept: keptShare({ rate: hold, hours }) });
}
