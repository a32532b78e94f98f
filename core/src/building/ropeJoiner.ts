import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';

/** Empty modelling balloons that a rope is strung on. */
export interface RopeJoiner {
  /** Knotted one to the next. */
  pieces: number;
  /** One of them before it is pulled, mm. */
  restMm: number;
  /** How far they are pulled, of their own length. */
  pull: number;
  /** The longest rope that one carries, mm. */
  reachMm: number;
}

/**
 * What a rope of duplets is strung on: empty modelling balloons, pulled along it to no more than `trade.ropePull` times
 * their own length.
 *
 * Problems: `bad-length` (above 0).
 *
 * Source: common practice: one 260 carries thirty duplets of 5 in at 4 in.
 */
export function ropeJoiner({
  lengthMm,
  joinerMm,
  trade = TRADE,
}: {
  /** Along the rope, mm. */
  lengthMm: number;
  /** Inflated length of the modelling balloon, mm: 60 in of a 260. */
  joinerMm: number;
  trade?: Trade | undefined;
}): Result<RopeJoiner, 'bad-length'> {
  if (!(lengthMm > 0 && joinerMm > 0)) return problem('bad-length', { field: 'lengthMm' });
  const restMm = trade.modellingRest.length * joinerMm;
  const reachMm = trade.ropePull * restMm;
  const pieces = Math.ceil(lengthMm / reachMm - 1e-9);
  return ok({ pieces, restMm, pull: lengthMm / (pieces * restMm), reachMm });
}
