import { ok, problem, type Result } from '../result';
import { keptShare, type HoldRate } from './hold';
import { growthBetween, type Place } from './surroundings';

/** How wide a balloon that stands is by now, mm, with the interval that 95 of 100 lie in. */
export interface StandingNow {
  widthMm: number;
  lowMm: number;
  highMm: number;
}

export type StandingNowProblemCode = 'bad-width' | 'bad-hours' | 'bad-temperature' | 'bad-altitude';

/** A year: nothing stands longer. */
const MOST_HOURS = 8760;
/** Deviations of a normal law that 95 of 100 lie within. */
const WITHIN = 1.96;

/**
 * How wide a balloon is that was filled to `fillMm` ± `toleranceMm` at `made` and stands at `at` after `hours`: grown or
 * shrunk on its way there by the gas law, and lost since its knot at its rate. A new one beside it, filled to that width
 * where it stands, is its like now, and stays so: it warms, and loses, as the others do.
 *
 * What is made to a tolerance is taken to lie within it 95 times of 100; that and what the rate leaves open add as
 * squares.
 *
 * Problems: `bad-width`, `bad-hours` (0 to a year), `bad-temperature`, `bad-altitude` with the fields `made.tempC` and so on.
 * Sources: ideal gas law and standard atmosphere, as `growthBetween`; exponential loss, as `fitHold`.
 */
export function standingNow({
  fillMm,
  toleranceMm,
  made,
  at,
  hours,
  rate,
}: {
  fillMm: number;
  toleranceMm: number;
  made: Place;
  at: Place;
  hours: number;
  rate: HoldRate;
}): Result<StandingNow, StandingNowProblemCode> {
  if (!(fillMm > 0 && Number.isFinite(fillMm))) return problem('bad-width', { field: 'fillMm' });
  if (!(hours >= 0 && hours <= MOST_HOURS)) return problem('bad-hours', { field: 'hours' });
  const growth = growthBetween({ from: made, to: at });
  if (!growth.ok) {
    const field = growth.problem.field?.replace('from.', 'made.').replace('to.', 'at.') ?? '';
    return { ok: false, problem: { ...growth.problem, field } };
  }
  const widthMm = fillMm * growth.value.both * keptShare({ rate, hours });
  const share = Math.hypot(WITHIN * rate.sd * hours, toleranceMm / fillMm);
  // As shares of itself: what is lost is a factor, and no band reaches below nothing.
  return ok({ widthMm, lowMm: widthMm * Math.exp(-share), highMm: widthMm * Math.exp(share) });
}
