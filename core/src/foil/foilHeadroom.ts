import type { FoilKind } from '../balloon';
import { growthBetween, type Place } from '../environment';
import { ok, type Result } from '../result';
import { TRADE, type Trade } from '../trade';

/** How full to leave a foil for what happens to it on the way. */
export interface FoilHeadroom {
  /** Share of the full volume to fill to in the workroom. */
  fillTo: number;
  /** Share that stays free for warmth and altitude at the venue; 0 where it shrinks. */
  roomShare: number;
  /**
   * Its fill at the venue if it were filled to the seam test here, as a share of what the seam bears: above 1 it
   * would burst its seam.
   */
  venueShare: number;
  /** What happens to a foil filled to the seam test here. */
  then: 'strains' | 'same' | 'goes-slack';
}

/** A change of volume that no finger feels (from memory). */
const FELT = 0.01;

/**
 * Room for heat and altitude: a foil does not stretch, so its gas, by the gas law, must not need more than the seam
 * test's volume at the venue. V2 / V1 = (T2 / T1) (p1 / p2).
 *
 * Problems: `bad-temperature`, `bad-altitude`, with the field `from.tempC` and so on.
 * Source: ideal gas law, any handbook of physics.
 */
export function foilHeadroom({
  from,
  to,
  trade = TRADE,
}: {
  /** Where it is filled, and where it is shown. */
  from: Place;
  to: Place;
  trade?: Trade | undefined;
}): Result<FoilHeadroom, 'bad-temperature' | 'bad-altitude'> {
  const growth = growthBetween({ from, to });
  if (!growth.ok) return growth;
  const volumes = growth.value.both ** 3;
  const stop = trade.foilStop;
  const fillTo = Math.min(stop, stop / volumes);
  const then = volumes > 1 + FELT ? 'strains' : volumes < 1 - FELT ? 'goes-slack' : 'same';
  return ok({ fillTo, roomShare: stop - fillTo, venueShare: volumes, then });
}

/** When to stop, and with which shut-off: common practice. */
export const FOIL_STOPS = {
  /** Firm, but a finger along the seam dents it and it springs back; an automatic shut-off suits. */
  foil: { test: 'seam', shutOff: 'automatic' },
  /** Until the last wrinkle goes; an automatic shut-off stops too soon. */
  'stretch-foil': { test: 'last-wrinkle', shutOff: 'by-hand' },
} as const satisfies Record<FoilKind, { test: string; shutOff: string }>;
